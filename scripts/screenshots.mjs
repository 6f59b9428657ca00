// Takes one picture of each main view from demo data, 1280 × 800, into docs/screenshots/.
import { spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { ensureChromium } from './chromium.mjs'
import { ensureBuilt, ensureInstalled } from './run.mjs'

const VIEWS = [
  ['brief', '/builds/alder/brief'],
  [
    'recipient',
    '/builds/lantern/recipient',
    (page) => page.getByLabel('Joint centre behind the engine mounts').focus(),
  ],
  ['measuring-card', '/builds/alder/recipient/card', undefined, 390],
  [
    'pairing',
    '/builds/lantern/pairing',
    (page) => page.getByText(/of 600 worked out/).waitFor({ state: 'detached', timeout: 60_000 }),
  ],
  [
    'why-sheet',
    '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4&joint=depth',
    (page) => page.getByText(/of 600 worked out/).waitFor({ state: 'detached', timeout: 60_000 }),
  ],
  [
    'plate',
    '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4&joint=block-face',
    (page) =>
      page.getByRole('region', { name: 'Both patterns' }).evaluate((one) => one.scrollIntoView()),
  ],
  [
    'compare',
    '/builds/lantern/compare?pick=wick-2:marlund-4,wick-2:kessarn-5,quill-early:sunagi-5',
  ],
  ['trace', '/catalogue/parts/trivet-1/trace', traced],
  ['parts', '/builds/lantern/parts'],
  ['sourcing', '/builds/lantern/sourcing'],
  ['budget', '/builds/lantern/budget'],
  ['part', '/catalogue/parts/wick-2'],
  ['pattern', '/catalogue/parts/quill-late/pattern', distances],
  ['start', '/start', startTyped],
  ['first-answer', '/builds/lantern/first'],
  ['donors', '/builds/lantern/donors'],
  ['known', '/builds/lantern/known'],
  [
    'road',
    '/builds/lantern/road',
    (page) => page.getByRole('button', { name: 'Late bench' }).click(),
  ],
  ['shop-mode', '/builds/lantern/shop'],
]

async function choose(page, label, words) {
  await page.getByLabel(label, { exact: true }).click()
  await page.getByRole('option', { name: words }).first().click()
}

async function distances(page) {
  await page.getByLabel('Holes', { exact: true }).fill('4')
  await page
    .getByLabel('Distances, a line each')
    .fill(
      '1 2 206.4\n2 3 214.1\n3 4 198.7\n4 1 207.9\n1 3 291.3\n2 4 293.6\n1 axis 148.2\n2 axis 145.6\n3 axis 143.8',
    )
  await page.getByRole('button', { name: 'Work out the pattern' }).click()
  await page.getByRole('region', { name: 'What was read' }).waitFor()
}

/** A drawn face of five holes traced with its bar and three more distances. */
async function traced(page) {
  const holes = [
    [150, 30],
    [40, 140],
    [-120, 100],
    [-130, -80],
    [70, -120],
  ]
  const at = (x, y) => ({ x: 500 + 2 * x, y: 400 - 2 * y })
  const picture = await page.evaluate((face) => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 1000, height: 800 })
    const pen = canvas.getContext('2d')
    pen.fillStyle = '#c9c5bb'
    pen.fillRect(0, 0, 1000, 800)
    pen.fillStyle = '#8d8a83'
    pen.beginPath()
    for (const [x, y] of face) pen.lineTo(500 + 2.35 * x, 400 - 2.35 * y)
    pen.fill()
    pen.fillStyle = '#2b2b29'
    for (const [x, y, r] of [...face.map(([x, y]) => [x, y, 12]), [0, 0, 60]]) {
      pen.beginPath()
      pen.arc(500 + 2 * x, 400 - 2 * y, r, 0, 7)
      pen.fill()
    }
    pen.fillRect(400, 760, 200, 6)
    return canvas.toDataURL('image/png').split(',')[1]
  }, holes)
  const across = (i, j) => ({
    from: at(...holes[i]),
    to: at(...holes[j]),
    typed: `${Math.hypot(holes[i][0] - holes[j][0], holes[i][1] - holes[j][1]).toFixed(1)} mm`,
  })
  const marks = {
    axis: at(0, 0),
    holes: holes.map(([x, y]) => ({ centre: at(x, y), edge: at(x + 6, y) })),
    dowels: [],
    known: [
      { from: at(-50, -181), to: at(50, -181), typed: '100 mm' },
      across(0, 2),
      across(1, 3),
      across(2, 4),
    ],
    view: 'looking at the face',
  }
  await page.evaluate(
    (held) => localStorage.setItem('trace:trivet-1/face/rear', JSON.stringify(held)),
    marks,
  )
  await page.reload()
  await page.getByLabel('Picture of the face').setInputFiles({
    name: 'face.png',
    mimeType: 'image/png',
    buffer: Buffer.from(picture, 'base64'),
  })
  await page.getByRole('region', { name: 'What was traced' }).waitFor()
}

async function startTyped(page) {
  await page.getByLabel('Name').fill('Cormorant')
  await choose(page, 'Recipient', /pickup/i)
  await page.getByLabel('Driven tyre').fill('205/80R16')
  await page.getByLabel('Mass').fill('1,550')
  await choose(page, 'Engine', /iron V eight/i)
  await choose(page, 'Gearbox', /heavy five/i)
  for (const [question, answer] of [
    ['pilot bore in the crank', 'Yes'],
    ['Does the engine turn', "Don't know"],
    ['papers and the engine number', 'No'],
  ])
    await page
      .locator('fieldset')
      .filter({ hasText: question })
      .getByText(answer, { exact: true })
      .click()
}

ensureInstalled()
ensureBuilt()
const port = 4179
const base = `http://127.0.0.1:${port}`
const out = process.env.SHOTS ?? 'docs/screenshots'
const only = process.argv.slice(2)
const server = spawn(process.execPath, ['dist/server/main.js', '--demo'], {
  env: {
    ...process.env,
    JUNKET_PORT: String(port),
    JUNKET_DATA: mkdtempSync(join(tmpdir(), 'junket-')),
  },
  stdio: 'inherit',
})
try {
  // Generous: a slow machine fills the demo for longer than it starts.
  for (let i = 0; i < 1200; i++) {
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
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
    ],
  })
  const page = await browser.newPage({
    viewport: { width: Number(process.env.WIDTH ?? 1280), height: 800 },
  })
  page.on('pageerror', (error) => console.error('page error:', error.message))
  const job = await (
    await fetch(`${base}/api/builds/lantern/sourcing`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{}',
    })
  ).json()
  for (
    let state = job;
    state.status === 'running';
    state = await (await fetch(`${base}/api/jobs/${job.id}`)).json()
  )
    await new Promise((done) => setTimeout(done, 200))
  await page.goto(`${base}/builds/lantern/pairing`)
  for (const [name, path, then, width] of VIEWS.filter(
    ([view]) => only.length === 0 || only.includes(view),
  )) {
    await page.setViewportSize({ width: width ?? Number(process.env.WIDTH ?? 1280), height: 800 })
    await page.goto(base + path)
    await page.waitForFunction(() => {
      const main = document.querySelector('main')
      return (
        main !== null &&
        main.textContent !== '' &&
        ![...document.querySelectorAll('[role=status]')].some((one) =>
          one.textContent?.startsWith('Reading'),
        )
      )
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
