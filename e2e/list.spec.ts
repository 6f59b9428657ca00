import { choose, expect, expectAccessible, test } from './junket.ts'

const start = async (
  page: import('@playwright/test').Page,
  url: string,
  name: string,
  [vehicle, engine, gearbox]: readonly [RegExp, RegExp, RegExp],
): Promise<void> => {
  await page.goto(`${url}/start`)
  await page.getByLabel('Name').fill(name)
  await choose(page.getByLabel('Recipient'), vehicle)
  await choose(page.getByLabel('Engine', { exact: true }), engine)
  await choose(page.getByLabel('Gearbox', { exact: true }), gearbox)
  await page.getByRole('button', { name: /Start, and/ }).click()
  await expect(page.getByRole('heading', { name: 'First answer' })).toBeVisible()
}

test('a tractor and a mid-engine coupé are two different lists', async ({ page, empty }) => {
  await start(page, empty.url, 'Curlew', [
    /tractor/i,
    /heavy diesel four|diesel four, heavy/i,
    /heavy four-speed/i,
  ])
  await page
    .getByRole('navigation')
    .getByRole('link', { name: /^Parts/ })
    .click()
  await page.getByRole('radio', { name: /^All/ }).click()
  const find = page.getByPlaceholder('in lines')
  await find.fill('castings split')
  await expect(page.getByRole('row', { name: /Castings split on rails/ })).toBeVisible()
  await find.fill('torque rods')
  await expect(page.getByRole('row', { name: /Torque rods/ })).toHaveCount(0)
  await start(page, empty.url, 'Dunlin', [
    /amidships/i,
    /alloy four, crosswise/i,
    /five-speed transaxle/i,
  ])
  await page
    .getByRole('navigation')
    .getByRole('link', { name: /^Parts/ })
    .click()
  await page.getByRole('radio', { name: /^All/ }).click()
  await find.fill('torque rods')
  await expect(page.getByRole('row', { name: /Torque rods and tower mount/ })).toBeVisible()
  await find.fill('castings split')
  await expect(page.getByRole('row', { name: /Castings split on rails/ })).toHaveCount(0)
  await expectAccessible(page)
})

