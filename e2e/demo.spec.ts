import type { Page } from '@playwright/test'
import { HARD } from '../core/sourcing/hard-problem.property.ts'
import { choose, expect, tabTo, test } from './junket.ts'

/** How many lines the parts list says it has. */
const lineCount = async (page: Page): Promise<number> =>
  Number.parseInt(
    (await page.getByRole('heading', { name: /^\d+ lines$/ }).textContent()) ?? '',
    10,
  )
const expectLines = (page: Page, count: number) =>
  expect(page.getByRole('heading', { name: `${count} lines`, exact: true })).toBeVisible()

test('the demo by mouse: verdict, why, measurement, parts, drop and undo, solve, lock, budget; a reload loses nothing', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  await page.getByRole('link', { name: 'Lantern' }).click()
  await expect(page.getByRole('heading', { name: '600 pairings' })).toBeVisible()

  // The closed pairing's depth: bare it needs a piece, with the plate it mates.
  await page
    .getByRole('button', { name: 'Depth, Kessarn Wick, 2nd with Marlund 4-speed', exact: true })
    .click()
  const why = page.getByRole('complementary', { name: 'Why: Depth' })
  await expect(why.getByRole('heading', { name: 'Depth: mates', exact: true })).toBeVisible()
  await why.getByLabel('Bare, as they meet').check()
  await expect(why.getByRole('heading', { name: 'Depth: needs a piece' })).toBeVisible()
  await expect(why.getByText('hardly turn by hand').first()).toBeVisible()

  // An unmeasured joint, measured from its why sheet: what leaned on it follows.
  // With the sheet open joints are counted by place; closed, each has its column again.
  await why.getByRole('button', { name: 'Close' }).click()
  await page.getByPlaceholder('in pairings').fill('quill late sunagi 5-speed')
  await page
    .getByRole('button', { name: 'Pilot, Sunagi Quill, late with Sunagi 5-speed', exact: true })
    .click()
  await expect(page.getByRole('heading', { name: 'Pilot: not measured' })).toBeVisible()
  await page.getByRole('button', { name: 'Record measurement' }).click()
  const dialog = page.getByRole('dialog')
  await choose(dialog.getByLabel('Value'), 'yes')
  await dialog.getByLabel('By whom').fill('Tove')
  await dialog.getByRole('button', { name: 'Record measurement' }).click()
  await expect(dialog.getByText('recorded yes')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Pilot: mates', exact: true })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Pilot: mates', exact: true })).toBeVisible()

  await page.getByRole('link', { name: /^Parts/ }).click()
  const lines = await lineCount(page)
  await page.getByRole('radio', { name: /^All/ }).click()
  await page.getByPlaceholder('in lines').fill('front pipe')
  await page
    .getByRole('row', { name: /^Front pipe:? / })
    .first()
    .click()
  await expect(page.getByRole('complementary', { name: 'Line: Front pipe' })).toContainText(
    'Its route past steering',
  )
  await page.getByRole('button', { name: 'Drop this line' }).click()
  await expectLines(page, lines - 1)
  await page.reload()
  await expectLines(page, lines - 1)
  await page.getByRole('button', { name: 'Put back' }).click()
  await expectLines(page, lines)

  await page
    .getByRole('link', { name: /^Sourcing/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Solve again' }).click()
  await expect(
    page.getByRole('heading', { name: /^Proven cheapest for \d+ of \d+ lines/ }),
  ).toBeVisible()
  await page.getByRole('row', { name: /^Adapter plate/ }).click()
  await page.getByRole('button', { name: 'Keep this' }).click()
  await expect(page.getByText('changed since: solve again')).toBeVisible()
  await page.getByRole('button', { name: 'Solve again' }).click()
  await expect(page.getByText(/made \d{4}/)).toBeVisible()

  await page.getByRole('link', { name: 'Budget', exact: true }).click()
  await expect(page.getByText('Dearer than the repair by')).toBeVisible()
  await expect(page.getByRole('banner')).toContainText('Likely')
})

test('locks that contradict one another are named, and taken off', async ({ page, demo }) => {
  const post = (path: string, body: unknown) =>
    page.request.post(`${demo.url}/api${path}`, { data: body })
  await post('/builds/lantern/locks', { way: 'in', bundle: 'kit:kit-1' })
  await post('/builds/lantern/locks', { way: 'out', supplierId: 'tessil' })
  await page.goto(`${demo.url}/builds/lantern/sourcing`)
  await page.getByRole('button', { name: 'Solve again' }).click()
  await expect(page.getByRole('heading', { name: 'No plan is possible' })).toBeVisible()
  await expect(page.getByRole('alert').filter({ hasText: 'No plan can hold' })).toContainText(
    'the lock',
  )
  for (const left of [1, 0]) {
    await page.getByRole('button', { name: 'Unlock' }).first().click()
    await expect(page.getByRole('button', { name: 'Unlock' })).toHaveCount(left)
  }
  await page.getByRole('button', { name: 'Solve again' }).click()
  await expect(page.getByRole('heading', { name: /^Proven/ })).toBeVisible()
})

