import { fileURLToPath } from 'node:url'
import { bundleThread } from './server/threads/bundle'
import { plannerVersion } from './server/threads/planner-version'

const root = fileURLToPath(new URL('.', import.meta.url))

export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@pinia/nuxt', '@vueuse/nuxt', '@nuxt/eslint', 'nuxt-auth-utils', 'nuxt-security', '@vite-pwa/nuxt', '@nuxt/test-utils/module'],
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
    /** NUXT_DATABASE_URL, for the app's role; NUXT_DIRECT_DATABASE_URL past a pooler, to hear news by. */
    databaseUrl: '',
    directDatabaseUrl: '',
    /** NUXT_CONNECTIONS: how many a process holds. */
    connections: 10,
    /** NUXT_DEMO: whoever opens a page may enter as one of the demo firm's people. */
    demo: false,
    /** NUXT_BEHIND_PROXY: whether a proxy that can be trusted names the caller's address and the site's. NUXT_SITE: the address for links in mails. */
    behindProxy: false,
    site: '',
    /** NUXT_SMTP_URL and NUXT_MAIL_FROM send mail; without, it waits in the folder NUXT_OUTBOX. */
    smtpUrl: '',
    mailFrom: '',
    outbox: '',
    /** NUXT_PICTURES: a folder for photographs; empty keeps them in the database. */
    pictures: '',
    /** The file of the threads that plan; empty takes the one beside the server. */
    workFile: '',
    /** Changes whenever core does: what an older planner worked out is known by it. */
    plannerVersion: plannerVersion(root),
    /** NUXT_SESSION_PASSWORD seals the cookie; how long it holds is the session's matter, in the database. */
    session: { password: '', name: 'upper-deck', maxAge: 60 * 60 * 24 * 31, cookie: { sameSite: 'lax', httpOnly: true, secure: true } },
  },
  alias: { '#core': fileURLToPath(new URL('./core', import.meta.url)) },
  // The page without anything of anybody's: what the device starts with where there is no signal.
  routeRules: { '/shell': { prerender: true }, '/sw.js': { headers: { 'cache-control': 'no-cache' } } },
  // Node.js does not read the server's maps unless asked, and they take a seventh of the build.
  sourcemap: false,
  // A list of three hundred jobs must not fetch a planner for each: what is pointed at is fetched.
  experimental: { defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } } },
  compatibilityDate: '2026-05-01',
  nitro: {
    esbuild: { options: { target: 'es2022' } },
    logging: { compressedSizes: false },
    prerender: { crawlLinks: false },
    // Packed once at the build, not at every request.
    compressPublicAssets: { gzip: true, brotli: true },
    hooks: { compiled: nitro => bundleThread(root, nitro.options.output.serverDir) },
  },
  vite: {
    worker: { format: 'es' },
    build: {
      reportCompressedSize: false,
      // Of core a page takes what it names: no module of it does anything by being loaded.
      rollupOptions: { treeshake: { moduleSideEffects: id => !/\/core\/[^?]*\.ts$|\/(clipper2-ts|papaparse|lru-cache|ml-matrix|javascript-lp-solver)\//.test(id) } },
    },
    optimizeDeps: { include: ['comlink', 'zod', 'papaparse', 'clipper2-ts'] },
  },
  // Pages see core by its declarations: it is checked once, by itself.
  typescript: { strict: true, typeCheck: false, tsConfig: { references: [{ path: '../tsconfig.core.json' }] } },
  telemetry: false,
  hooks: {
    'nitro:config': (config) => {
      config.plugins?.unshift(fileURLToPath(new URL('./server/first/plain-answers.ts', import.meta.url)))
    },
    'nitro:init': (nitro) => {
      // What an answer is, each call says itself: told by its address in types it takes the compiler too deep.
      nitro.hooks.hook('types:extend', (types) => {
        types.routes = {}
      })
    },
    'build:manifest': (manifest) => {
      for (const chunk of Object.values(manifest)) chunk.prefetch = false
    },
  },
  // scrypt with N=2^14, r=8, p=5 (OWASP Password Storage Cheat Sheet).
  auth: { loadStrategy: 'none', hash: { scrypt: { cost: 16384, blockSize: 8, parallelization: 5, maxMemory: 64 * 1024 * 1024 } } },
  eslint: { config: { stylistic: true } },
  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: { collections: ['lucide'] },
    clientBundle: { scan: true, sizeLimitKb: 256 },
  },
  pwa: {
    // A new version waits until whoever works here takes it: the old page's parts stay on the device as long as it is open.
    registerType: 'prompt',
    manifest: {
      name: 'Upper Deck', short_name: 'Upper Deck', description: 'Pitched-roof arrays from the first tape reading to the handover pack', start_url: '/', display: 'standalone', background_color: '#f6f3ea', theme_color: '#22272e',
      icons: [{ src: '/favicon.svg', sizes: 'any', type: 'image/svg+xml' }],
    },
    workbox: {
      navigateFallback: '/shell', navigateFallbackDenylist: [/^\/api\//, /^\/_/],
      globPatterns: ['**/*.{js,css,html,svg,woff2,json,wasm}'], globIgnores: ['**/*vietnamese*', '**/*cyrillic*'],
      clientsClaim: true, cleanupOutdatedCaches: true, maximumFileSizeToCacheInBytes: 4_000_000,
      // What was read of the office's is read again from the device where the office can't be reached.
      runtimeCaching: [
        { urlPattern: /\/api\/jobs\/[^/]+\/photographs\/[^/?]+(\?|$)/, handler: 'CacheFirst', options: { cacheName: 'upper-deck-photographs', expiration: { maxEntries: 400, purgeOnQuotaError: false } } },
        { urlPattern: /\/api\/(codes|jobs|jobs\/[^/]+\/(sheet|sheets|photographs))(\?|$)/, handler: 'NetworkFirst', options: { cacheName: 'upper-deck-read', networkTimeoutSeconds: 8, expiration: { maxEntries: 600, purgeOnQuotaError: false } } },
      ],
    },
    client: { installPrompt: false, periodicSyncForUpdates: 1800 },
  },
  security: {
    nonce: true,
    rateLimiter: false, xssValidator: false, corsHandler: false, requestSizeLimiter: false, csrf: false, hidePoweredBy: true,
    headers: {
      contentSecurityPolicy: {
        'default-src': ['\'self\''],
        // The reader of codes is compiled from WebAssembly that ships with the app.
        'script-src': ['\'self\'', '\'nonce-{{nonce}}\'', '\'strict-dynamic\'', '\'wasm-unsafe-eval\''],
        'style-src': ['\'self\'', '\'unsafe-inline\''],
        'img-src': ['\'self\'', 'data:', 'blob:'],
        'font-src': ['\'self\''],
        'connect-src': ['\'self\''],
        'worker-src': ['\'self\''],
        'frame-src': ['\'none\''],
        'frame-ancestors': ['\'none\''],
        'object-src': ['\'none\''],
        'base-uri': ['\'none\''],
        'form-action': ['\'self\''],
        'script-src-attr': ['\'none\''],
        'upgrade-insecure-requests': false,
      },
      // Files of the build carry no such header, and a worker that lacks it is stopped without a word.
      crossOriginEmbedderPolicy: false,
      strictTransportSecurity: false,
      xFrameOptions: 'DENY',
      referrerPolicy: 'same-origin',
      permissionsPolicy: { 'camera': ['self'], 'microphone': ['self'], 'geolocation': [], 'display-capture': [], 'fullscreen': ['self'] },
    },
  },
})