test('ten unknowns are answered and the list follows; a stopper answered no stops the build', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/sprat/known`)
  const asked = page.getByRole('region', { name: 'To ask, what moves most first' })
  for (let i = 0; i < 10; i++) {
    const first = asked.getByRole('group').first()
    const words = (await first.locator('legend').textContent())!
    await first.getByRole('radio').first().click()
    await expect(asked.getByRole('group', { name: words, exact: true })).toHaveCount(0)
  }
  await expectAccessible(page)
  await page.getByText(/^The engine that goes in: /).click()
  await choose(page.getByLabel('Are papers and number in hand?'), 'No')
  await expect(
    page.getByRole('link', { name: 'This stops the build: papers missing' }),
  ).toBeVisible()
  await page.getByRole('link', { name: 'This stops the build: papers missing' }).click()
  await expect(page.getByText('This stops the build', { exact: true })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Line: Papers missing' })).toBeVisible()
})

test('a line of one’s own on a tablet, with a photo; many pasted, with wrong ones said', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 800, height: 1100 })
  await page.goto(`${demo.url}/builds/lantern/parts`)
  await page.getByRole('button', { name: 'Add a line' }).click()
  const dialog = page.getByRole('dialog', { name: 'Add a line' })
  await dialog.getByRole('button', { name: 'Add line' }).click()
  await expect(dialog.getByLabel('What')).toHaveAttribute('aria-invalid', 'true')
  await dialog.getByLabel('What').fill('Shelf of the library moved')
  await choose(dialog.getByLabel('Where'), 'Cab')
  await dialog.getByLabel('Hours, if known').fill('3')
  await dialog.getByRole('button', { name: 'Add line' }).click()
  await expect(dialog).toHaveCount(0)
  await page.getByRole('radio', { name: /^All/ }).click()
  await page.getByPlaceholder('in lines').fill('shelf of')
  await page.getByRole('row', { name: /Shelf of the library moved/ }).click()
  const sheet = page.getByRole('complementary', { name: /Shelf of the library/ })
  await expect(sheet.getByText('Written by hand').first()).toBeVisible()
  await sheet
    .locator('input[type=file]')
    .first()
    .setInputFiles({
      name: 'shelf.png',
      mimeType: 'image/png',
      buffer: Buffer.from(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
        'base64',
      ),
    })
  await expect(sheet.getByRole('img').first()).toBeVisible()
  // By keyboard alone: the line is typed at once, Enter keeps it.
  await expect(page.getByRole('heading', { name: /lines$/ })).toBeVisible()
  await page.locator('main').press('a')
  await expect(dialog.getByLabel('What')).toBeFocused()
  await page.keyboard.type('Ramp hinge greased')
  await page.keyboard.press('Enter')
  await expect(dialog).toHaveCount(0)
  await page.getByRole('button', { name: 'Add a line' }).click()
  await dialog.getByText('Paste many from a spreadsheet').click()
  const box = dialog.getByRole('textbox', { name: /Words, place, quantity/ })
  await box.fill('Header tank\tradiator\tmany\nHose\tradiator\t2')
  await expect(dialog.getByRole('alert')).toContainText('"many" is no quantity')
  await box.fill('Header tank, paid by the last owner\tradiator\t1\t24.50\tpaid\nHose\tradiator\t2')
  await dialog.getByRole('button', { name: 'Add 2 lines' }).click()
  await expect(dialog).toHaveCount(0)
  await page.getByPlaceholder('in lines').fill('last owner')
  await expect(page.getByRole('row', { name: /Header tank, paid by/ })).toBeVisible()
})

test('a school is switched: seen first, taken, and taken back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/builds/lantern/known`)
  const what = page.getByRole('region', { name: 'What if' })
  await choose(what.getByLabel('Service of the engine'), 'Rebuild')
  await expect(what.getByRole('status')).toContainText(/lines in/)
  await what.getByText(/^Comes: /).click()
  await expect(what.getByText('Bearings and rings')).toBeVisible()
  await what.getByRole('button', { name: 'Take it' }).click()
  await page
    .getByRole('navigation')
    .getByRole('link', { name: /^Parts/ })
    .click()
  await page.getByRole('radio', { name: /^All/ }).click()
  await page.getByPlaceholder('in lines').fill('bearings and rings')
  await expect(page.getByRole('row', { name: /Bearings and rings/ })).not.toContainText('hangs on')
  await page.locator('main').press('Control+z')
  await expect(page.getByRole('row', { name: /Bearings and rings/ })).toHaveCount(0)
})

test('a line is dropped, its reason changes, and it comes back saying what changed', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/parts?show=all`)
  await page.getByPlaceholder('in lines').fill('Clutch disc')
  await page.getByRole('row').getByText('Clutch disc').first().click()
  await page.getByRole('button', { name: 'Drop this line' }).click()
  await expect(page.getByText('Dropped by you')).toBeVisible()
  await page.request.post(`${demo.url}/api/builds/lantern/facts`, {
    data: { key: 'build.school', value: 'rebuild' },
  })
  await page.reload()
  await page.getByPlaceholder('in lines').fill('Dropped before')
  await page.getByPlaceholder('in lines').fill('disc')
  await expect(
    page.getByText(/Dropped before: service of the engine was reseal, is rebuild now/),
  ).toBeVisible()
})

test('the list prints whole', async ({ page, demo }) => {
  await page.goto(`${demo.url}/builds/lantern/parts?show=all`)
  await expect(page.getByRole('heading', { name: /lines$/ })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  const pdf = await page.pdf({ format: 'A4' })
  expect(pdf.length).toBeGreaterThan(20_000)
})

test('a recipe of the shop is built, tried on the builds there are, kept, and taken off', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/settings`)
  await page.getByRole('button', { name: 'New recipe' }).click()
  const dialog = page.getByRole('dialog', { name: 'New recipe' })
  await dialog.getByLabel('Name').fill('Ferry ramps')
  await dialog.getByLabel('Line 1', { exact: true }).fill('Skid plate under the pan')
  await dialog.getByRole('button', { name: /Try it/ }).click()
  await expect(dialog.getByRole('status')).toContainText('3 lines in 3 of 3 builds')
  await dialog.getByRole('button', { name: 'Keep recipe' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('adds skid plate under the pan')).toBeVisible()
  await page.goto(`${demo.url}/builds/lantern/parts?show=all`)
  await page.getByPlaceholder('in lines').fill('skid plate')
  await expect(page.getByRole('row', { name: /Skid plate under the pan/ })).toBeVisible()
  // Wrong JSON is told where it is typed; a change is of the same recipe, and its history has both.
  await page.goto(`${demo.url}/settings`)
  await page.getByRole('button', { name: 'Change Ferry ramps' }).click()
  const change = page.getByRole('dialog', { name: 'Change a recipe' })
  await change.getByText('From JSON instead').click()
  await change.getByLabel('Recipe as JSON').fill('{ many')
  await change.getByRole('button', { name: 'Keep recipe' }).click()
  await expect(change.getByRole('alert')).toContainText('That is no JSON')
  await change.getByLabel('Recipe as JSON').fill('')
  await change.getByLabel('Euros of line 1').fill('1.500')
  await change.getByRole('button', { name: 'Keep recipe' }).click()
  await expect(change.getByRole('alert')).toContainText('reads two ways')
  await change.getByLabel('Euros of line 1').fill('30-80')
  await change.getByRole('button', { name: 'Keep recipe' }).click()
  await expect(change).toHaveCount(0)
  await page.getByRole('button', { name: 'Take off Ferry ramps' }).click()
  await expect(page.getByText('adds skid plate under the pan')).toHaveCount(0)
})

