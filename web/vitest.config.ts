import { defineConfig } from 'vitest/config'

/** Logic that draws nothing, without a browser. */
export default defineConfig({ test: { include: ['test/**/*.test.ts'], environment: 'node' } })
