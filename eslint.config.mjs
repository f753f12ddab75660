// @ts-check
import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  { ignores: ['.data/**', '.output/**', 'test-results/**'] },
  {
    // core runs in a worker, on the server and on the command line: it may know none of them.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', {
        patterns: [
          { group: ['**/app/**', '**/server/**', '~/*', '~~/*', '#imports', '#app*'], message: 'core imports nothing from app or server.' },
          { group: ['vue', 'vue/*', 'pinia', 'nuxt', 'nuxt/*', '@nuxt/*', '@vue/*', '@vueuse/*', 'h3', 'pg', 'node:*', 'fs', 'path'], message: 'core knows no framework and no Node.' },
        ],
      }],
    },
  },
)
