/** The same stack with nothing on it: what a page costs before anything is ours. */
export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@pinia/nuxt'],
  ssr: false,
  devtools: { enabled: false },
  css: ['~/assets/main.css'],
  ui: { fonts: false },
  srcDir: '.',
  buildDir: '../../../node_modules/.cache/bare/nuxt',
  compatibilityDate: '2026-05-01',
  nitro: { output: { dir: '../../../node_modules/.cache/bare/output' }, compressPublicAssets: { gzip: true, brotli: true } },
  telemetry: false,
  icon: { provider: 'none', fallbackToApi: false },
})
