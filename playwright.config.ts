import { defineConfig } from '@playwright/test'

const FLAGS = [
  '--no-sandbox',
  '--disable-quic',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
]

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  globalSetup: './e2e/seed.ts',
  workers: 2,
  fullyParallel: false,
  // Generous, and no story has a limit of its own: a check must fail on what it checks, not on a busy machine.
  timeout: 900_000,
  expect: { timeout: 120_000 },
  // One second go, to tell what comes and goes from what is broken; both count as failures.
  retries: 1,
  outputDir: 'test-results/e2e',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH!,
      args: FLAGS,
    },
  },
})
