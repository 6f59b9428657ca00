import { expect, expectAccessible, settled, test } from './junket.ts'

const OF_A_BUILD = [
  '/builds/lantern/first',
  '/builds/lantern/brief',
  '/builds/lantern/recipient',
  '/builds/lantern/recipient/card',
  '/builds/lantern/donors',
  '/builds/lantern/donors/donor-1/sheet',
  '/builds/lantern/shop',
  '/builds/lantern/pairing?joint=depth',
  '/builds/lantern/mating',
  '/builds/lantern/bench',
  '/builds/lantern/parts',
  '/builds/lantern/sourcing',
  '/builds/lantern/budget',
]
const OUTSIDE = [
  '/',
  '/start',
  '/safekeeping',
  '/catalogue/parts/wick-2/pattern',
  '/catalogue/parts/wick-2/trace',
  '/catalogue',
  '/catalogue?tab=kits',
  '/catalogue?tab=donors',
  '/catalogue/parts/wick-2',
  '/catalogue/new/engine',
  '/catalogue/new/kit',
  '/catalogue/new/donor',
  '/suppliers',
  '/suppliers/import',
  '/settings',
  '/nowhere',
]

for (const [words, paths] of [
  ['of a build', OF_A_BUILD],
  ['outside a build', OUTSIDE],
] as const)
  test(`axe finds nothing serious on any screen ${words} in either theme, and nothing is cut off at 800 px`, async ({ page, demo }) => {
    // Every screen twice by axe: minutes on a busy machine.
    test.setTimeout(600_000)
    const job = await (await page.request.post(`${demo.url}/api/builds/lantern/sourcing`, { data: {} })).json()
    await expect.poll(async () => (await (await page.request.get(`${demo.url}/api/jobs/${job.id}`)).json()).status, { timeout: 120_000 }).toBe('done')
    for (const path of paths) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.goto(demo.url + path)
      await settled(page)
      await expectAccessible(page)
      // The themes differ in colour only, so only contrast is asked again.
      await page.evaluate(() => void (document.documentElement.dataset.theme = 'late'))
      await expectAccessible(page, ['color-contrast'])
      await page.setViewportSize({ width: 800, height: 800 })
      expect([path, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([path, 800])
    }
  })
