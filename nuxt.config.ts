import { fileURLToPath } from 'node:url'

export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@pinia/nuxt', '@vueuse/nuxt', '@nuxt/eslint', 'nuxt-auth-utils', '@nuxt/test-utils/module'],
  // Its modules as they are written, of which a page takes those that it needs; the package's own entry is all of them in one.
  $production: { vite: { resolve: { alias: [{ find: /^ml-matrix$/, replacement: fileURLToPath(new URL('./node_modules/ml-matrix/src/index.js', import.meta.url)) }] } } },
  // The planner computes in the browser; a page rendered on the server would only be thrown away.
  ssr: false,
  devtools: { enabled: false },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Upper Deck',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/favicon.svg' }],
    },
  },
  css: ['~/assets/css/main.css'],
  // Light by day, dark for the van at night, or as the device has it: chosen on the page, and kept.
  colorMode: { preference: 'light', fallback: 'light', storageKey: 'theme' },
  ui: { fonts: false },
  runtimeConfig: {
    /** NUXT_DATABASE_URL */
    databaseUrl: '',
    /** NUXT_DEMO: sign every visitor in as the demo firm's planner. */
    demo: false,
    /** NUXT_SESSION_PASSWORD seals the session cookie. */
    session: { password: '', maxAge: 60 * 60 * 8 },
  },
  alias: { '#core': fileURLToPath(new URL('./core', import.meta.url)) },
  // Node.js does not read the server's maps unless asked, and they take a seventh of the build.
  sourcemap: false,
  // A list of three hundred jobs must not fetch a planner for each: what is pointed at is fetched.
  experimental: { defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } } },
  compatibilityDate: '2026-05-01',
  nitro: {
    esbuild: { options: { target: 'es2022' } },
    logging: { compressedSizes: false },
    // Packed once at the build, not at every request.
    compressPublicAssets: { gzip: true, brotli: true },
    // Fonts for documents: they have the Greek and the mathematical signs that formulas need.
    serverAssets: [{ baseName: 'fonts', dir: fileURLToPath(new URL('./node_modules/dejavu-fonts-ttf/ttf', import.meta.url)), pattern: 'DejaVuSans{,-Bold}.ttf' }],
  },
  vite: {
    worker: { format: 'es' },
    build: {
      reportCompressedSize: false,
      // Of core a page takes what it names: no module of it does anything by being loaded.
      rollupOptions: { treeshake: { moduleSideEffects: id => !/\/core\/[^?]*\.ts$|\/(clipper2-ts|papaparse|lru-cache|ml-matrix)\//.test(id) } },
    },
    optimizeDeps: { include: ['comlink', 'zod', 'papaparse', 'clipper2-ts'] },
  },
  // Pages see core by its declarations: it is checked once, by itself.
  typescript: { strict: true, typeCheck: false, tsConfig: { references: [{ path: '../tsconfig.core.json' }] } },
  telemetry: false,
  hooks: {
    'build:manifest': (manifest) => {
      for (const chunk of Object.values(manifest)) chunk.prefetch = false
    },
  },
  eslint: { config: { stylistic: true } },
  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: { scan: true, sizeLimitKb: 256 },
  },
})
