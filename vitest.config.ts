import { defineConfig } from 'vitest/config'

const files = (...folders: string[]): string[] =>
  folders.map((folder) => `${folder}/**/*.test.{ts,tsx}`)

export default defineConfig({
  test: {
    // Generous, hooks too, and no test has a limit of its own: a check must fail on what it checks, not on a busy machine.
    testTimeout: 900_000,
    hookTimeout: 900_000,
    expect: { poll: { timeout: 120_000 } },
    pool: 'threads',
    // Nobody watches: every processor works.
    maxWorkers: '100%',
    projects: [
      // Nothing here changes a global, so the modules are loaded once for all files.
      {
        extends: true,
        test: {
          name: 'core and server',
          include: files('core', 'contract', 'server', 'demo'),
          isolate: false,
          globalSetup: 'scripts/workers-for-tests.mjs',
        },
      },
      {
        extends: true,
        test: { name: 'pages', include: files('web'), setupFiles: ['web/testing/browser.ts'] },
      },
    ],
  },
})
