// The end-to-end tests alone; what is said after it goes to Playwright: npm run e2e -- numbers
import { ensureChromium } from './chromium.mjs'
import { bin, ensureBuilt, ensureInstalled, run } from './run.mjs'

ensureInstalled()
ensureBuilt()
const CHROMIUM_PATH = ensureChromium()
process.exit(
  CHROMIUM_PATH
    ? run(bin('playwright'), ['test', ...process.argv.slice(2)], {
        env: { ...process.env, CHROMIUM_PATH },
      })
    : 1,
)
