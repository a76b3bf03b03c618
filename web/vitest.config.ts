import { defineConfig } from 'vitest/config'

/** Logic that draws nothing, without a browser; what plays the server has modules of its own. */
export default defineConfig({
  test: {
    environment: 'node',
    pool: 'threads',
    projects: [
      { extends: true, test: { name: 'logic', include: ['test/*.test.ts'], isolate: false } },
      // these load what they try within the test, and a machine may stand still meanwhile
      {
        extends: true,
        test: { name: 'state', include: ['test/state/*.test.ts'], testTimeout: 60_000 },
      },
    ],
  },
})
