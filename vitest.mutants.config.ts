import { defineConfig } from 'vitest/config'

/** `npm run test:mutants`: takes out the body of each function that a trade speaks by, and sees whether a check notices. */
export default defineConfig({ test: { include: ['tests/mutants/**/*.test.ts'] } })
