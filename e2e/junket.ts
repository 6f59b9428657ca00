import { type ChildProcess, spawn } from 'node:child_process'
import { copyFileSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import AxeBuilder from '@axe-core/playwright'
import { test as base, expect, type Locator, type Page } from '@playwright/test'

export interface Junket {
  readonly url: string
  readonly data: string
  readonly process: ChildProcess
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>
}

const freePort = (): Promise<number> =>
  new Promise((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => found(port))
    })
  })

/** Generous: a slow machine fills the demo for longer than it starts. */
const STARTS_WITHIN_MS = 120_000

/** A folder that holds the demo: filled once for all, then copied. */
function demoFolder(): string {
  const data = mkdtempSync(join(tmpdir(), 'junket-e2e-'))
  const seed = process.env.JUNKET_DEMO_SEED
  if (seed) copyFileSync(seed, join(data, 'junket.sqlite'))
  return data
}

interface Start {
  readonly demo?: boolean
  readonly data?: string
  readonly host?: string
  readonly passcode?: string
  readonly args?: readonly string[]
}

/** Starts the built application on a free port with data of its own, demo or empty. */
export async function startJunket({
  demo = false,
  data = demo ? demoFolder() : mkdtempSync(join(tmpdir(), 'junket-e2e-')),
  host = '',
  passcode = '',
  args = [],
}: Start = {}): Promise<Junket> {
  const port = await freePort()
  const url = `http://127.0.0.1:${port}`
  const child = spawn(
    process.execPath,
    ['dist/server/main.js', ...(demo ? ['--demo'] : []), ...args],
    {
      env: {
        ...process.env,
        JUNKET_PORT: String(port),
        JUNKET_DATA: data,
        JUNKET_LOG: 'error',
        JUNKET_FEED_PORT: 'off',
        // Most stories look at one build: what they do not look at is not judged for them.
        JUNKET_WARM: 'off',
        ...(host ? { JUNKET_HOST: host, JUNKET_PASSCODE: passcode } : {}),
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  )
  const until = Date.now() + STARTS_WITHIN_MS
  for (;;) {
    if (
      await fetch(`${url}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      break
    if (child.exitCode !== null || Date.now() > until) {
      child.kill('SIGKILL')
      throw new Error(`The application did not start within ${STARTS_WITHIN_MS / 1000} s.`)
    }
    await new Promise((done) => setTimeout(done, 50))
  }
  const stop = (signal: NodeJS.Signals = 'SIGTERM'): Promise<void> =>
    new Promise((done) => {
      if (child.exitCode !== null || child.signalCode !== null) return done()
      child.once('exit', () => done())
      child.kill(signal)
    })
  return { url, data, process: child, stop }
}

/** Nobody looks at it any more: what it is still at is not waited for. */
async function leave({ stop, data }: Junket): Promise<void> {
  await stop('SIGKILL')
  rmSync(data, { recursive: true, force: true })
}

/** As the application names a backup that was asked for. */
const FRESH = 'junket-2026-01-01T00-00-00-000-asked.sqlite'

/** Puts data in the place of what the story before left; false where that is still at something long. */
async function putBack({ url, data }: Junket, seed: string): Promise<boolean> {
  const backups = join(data, 'backups')
  const clear = (): void => {
    for (const folder of [backups, join(data, 'photos')])
      rmSync(folder, { recursive: true, force: true })
  }
  clear()
  mkdirSync(backups, { recursive: true })
  copyFileSync(seed, join(backups, FRESH))
  const { ok } = await fetch(`${url}/api/backups/${FRESH}/restore`, { method: 'POST' })
  clear()
  return ok
}

/** One application for many stories, each on data of its own: it is put there as a backup is. */
class Shared {
  #junket: Junket | null = null

  async with(seed: string): Promise<Junket> {
    if (this.#junket && (await putBack(this.#junket, seed))) return this.#junket
    await this.leave()
    this.#junket = await startJunket()
    if (!(await putBack(this.#junket, seed))) throw new Error('The data was not put in place.')
    return this.#junket
  }

  async leave(): Promise<void> {
    if (this.#junket) await leave(this.#junket)
    this.#junket = null
  }
}

/** A test on the demo or on an empty shop; the page fails on any error of its own. */
export const test = base.extend<
  { demo: Pick<Junket, 'url'>; empty: Pick<Junket, 'url'> },
  { shared: Shared }
>({
  shared: [
    async ({}, use) => {
      const shared = new Shared()
      await use(shared)
      await shared.leave()
    },
    { scope: 'worker' },
  ],
  demo: async ({ shared }, use) => use(await shared.with(process.env.JUNKET_DEMO_SEED!)),
  empty: async ({ shared }, use) => use(await shared.with(process.env.JUNKET_EMPTY_SEED!)),
  page: async ({ page }, use) => {
    const errors: string[] = []
    page.on('pageerror', (error) => errors.push(error.message))
    await use(page)
    expect(errors).toEqual([])
  },
})

/** Waits until the page has read what it shows. The line of events stays open for ever, so the network is never idle. */
export async function settled(page: Page): Promise<void> {
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
  await page.evaluate(() => document.fonts.ready)
}

/** Waits until nothing moves, and no message is about to come in or go. */
export async function still(page: Page): Promise<void> {
  await page.waitForFunction(
    () =>
      document.getAnimations().every(({ playState }) => playState !== 'running') &&
      [...document.querySelectorAll<HTMLElement>('[data-sonner-toast]')].every(
        ({ dataset }) => dataset.mounted === 'true' && dataset.removed !== 'true',
      ),
  )
}

/** Nothing serious by axe on the page as it stands, or within one part of it. */
export async function expectAccessible(
  page: Page,
  rules?: string[],
  within?: string,
): Promise<void> {
  // What fades in or out has a contrast of its own, for a moment.
  await still(page)
  const builder = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
  const axe = within ? builder.include(within) : builder
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  const serious = violations.filter((one) => one.impact === 'serious' || one.impact === 'critical')
  expect(
    serious.map(
      (one) =>
        `${one.id}: ${one.nodes
          .map((node) => node.target.join(' '))
          .slice(0, 3)
          .join(' | ')}`,
    ),
  ).toEqual([])
}

export { expect }

/** Opens a list by its field and takes one of its options; one that is searched is typed into first. */
export async function choose(
  field: Locator,
  words: string | RegExp,
  search?: string,
): Promise<void> {
  const page = field.page()
  await field.click()
  if (search !== undefined) await page.getByPlaceholder('Name or part number').fill(search)
  await page.getByRole('option', { name: words }).first().click()
  await expect(page.getByRole('option')).toHaveCount(0)
}

/** Presses Tab until the control has the focus: how one gets there without a mouse. */
export async function tabTo(page: Page, control: Locator, most = 80): Promise<void> {
  for (
    let i = 0;
    i < most && !(await control.evaluate((one) => one === document.activeElement));
    i++
  )
    await page.keyboard.press('Tab')
  await expect(control).toBeFocused()
}
