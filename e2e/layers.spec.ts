import type { Locator, Page } from '@playwright/test'
import { expect, expectAccessible, settled, still, test } from './junket.ts'

const CONTROLS =
  'button, a[href], input:not([type=hidden]), textarea, [role=option], [role=menuitemcheckbox], [role=radio], [role=combobox]'

/** Every control of what lies over the page is the topmost thing at its centre, and inside the window. */
async function expectOnTop(layer: Locator): Promise<void> {
  const faults = await layer.evaluate((box, controls) => {
    // An open dialog takes the pointer from all that is under it: painted over it, it would not be found.
    document.body.style.setProperty('pointer-events', 'auto', 'important')
    const seen = [...box.querySelectorAll<HTMLElement>(controls)].filter(
      (one) => one.checkVisibility() && !one.closest('[aria-hidden=true], .sr-only'),
    )
    const wrong = seen.flatMap((one) => {
      one.scrollIntoView({ block: 'nearest' })
      const { left, top, right, bottom } = one.getBoundingClientRect()
      const [x, y] = [(left + right) / 2, (top + bottom) / 2]
      const there = document.elementFromPoint(x, y)
      const isIn = left >= 0 && top >= 0 && right <= innerWidth && bottom <= innerHeight
      return isIn && there && (one.contains(there) || there.contains(one)) && box.contains(there)
        ? []
        : [
            `${one.textContent || one.getAttribute('aria-label')} at ${Math.round(x)}, ${Math.round(y)}`,
          ]
    })
    document.body.style.removeProperty('pointer-events')
    return { wrong, count: seen.length }
  }, CONTROLS)
  expect(faults.wrong).toEqual([])
  expect(faults.count).toBeGreaterThan(0)
}

const OVER = '[role=dialog], [role=menu], [role=listbox], [data-sonner-toaster]'

interface Layer {
  readonly name: string
  readonly at: string
  readonly open: (page: Page) => Promise<unknown>
  readonly layer: (page: Page) => Locator
}
const dialog = (page: Page): Locator => page.getByRole('dialog')
const press =
  (name: string | RegExp) =>
  (page: Page): Promise<void> =>
    page.getByRole('button', { name }).first().click()
const PILOT = '/builds/lantern/pairing?engine=quill-late&transmission=sunagi-5&joint=pilot'

const LAYERS: readonly Layer[] = [
  { name: 'keys', at: '/', open: press('Keys ?'), layer: dialog },
  { name: 'find', at: '/', open: press('Find /'), layer: dialog },
  { name: 'phone', at: '/', open: press('Open on a phone'), layer: dialog },
  { name: 'history', at: '/builds/lantern/parts', open: press('History'), layer: dialog },
  {
    name: 'take a kit',
    at: '/builds/lantern/kits?kits=kit-1,kit-2',
    open: press('Take Brimble Wick 2nd kit'),
    layer: dialog,
  },
  {
    name: 'offer',
    at: '/catalogue/parts/half-yoke-24',
    open: press(/Change the offer/),
    layer: dialog,
  },
  {
    name: 'supplier',
    at: '/suppliers',
    open: press('Change Oarsman Trade Counter'),
    layer: dialog,
  },
  { name: 'measuring', at: PILOT, open: press('Record measurement'), layer: dialog },
  {
    name: 'claim',
    at: PILOT,
    open: press('Say what is known of this joint as a whole'),
    layer: dialog,
  },
  {
    name: 'measuring a part',
    at: '/catalogue/parts/wick-2',
    open: press(/^Measure /),
    layer: dialog,
  },
  { name: 'a supplier', at: '/suppliers', open: press(/^Change /), layer: dialog },
  {
    name: 'columns',
    at: '/builds/lantern/parts',
    open: press('Columns'),
    layer: (page) => page.getByRole('menu'),
  },
  {
    name: 'a line of one’s own',
    at: '/builds/lantern/parts',
    open: press('Add a line'),
    layer: dialog,
  },
  { name: 'a recipe', at: '/settings', open: press('New recipe'), layer: dialog },
  {
    name: 'a list of few',
    at: '/builds/lantern/brief',
    open: (page) => page.getByLabel('Use', { exact: true }).click(),
    layer: (page) => page.getByRole('listbox'),
  },
  {
    name: 'a list that is searched',
    at: '/builds/lantern/pairing',
    open: async (page) => {
      await press(/^Show the pairing/)(page)
      await page.getByRole('combobox', { name: 'Clutch disc' }).click()
    },
    layer: (page) => page.getByRole('dialog', { name: 'Name or part number' }),
  },
  {
    name: 'a list in a dialog',
    at: PILOT,
    open: async (page) => {
      await press('Record measurement')(page)
      await dialog(page).getByLabel('How it is known').click()
    },
    layer: (page) => page.getByRole('listbox'),
  },
  {
    name: 'what was done, with its undo',
    at: '/builds/lantern/parts',
    open: async (page) => {
      await page.getByRole('row', { name: /^Code reader/ }).click()
      await page.getByRole('button', { name: 'Drop this line' }).click()
    },
    layer: (page) => page.locator('[data-sonner-toast]'),
  },
]

for (const width of [1280, 390])
  test(`what lies over a page is covered by nothing and reaches no edge, ${width} px wide`, async ({
    page,
    demo,
  }) => {
    await page.setViewportSize({ width, height: 800 })
    for (const { name, at, open, layer } of LAYERS)
      await test.step(name, async () => {
        await page.goto(demo.url + at)
        await settled(page)
        await open(page)
        await expect(layer(page)).toBeVisible()
        await still(page)
        await expectOnTop(layer(page))
        // What is under it is hidden from readers by then: only the layer is asked about.
        await expectAccessible(page, undefined, OVER)
      })
  })

test('at 390 px the head holds the build, its likely range and the next action in full, each inside the window and on top', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const stage of ['brief', 'pairing', 'parts', 'sourcing', 'budget']) {
    await page.goto(`${demo.url}/builds/lantern/${stage}`)
    const head = page.getByRole('banner')
    const next = head.getByRole('link', { name: /^Answer: / })
    for (const shown of [
      head.getByText('Lantern', { exact: true }),
      head.getByText(/^Likely/),
      next,
    ]) {
      await expect(shown).toBeVisible()
      const isWhole = await shown.evaluate((one) => {
        const { left, right, top, bottom } = one.getBoundingClientRect()
        const there = document.elementFromPoint((left + right) / 2, (top + bottom) / 2)
        const fits = one.scrollWidth <= one.clientWidth + 1 || one.clientWidth === 0
        return (
          left >= 0 &&
          right <= innerWidth &&
          fits &&
          (one.contains(there) || !!there?.contains(one))
        )
      })
      expect(isWhole, `${stage}: ${await shown.textContent()}`).toBe(true)
    }
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  }
})
