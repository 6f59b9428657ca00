import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { growEngines } from './grown.ts'
import type { Row } from './row.ts'
import { serve } from './served.ts'

/** 63 engines, 20 gearboxes and 4 transfer cases. */
const ENGINES = 63
const WORDS = 'late four'

/** The explorer of 5,000 pairings in Chromium: rows there, all worked out, and how long a key waits meanwhile. */
export async function benchExplorer(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'junket-bench-'))
  await (await serve(data, { demo: true })).stop()
  growEngines(join(data, 'junket.sqlite'), ENGINES)
  const served = await serve(data)
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH!,
    args: ['--no-sandbox'],
  })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const open = async (): Promise<{ listed: number; visible: number; from: number }> => {
      await page.goto(`${served.url}/builds/alder/parts`)
      await page.getByRole('heading', { level: 1 }).waitFor()
      await page.waitForLoadState('networkidle')
      const from = Date.now()
      await page.getByRole('link', { name: /^Pairing/ }).click()
      await rows.first().waitFor()
      const listed = Date.now() - from
      // A row is worked out once its cost is a figure.
      await page.waitForFunction(
        () => {
          const seen = [
            ...document.querySelectorAll('table[aria-label="pairings"] tbody tr[data-row]'),
          ].slice(0, 6)
          return seen.length > 5 && seen.every((row) => !row.textContent?.includes('…'))
        },
        undefined,
        { polling: 20 },
      )
      return { listed, visible: Date.now() - from, from }
    }
    const rows = page.locator('table[aria-label="pairings"] tbody tr[data-row]')
    const cold = await open()
    const isDone = (): Promise<void> =>
      page.getByText('worked out').waitFor({ state: 'detached', timeout: 180_000 })
    await isDone()
    const all = (Date.now() - cold.from) / 1000
    // Once more with the engine set back, and somebody at the keys.
    await page.getByRole('button', { name: 'Set back instead' }).click()
    await rows.first().waitFor()
    const waits = await keysWhile(page)
    const isUnderWay = await page.getByText('worked out').isVisible()
    await isDone()
    if (!isUnderWay) throw new Error('All was worked out before the last key.')
    const warm = await open()
    const words = await page.getByRole('heading', { level: 1 }).textContent()
    console.log(
      `  ${words}, keys waited ms: ${waits
        .map(Math.round)
        .toSorted((p, q) => p - q)
        .join(' ')}`,
    )
    const row = (
      name: string,
      value: number,
      unit: string,
      goal: number | null,
      percentile?: string,
      runs = 1,
    ): Row => ({
      name: `explorer of 5,000: ${name}`,
      value,
      unit,
      goal,
      better: 'lower',
      runs,
      ...(percentile ? { percentile } : {}),
    })
    return [
      row('visible rows worked out, first opened', cold.visible, 'ms', null),
      row('rows with their joints, opened again', warm.listed, 'ms', 300),
      row('visible rows worked out, opened again', warm.visible, 'ms', 300),
      row('all worked out', Number(all.toFixed(1)), 's', 20),
      row(
        'a key, while they are',
        Math.round(Math.max(...waits)),
        'ms',
        100,
        'longest',
        waits.length,
      ),
    ]
  } finally {
    await browser.close()
    await served.stop()
  }
}

/** Types into the search while figures come in: how long each key waits for the next drawing, ms. */
async function keysWhile(page: Page): Promise<readonly number[]> {
  await page.evaluate(() => {
    const waits: number[] = []
    Object.assign(window, { waits })
    addEventListener(
      'keydown',
      ({ timeStamp }) =>
        requestAnimationFrame(() => setTimeout(() => waits.push(performance.now() - timeStamp))),
      true,
    )
  })
  const find = page.getByRole('searchbox').or(page.getByPlaceholder('in pairings'))
  await find.first().click()
  // At the pace of somebody who types fast.
  for (let round = 0; round < 3; round++) {
    for (const key of WORDS) {
      await page.keyboard.press(key === ' ' ? 'Space' : key)
      await page.waitForTimeout(60)
    }
    for (let i = 0; i < WORDS.length; i++) {
      await page.keyboard.press('Backspace')
      await page.waitForTimeout(30)
    }
  }
  return page.evaluate(() => Reflect.get(window, 'waits') as number[])
}
