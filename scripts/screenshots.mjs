// Takes one picture of each main view from demo data, 1280 × 800, into docs/screenshots/.
import { spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { ensureChromium } from './chromium.mjs'
import { ensureBuilt, ensureInstalled } from './run.mjs'

const VIEWS = [
  ['builds', '/'],
  ['brief', '/builds/lantern/brief'],
  ['pairing', '/builds/lantern/pairing'],
  ['why-sheet', '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4&joint=depth'],
  ['parts', '/builds/lantern/parts'],
  ['sourcing', '/builds/lantern/sourcing'],
  ['budget', '/builds/lantern/budget'],
  ['catalogue', '/catalogue?kind=engine'],
  ['part', '/catalogue/parts/wick-2'],
  ['add-engine', '/catalogue/new/engine'],
  ['suppliers', '/suppliers'],
  ['settings', '/settings'],
]

ensureInstalled()
ensureBuilt()
const port = 4179
const base = `http://127.0.0.1:${port}`
const out = process.env.SHOTS ?? 'docs/screenshots'
const only = process.argv.slice(2)
const server = spawn(process.execPath, ['dist/server/main.js', '--demo'], {
  env: { ...process.env, JUNKET_PORT: String(port), JUNKET_DATA: mkdtempSync(join(tmpdir(), 'junket-')) },
  stdio: 'inherit',
})
try {
  for (let i = 0; i < 100; i++) {
    if (
      await fetch(`${base}/api/health`).then(
        (r) => r.ok,
        () => false,
      )
    )
      break
    await new Promise((done) => setTimeout(done, 100))
  }
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-quic', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--no-first-run'],
  })
  const page = await browser.newPage({ viewport: { width: Number(process.env.WIDTH ?? 1280), height: 800 } })
  page.on('pageerror', (error) => console.error('page error:', error.message))
  const job = await (await fetch(`${base}/api/builds/lantern/sourcing`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' })).json()
  for (let state = job; state.status === 'running'; state = await (await fetch(`${base}/api/jobs/${job.id}`)).json()) await new Promise((done) => setTimeout(done, 200))
  await page.goto(`${base}/builds/lantern/pairing`)
  for (const [name, path] of VIEWS.filter(([view]) => only.length === 0 || only.includes(view))) {
    await page.goto(base + path)
    await page.waitForLoadState('networkidle')
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: `${out}/${name}.png` })
    console.log(`${out}/${name}.png`)
  }
  await browser.close()
} finally {
  server.kill('SIGTERM')
}
