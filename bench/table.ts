import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import type { Row } from './row.ts'
import { serve } from './served.ts'

const ROWS = 5000

/** A table of 5,000 suppliers in Chromium: the longest frame while it is scrolled through, and to put it in order. */
export async function benchTable(): Promise<Row[]> {
  const served = await serve(mkdtempSync(join(tmpdir(), 'junket-table-')), { demo: true })
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH!,
    args: ['--no-sandbox'],
  })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const from = performance.now()
    await page.goto(served.url)
    await page.getByRole('link', { name: 'Lantern' }).waitFor()
    const firstMs = performance.now() - from
    await page.route('**/api/suppliers', (route) =>
      route.fulfill({
        json: {
          items: Array.from({ length: ROWS }, (_, i) => ({
            id: `s${i}`,
            version: 1,
            name: `Supplier ${i}`,
            place: `Quay ${i % 97}`,
            currency: 'EUR',
            minimumMinor: 0,
            shippingMinor: (i * 7919 + 4321) % 5000,
            freeOverMinor: null,
          })),
        },
      }),
    )
    await page.goto(`${served.url}/suppliers`)
    await page.getByText(`${ROWS} suppliers`).waitFor()
    const longest = await page.evaluate(async () => {
      const main = document.querySelector('main')!
      const frame = (): Promise<number> => new Promise((done) => requestAnimationFrame(done))
      const frames: number[] = []
      let last = await frame()
      for (let i = 0; i < 240; i++) {
        main.scrollTop += 700
        const now = await frame()
        frames.push(now - last)
        last = now
      }
      return Math.max(...frames)
    })
    await page.evaluate(() => document.querySelector('main')!.scrollTo(0, 0))
    await page.getByText('Supplier 0', { exact: true }).waitFor()
    const sorted = await page.evaluate(async () => {
      const head = [...document.querySelectorAll('th button')].find((one) =>
        one.textContent?.includes('Shipping'),
      ) as HTMLElement
      const before = document.querySelector('tbody tr[data-index]')!.textContent
      const began = performance.now()
      head.click()
      while (document.querySelector('tbody tr[data-index]')!.textContent === before)
        await new Promise(requestAnimationFrame)
      return performance.now() - began
    })
    const row = (name: string, value: number, goal: number): Row => ({
      name,
      value: Math.round(value),
      unit: 'ms',
      goal,
      better: 'lower',
      runs: 1,
    })
    return [
      row('first screen of the demo in Chromium', firstMs, 1000),
      row('a table of 5,000 rows scrolled: longest frame', longest, 50),
      row('the same put in order by a column', sorted, 100),
    ]
  } finally {
    await browser.close()
    await served.stop()
  }
}
