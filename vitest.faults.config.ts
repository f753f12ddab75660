import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** `npm run test:faults`: what happens to the built server when something dies, fills up or is asked for nonsense. Each on machines of its own; one after the other. */
export default defineConfig({
  resolve: { alias: { '#core': fileURLToPath(new URL('./core', import.meta.url)) } },
  test: { name: 'faults', include: ['tests/faults/**/*.test.ts'], fileParallelism: false, testTimeout: 240_000, hookTimeout: 120_000 },
})
