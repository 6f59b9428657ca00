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
  '/builds/lantern/compare?pick=wick-2:marlund-4,wick-2:kessarn-5',
  '/builds/lantern/road',
  '/builds/lantern/against?with=alder',
  '/builds/lantern/summary',
  '/builds/sprat/measure-next',
  '/builds/lantern/mating',
  '/builds/lantern/bench',
  '/builds/lantern/parts',
  '/builds/lantern/known',
  '/builds/lantern/kits?kits=kit-1,kit-2,kit-9',
  '/builds/lantern/arrivals',
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
  '/catalogue?tab=tree',
  '/catalogue?fits=Kessarn%20Wick&isInStock=true',
  '/catalogue/beside?parts=plate-w2-12,plate-w2-12b',
  '/catalogue/conflicts',
  '/catalogue/parts/wick-2',
  '/catalogue/check?of=MLD&want=417.18&from=MLD&have=417.20',
  '/catalogue/new/engine',
  '/catalogue/new/kit',
  '/catalogue/new/donor',
  '/suppliers',
  '/suppliers/import',
  '/wanted',
  '/catalogue/import/kits',
  '/catalogue/kits/kit-1',
  '/settings',
  '/nowhere',
]

const PHONE_RULES = [
  'button-name',
  'link-name',
  'label',
  'nested-interactive',
  'scrollable-region-focusable',
  'target-size',
  'aria-hidden-focus',
]

for (const [words, paths] of [
  ['of a build', OF_A_BUILD],
  ['outside a build', OUTSIDE],
] as const)
  test(`axe finds nothing serious on any screen ${words} in either theme, and nothing is cut off at 800 or 390 px`, async ({
    page,
    demo,
  }) => {
    const job = await (
      await page.request.post(`${demo.url}/api/builds/lantern/sourcing`, { data: {} })
    ).json()
    await expect
      .poll(
        async () =>
          (await (await page.request.get(`${demo.url}/api/jobs/${job.id}`)).json()).status,
      )
      .toBe('done')
    const cut: string[] = []
    for (const path of paths) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.goto(demo.url + path)
      await settled(page)
      await expectAccessible(page)
      // The themes differ in colour only, so only contrast is asked again.
      await page.evaluate(() => void (document.documentElement.dataset.theme = 'late'))
      await expectAccessible(page, ['color-contrast'])
      for (const width of [800, 390]) {
        await page.setViewportSize({ width, height: 800 })
        cut.push(
          ...((await page.evaluate(() => document.documentElement.scrollWidth > innerWidth))
            ? [`${path} at ${width}`]
            : []),
        )
      }
      // On a phone other things show: all but their colours is asked again.
      await expectAccessible(page, PHONE_RULES)
    }
    expect(cut).toEqual([])
  })

test('a dialog lies over everything: with a head that stays and a grid under it, nothing covers any of it', async ({
  page,
  demo,
}) => {
  await page.goto(
    `${demo.url}/builds/lantern/pairing?engine=quill-late&transmission=sunagi-5&joint=pilot`,
  )
  await settled(page)
  await page.getByRole('button', { name: 'Record measurement' }).click()
  const dialog = page.getByRole('dialog', { name: /Record a measurement/ })
  await expect(dialog).toBeVisible()
  const covered = await dialog.evaluate((box) => {
    // An open dialog takes the pointer from all that is under it: painted over it, it would not be found.
    document.body.style.setProperty('pointer-events', 'auto', 'important')
    const { x, y, width, height } = box.getBoundingClientRect()
    const points = Array.from(
      { length: 20 * 20 },
      (_, i) =>
        [
          x + (width * ((i % 20) + 0.5)) / 20,
          y + (height * (Math.floor(i / 20) + 0.5)) / 20,
        ] as const,
    )
    return points.flatMap(([left, top]) => {
      const there = document.elementFromPoint(left, top)
      return there && box.contains(there)
        ? []
        : [`${there?.textContent?.slice(0, 30)} at ${Math.round(left)}, ${Math.round(top)}`]
    })
  })
  expect(covered).toEqual([])
})