test('small pieces fold under what they belong to, by keyboard too; a question is answered on the line that hangs on it', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/alder/parts?show=get`)
  const head = page.getByRole('row', { name: /^Larger or thinner radiator/ })
  const fold = head.getByRole('button', { name: /^with \d+ small pieces$/ })
  await expect(fold).toHaveAttribute('aria-expanded', 'false')
  await expect(page.getByRole('row', { name: /^Top hose/ })).toHaveCount(0)
  await fold.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('row', { name: /^Top hose/ })).toBeVisible()
  // Searched for, a folded piece is found.
  await page.keyboard.press('Enter')
  await page.getByPlaceholder('in lines').fill('top hose')
  await expect(page.getByRole('row', { name: /^Top hose/ })).toBeVisible()

  await page.goto(
    `${demo.url}/builds/alder/parts?show=all&line=air-guided-to-the-radiator/radiator/main`,
  )
  const sheet = page.getByRole('complementary', { name: 'Line: Air guided to the radiator' })
  const chain = sheet.getByRole('list', { name: 'Its reasons, in order' })
  await expect(chain.getByText('Radiator support moved')).toBeVisible()
  await expect(chain.getByText('not known').first()).toBeVisible()
  await choose(sheet.getByLabel('The bay is too short: which way out?'), 'Support')
  await expect(chain.getByText('support', { exact: true })).toBeVisible()
  await expectAccessible(page)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as XLSX' }).click()
  expect((await download).suggestedFilename()).toBe('lines.xlsx')
})

test('a known fault of an engine stands in every build it goes into', async ({ page, demo }) => {
  await page.goto(`${demo.url}/catalogue/parts/wick-2`)
  await page.getByRole('button', { name: 'Add a known fault' }).click()
  const dialog = page.getByRole('dialog', { name: 'A known fault' })
  await dialog.getByLabel('Name').fill('Cam wears')
  await dialog.getByLabel('Line 1', { exact: true }).fill('Camshaft and followers')
  await dialog.getByLabel('Euros of line 1').fill('90-220')
  await dialog.getByRole('button', { name: /Try it/ }).click()
  await expect(dialog.getByRole('status')).toContainText('1 line in 1 of 3 builds: Lantern')
  await dialog.getByRole('button', { name: 'Keep recipe' }).click()
  await expect(page.getByText('adds camshaft and followers')).toBeVisible()
  await page.goto(`${demo.url}/builds/lantern/parts?show=all`)
  await page.getByPlaceholder('in lines').fill('camshaft and')
  const row = page.getByRole('row', { name: /^Camshaft and followers/ })
  await expect(row).toContainText('Known fault, from the notes of the shop')
})
