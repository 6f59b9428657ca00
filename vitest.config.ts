import { defineConfig } from 'vitest/config'

const files = (...folders: string[]): string[] =>
  folders.map((folder) => `${folder}/**/*.test.{ts,tsx}`)

export default defineConfig({
  test: {
    // Generous, hooks too: a check must fail on what it checks, not on a busy machine.
    testTimeout: 240_000,
    hookTimeout: 240_000,
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
        },
      },
      {
        extends: true,
        test: { name: 'pages', include: files('web'), setupFiles: ['web/testing/browser.ts'] },
      },
    ],
  },
})
