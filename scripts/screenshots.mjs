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
  ['pattern', '/catalogue/parts/quill-late/pattern', distances],
  ['settings', '/settings'],
  ['start', '/start', startTyped],
  ['first-answer', '/builds/lantern/first'],
  ['donors', '/builds/lantern/donors'],
  ['donor-sheet', '/builds/lantern/donors/donor-1/sheet'],
  ['conflict', '/builds/lantern/brief', clash],
  ['history', '/builds/lantern/brief', (page) => page.getByRole('button', { name: 'History' }).click()],
  ['late-bench', '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4&joint=depth', (page) => page.getByRole('button', { name: 'Late bench' }).click()],
  ['shop-mode', '/builds/lantern/shop'],
]

async function distances(page) {
  await page.getByLabel('Holes', { exact: true }).fill('4')
  await page.getByLabel('Distances, a line each').fill('1 2 206.4\n2 3 214.1\n3 4 198.7\n4 1 207.9\n1 3 291.3\n2 4 293.6\n1 axis 148.2\n2 axis 145.6\n3 axis 143.8')
  await page.getByRole('button', { name: 'Work out the pattern' }).click()
  await page.getByRole('region', { name: 'What was read' }).waitFor()
}

async function startTyped(page) {
  await page.getByLabel('Name').fill('Cormorant')
  await page.getByLabel('Recipient').selectOption('template:pickup')
  await page.getByLabel('Driven tyre').fill('205/80R16')
  await page.getByLabel('Mass').fill('1,550')
  await page.getByLabel('Engine', { exact: true }).selectOption('template:iron-eight')
  await page.getByLabel('Gearbox', { exact: true }).selectOption('template:heavy-five-speed')
  for (const [question, answer] of [
    ['pilot bore in the crank', 'Yes'],
    ['Does the engine turn', "Don't know"],
    ['papers and the engine number', 'No'],
  ])
    await page.locator('fieldset').filter({ hasText: question }).getByText(answer, { exact: true }).click()
}

/** Two people at one field: what is typed here, and what Bram saved meanwhile. */
async function clash(page) {
  await page.getByLabel('Like-for-like repair').fill('3100.00')
  const { build } = await (await fetch(`${base}/api/builds/lantern`)).json()
  await fetch(`${base}/api/builds/lantern`, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json', 'x-junket-person': 'person-bram' },
    body: JSON.stringify({ version: build.version, likeForLikeMinor: 320000, contingency: 0.25 }),
  })
  await page.getByRole('alert', { name: 'Changed by two people' }).waitFor()
}

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
  for (const [name, path, then] of VIEWS.filter(([view]) => only.length === 0 || only.includes(view))) {
    await page.goto(base + path)
    await page.waitForFunction(() => {
      const main = document.querySelector('main')
      return main !== null && main.textContent !== '' && ![...document.querySelectorAll('[role=status]')].some((one) => one.textContent?.startsWith('Reading'))
    })
    if (then) await then(page)
    await page.waitForTimeout(400)
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: `${out}/${name}.png` })
    console.log(`${out}/${name}.png`)
  }
  await browser.close()
} finally {
  server.kill('SIGTERM')
}