test('a solve that is stopped leaves the plan that held, marked, with its total; the next one proves anew', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/sourcing`)
  const heading = page.getByRole('main').getByRole('heading', { level: 1 })
  await expect(heading).toHaveText(/^Proven/)
  const proven = await heading.textContent()
  const plate = page.getByRole('row', { name: /^Adapter plate/ })
  await expect(plate).toBeVisible()
  // Both threads that solve are at something long: the solve of the page waits, and can be stopped however fast it is.
  const left = new AbortController()
  const busy = [1, 2].map(() =>
    fetch(`${demo.url}/api/plan/sourcing`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...HARD, timeLimitMs: 30_000 }),
      signal: left.signal,
    }),
  )
  // Answered once both were heard.
  await page.request.get(`${demo.url}/api/health`)
  expect(await Promise.race([...busy, 'at work'])).toBe('at work')
  await page.getByRole('button', { name: 'Solve again' }).click()
  await page.getByRole('button', { name: 'Stop, keep the best' }).click()
  await expect(heading).toHaveText(/^(Stopped before a new plan|Best found)/)
  left.abort()
  await Promise.allSettled(busy)
  await expect(plate).toBeVisible()
  await expect(page.getByRole('banner')).toContainText(/Likely\s*€/)
  await page.reload()
  await expect(heading).toHaveText(/^(Stopped before a new plan|Best found)/)
  await page.getByRole('button', { name: 'Solve again' }).click()
  await expect(heading).toHaveText(/^Proven/)
  // Proven anew for as many lines as before.
  await expect(heading).toHaveText(proven!)
})

test('a piece of a kit is taken by itself; a lock on a line that is dropped rests, says so, and holds again', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/sourcing`)
  await page.getByRole('row', { name: /^Clutch disc/ }).click()
  const why = page.getByRole('complementary', { name: /^Why this/ })
  await why
    .getByRole('listitem')
    .filter({ hasText: 'Marlund clutch kit' })
    .getByRole('button', { name: 'Take this' })
    .click()
  await expect(page.getByText('changed since: solve again')).toBeVisible()
  await page.getByRole('button', { name: 'Solve again' }).click()
  await expect(page.getByRole('row', { name: /^Clutch disc/ })).toContainText('Marlund clutch kit')
  await page.keyboard.press('Escape')
  const locks = page.getByRole('complementary', { name: 'Baskets and locks' })
  await expect(locks).not.toContainText('It rests')

  await page.getByRole('link', { name: /^Parts/ }).click()
  // Sourcing has a row of that name too: the click is for the page that comes.
  await expect(page.getByRole('heading', { name: /^\d+ lines$/ })).toBeVisible()
  await page.getByRole('radio', { name: /^All/ }).click()
  await page.getByPlaceholder('in lines').fill('clutch disc')
  await page.getByRole('row', { name: /^Clutch disc/ }).click()
  await page.getByRole('button', { name: 'Drop this line' }).click()
  await page
    .getByRole('link', { name: /^Sourcing/ })
    .first()
    .click()
  await expect(locks).toContainText('It rests: this piece meets no line of the list any more')
  await page.getByRole('button', { name: 'Solve again' }).click()
  await expect(page.getByText(/made \d{4}/)).toBeVisible()
  await page.reload()
  await expect(locks).toContainText('It rests')
  await page.getByRole('button', { name: /^Unlock/ }).click()
  await expect(locks).not.toContainText('It rests')
})

test('the demo by keyboard only: to a pairing, its why sheet, a measurement, a drop and undo, a solve', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  await expect(page.getByRole('link', { name: 'Lantern' })).toBeVisible()
  await tabTo(page, page.getByRole('link', { name: 'Lantern' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: '600 pairings' })).toBeVisible()
  const selected = page.locator('tr[aria-selected=true]')
  await expect(selected).toContainText('Kessarn Wick, 2nd')
  const find = page.getByPlaceholder('in pairings')
  await tabTo(page, find)
  await page.keyboard.type('quill late sunagi 5-speed')
  await page.keyboard.press('Tab')
  await page.keyboard.press('j')
  for (
    let before = await selected.textContent();
    !/Sunagi Quill, late Sunagi 5-speed(?!,)/.test(before ?? '');
    before = await selected.textContent()
  ) {
    await page.keyboard.press('j')
    await expect(selected).not.toHaveText(before ?? '')
  }
  await page.keyboard.press('w')
  await expect(
    page.getByRole('heading', { name: 'Block face to bellhousing: mates', exact: true }),
  ).toBeVisible()
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { name: 'Pilot: not measured' })).toBeVisible()
  await page.keyboard.press('m')
  const dialog = page.getByRole('dialog')
  await expect(dialog).toBeVisible()
  await tabTo(page, dialog.getByLabel('Value'))
  await page.keyboard.type('yes')
  await page.keyboard.press('Tab')
  await tabTo(page, dialog.getByRole('button', { name: 'Record measurement' }))
  await page.keyboard.press('Enter')
  await expect(dialog.getByText('recorded yes')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'Pilot: mates', exact: true })).toBeVisible()
  await page.keyboard.press('Escape')

  await page.keyboard.press('Alt+4')
  const lines = await lineCount(page)
  await page.keyboard.press('j')
  await page.keyboard.press('x')
  await expectLines(page, lines - 1)
  await page.keyboard.press('Control+z')
  await expectLines(page, lines)

  await page.keyboard.press('Alt+7')
  const solve = page.getByRole('button', { name: 'Solve again' })
  await expect(solve).toBeVisible()
  await tabTo(page, solve)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /^Proven cheapest for/ })).toBeVisible()
  await page.keyboard.press('j')
  await page.keyboard.press('l')
  await expect(page.getByText('Locked. Solve again')).toBeVisible()
  await page.keyboard.press('Shift+?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
})

test('an error of the server is told with a way back, and the page recovers', async ({
  page,
  demo,
}) => {
  await page.route('**/api/builds/lantern/parts', (route) =>
    route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({ detail: 'Junket could not finish this.' }),
    }),
  )
  await page.goto(`${demo.url}/builds/lantern/parts`)
  await expect(page.getByRole('alert')).toContainText('Junket could not finish this.')
  await page.unroute('**/api/builds/lantern/parts')
  await page.getByRole('button', { name: 'Try again' }).click()
  expect(await lineCount(page)).toBeGreaterThan(20)
})
