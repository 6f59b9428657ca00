import { choose, expect, expectAccessible, settled, startJunket, tabTo, test } from './junket.ts'

test('a build starts in two minutes from empty data, by mouse: types, questions, ranges, what to ask, and undo', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url)
  await page.getByRole('link', { name: 'Start a build' }).first().click()
  await page.getByRole('button', { name: /Start, and/ }).click()
  await expect(page.getByRole('alert')).toContainText('Give it a name')
  await page.getByLabel('Name').fill('Cormorant')
  await choose(page.getByLabel('Recipient'), 'Panel van, rear drive, about 1500 kg')
  await page.getByLabel('Mass').fill('1,450 kg')
  await expect(page.getByText('could be 1450')).toBeVisible()
  await page.getByRole('button', { name: '1450 kg' }).click()
  await choose(page.getByLabel('Engine', { exact: true }), /alloy four.*lengthwise/i)
  await choose(page.getByLabel('Gearbox', { exact: true }), /light five-speed/i)
  await page
    .locator('fieldset')
    .filter({ hasText: 'pilot bore in the crank' })
    .getByText('Yes')
    .click()
  await page
    .locator('fieldset')
    .filter({ hasText: 'Does the engine turn' })
    .getByText("Don't know")
    .click()
  await page
    .locator('fieldset')
    .filter({ hasText: 'brake booster' })
    .getByText("Don't know")
    .click()
  await page.reload()
  await expect(page.getByLabel('Name')).toHaveValue('Cormorant')
  await expect(page.getByText('Asked, not judged').first()).toBeVisible()
  await page.getByRole('button', { name: /Start, and/ }).click()
  await expect(page.getByRole('heading', { name: 'First answer' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Price and hours' })).toContainText(
    /€ [\d\s\u202f]+ to € [\d\s\u202f]+/,
  )
  await expect(page.getByRole('heading', { name: 'Measure first' })).toBeVisible()
  await expectAccessible(page)
  // What moves the total most is answered in place; taken back, it is asked again.
  const asked = page.getByRole('region', { name: 'To ask first' }).getByRole('group')
  const first = (await asked.first().locator('legend').textContent())!
  await asked.first().getByRole('radio').first().click()
  await expect(page.getByText('Answer kept: the list follows.')).toBeVisible()
  await expect(page.getByRole('group', { name: first })).toHaveCount(0)
  await page.locator('body').press('Control+z')
  await expect(page.getByRole('group', { name: first })).toBeVisible()
  await page.getByRole('link', { name: 'Depth' }).click()
  await expect(page.getByRole('heading', { name: 'Depth: not measured' })).toBeVisible()
})

test('the same start by keyboard only', async ({ page, empty }) => {
  await page.goto(empty.url)
  // Keys count from the moment the page is there; before it nothing listens.
  await expect(page.getByRole('link', { name: 'Start a build' }).first()).toBeVisible()
  await page.locator('body').press('/')
  await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused()
  await page.keyboard.type('start')
  await expect(page.getByRole('option', { name: /Start a build/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Start a build' })).toBeVisible()
  await tabTo(page, page.getByLabel('Name'))
  await page.keyboard.type('Petrel')
  for (const [label, letters] of [
    ['Recipient', 'Pickup'],
    ['Engine', 'Iron V eight'],
    ['Gearbox', 'Heavy five'],
  ] as const) {
    await tabTo(page, page.getByLabel(label, { exact: true }))
    await page.keyboard.type(letters)
    await expect(page.getByPlaceholder('Name or part number')).toHaveValue(letters)
    await expect(page.getByRole('option')).toHaveCount(1)
    await page.keyboard.press('Enter')
    // What was chosen shows more beside it, and keeps the focus.
    await expect(page.getByLabel(label, { exact: true })).toBeFocused()
  }
  const first = page
    .getByRole('radiogroup', { name: /papers and the engine number/ })
    .getByRole('radio')
    .first()
  await tabTo(page, first)
  await page.keyboard.press('Space')
  await tabTo(page, page.getByRole('button', { name: /Start, and/ }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'First answer' })).toBeVisible()
  await expect(page.getByText('Iron V eight with Heavy five-speed').first()).toBeVisible()
})

test('two browsers: each sees what the other saved, keeps what it types, and settles a clash field by field', async ({
  page,
  demo,
  browser,
}) => {
  const other = await (await browser.newContext()).newPage()
  await page.goto(`${demo.url}/builds/lantern/brief`)
  await other.goto(`${demo.url}/builds/lantern/brief`)
  await page.getByLabel('Why').fill('Saved when it is left')
  await page.getByLabel('Like-for-like repair').fill('3100.00')
  await expect(other.getByLabel('Why')).toHaveValue('Saved when it is left')
  await other.getByLabel('Contingency, %').fill('30')
  await other.getByLabel('Like-for-like repair').fill('3200.00')
  await other.keyboard.press('Tab')
  await expect(page.getByLabel('Contingency, %')).toHaveValue('30')
  const clash = page.getByRole('alert', { name: 'Changed by two people' })
  await expect(clash).toContainText('3100.00')
  await expect(clash).toContainText('3200.00')
  await page.keyboard.press('Tab')
  await expect(page.getByText('Choose yours or theirs')).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Keep yours: Like-for-like repair' }).click()
  await expect(other.getByLabel('Like-for-like repair')).toHaveValue('3100.00')

  await page.getByRole('button', { name: 'History' }).click()
  const history = page.getByRole('dialog')
  await expect(history).toContainText('why')
  await history
    .getByRole('button', { name: /Put back/ })
    .first()
    .click()
  await page.keyboard.press('Escape')
  await expect(other.getByLabel('Like-for-like repair')).toHaveValue('3200.00')
  await other.context().close()
})

test('the connection cut while typing loses nothing', async ({ page, demo }) => {
  await page.goto(`${demo.url}/builds/lantern/brief`)
  await page.getByLabel('Why').fill('Half a sen')
  await page.context().setOffline(true)
  await page.getByLabel('Why').fill('Half a sentence, finished offline')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('alert')).toContainText('what you typed is kept')
  await page.context().setOffline(false)
  await page.reload()
  await expect(page.getByLabel('Why')).toHaveValue('Half a sentence, finished offline')
  await page.getByRole('button', { name: 'Save the brief' }).click()
  await expect(page.getByRole('button', { name: 'Discard what was typed' })).toBeHidden()
  expect((await (await page.request.get(`${demo.url}/api/builds/lantern`)).json()).build.why).toBe(
    'Half a sentence, finished offline',
  )
})

test('a backup is made and restored from the interface, and the restore can be taken back; trash and people', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/safekeeping`)
  await page.getByRole('button', { name: 'I am Ida' }).click()
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByText('asked for')).toBeVisible()
  await page.goto(`${demo.url}/`)
  await page
    .getByRole('row', { name: /Lantern/ })
    .getByRole('button', { name: 'Remove' })
    .click()
  await expect(page.getByRole('row', { name: /Lantern/ })).toBeHidden()
  await page.goto(`${demo.url}/safekeeping`)
  await expect(page.getByRole('button', { name: 'Put back Lantern' })).toBeVisible()
  await page
    .getByRole('button', { name: /^Restore the backup/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Restore this backup' }).click()
  await expect(page.getByText('before a restore')).toBeVisible()
  await page.goto(`${demo.url}/`)
  await expect(page.getByRole('link', { name: 'Lantern' })).toBeVisible()
  await page
    .getByRole('row', { name: /Lantern/ })
    .getByRole('button', { name: 'Remove' })
    .click()
  await expect(page.getByRole('row', { name: /Lantern/ })).toBeHidden()
  await page.locator('body').press('Control+z')
  await expect(page.getByRole('link', { name: 'Lantern' })).toBeVisible()
  const { items } = await (
    await page.request.get(`${demo.url}/api/history?entity=build&id=lantern`)
  ).json()
  expect(items[0].who).toBe('Ida')
})

test('beyond this machine a passcode is asked; a wrong one is refused; signing out asks again', async ({
  page,
}) => {
  const junket = await startJunket({ demo: true, host: '0.0.0.0', passcode: 'gannet-and-gull' })
  await page.goto(junket.url)
  await page.getByLabel('Passcode').fill('wrong-passcode')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toBeVisible()
  await expectAccessible(page)
  await page.getByLabel('Passcode').fill('gannet-and-gull')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('link', { name: 'Lantern' })).toBeVisible()
  await page.goto(`${junket.url}/safekeeping`)
  // A new passcode asks the old one, by keyboard alone: a wrong one changes nothing.
  await page.getByLabel('Passcode until now').focus()
  await page.keyboard.type('gannet-and-tern')
  await page.keyboard.press('Tab')
  await page.keyboard.type('kittiwake-rock')
  await page.keyboard.press('Enter')
  await expect(page.getByText('not the passcode used until now')).toBeVisible()
  await page.getByLabel('Passcode until now').fill('gannet-and-gull')
  const changed = page.waitForResponse(
    (answer) => answer.url().endsWith('/api/passcode') && answer.ok(),
  )
  await page.getByRole('button', { name: 'Set the passcode' }).click()
  // Signed out before this is answered, its answer would sign in again.
  await changed
  await expect(page.getByText('not the passcode used until now')).toBeHidden()
  expect((await page.request.get(`${junket.url}/api/builds`)).status()).toBe(200)
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByLabel('Passcode', { exact: true })).toBeVisible()
  expect((await page.request.get(`${junket.url}/api/builds`)).status()).toBe(401)
  await junket.stop()
})

test("a donor's sheet is filled on a tablet with the connection cut, survives a reload, and arrives; net costs stand side by side", async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 800, height: 1100 })
  await page.goto(`${demo.url}/builds/lantern/donors`)
  await expect(page.getByRole('row', { name: /^Net cost/ })).toBeVisible()
  await page.getByRole('link', { name: /of Bare Wick 2nd engine/ }).click()
  await settled(page)
  const answer = (question: string, words: string) =>
    page.locator('fieldset').filter({ hasText: question }).getByText(words, { exact: true }).click()
  await answer('Papers are here', 'No')
  await expect(page.getByText('No certificate without papers').first()).toBeVisible()
  // Arrived before the connection is cut: else it waits with the other two.
  await expect(page.getByText('Every answer is kept with the donor')).toBeVisible()
  await page.context().setOffline(true)
  await answer('Hit in front', 'Hit')
  await page.getByLabel('Oil pressure, warm, at idle').fill('1.2 bar')
  await expect(page.getByText('reads 120 kPa')).toBeVisible()
  await page.getByLabel('Oil pressure, warm, at idle').press('Tab')
  await expect(page.getByText('2 answers wait')).toBeVisible()
  await page.context().setOffline(false)
  await expect(page.getByText('Every answer is kept with the donor')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Oil pressure, warm, at idle')).toHaveValue('1.2 bar')
  await page.getByRole('link', { name: 'Side by side' }).click()
  await expect(page.getByRole('row', { name: /^Put at risk/ })).toContainText('Hit in front')
})

test('a claim on a joint is a sentence, answers at its grade, and is taken off again', async ({
  page,
  demo,
}) => {
  await page.goto(
    `${demo.url}/builds/lantern/pairing?engine=quill-late&transmission=sunagi-5&joint=depth`,
  )
  await expect(page.getByRole('heading', { name: 'Depth: not measured' })).toBeVisible()
  await page.getByRole('button', { name: 'Say what is known of this joint' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('In a sentence').fill('Mated here on the floor, turned by hand.')
  await dialog.getByRole('button', { name: 'Keep this claim' }).click()
  await expect(page.getByText('Reads mates by what was said')).toBeVisible()
  await expect(page.getByText('computed: not measured')).toBeVisible()
  await page.getByRole('button', { name: 'Take it off' }).click()
  await expect(page.getByText('Reads mates by what was said')).toBeHidden()
})

test('find: a part number in another spelling, a joint, a donor', async ({ page, demo }) => {
  await page.goto(`${demo.url}/builds/lantern/parts`)
  await settled(page)
  for (const [typed, option] of [
    ['417-20', /MLD 417.20/],
    ['sump to', /Sump to/],
    ['Pinnace', /Kessarn Pinnace saloon 1994/],
    ['Lantern', /Lantern/],
  ] as const) {
    await page.locator('body').press('/')
    await page.keyboard.type(typed)
    await expect(page.getByRole('option', { name: option }).first()).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toBeHidden()
  }
})

test('the late bench is remembered over pages and reloads; shop mode goes line by line', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  await page.getByRole('button', { name: 'Late bench' }).click()
  await page.goto(`${demo.url}/builds/lantern/shop`)
  await settled(page)
  expect(await page.evaluate(() => document.documentElement.dataset.theme)).toBe('late')
  const first = await page.getByRole('heading', { level: 1 }).textContent()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(first ?? '')
  await page.getByRole('button', { name: 'Back' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(first ?? '')
})

test('a pattern from distances: what is short is asked for, the misfit shown, kept, out as DXF and back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/catalogue/parts/quill-late`)
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.getByRole('img', { name: /^Bolt pattern/ })).toBeVisible()
  await page.getByLabel('Holes', { exact: true }).fill('4')
  await page.getByLabel('Distances, a line each').fill('1 2 200\n2 3 200\n3 4 200')
  await page.getByRole('button', { name: 'Work out the pattern' }).click()
  await expect(page.getByRole('alert')).toContainText('leave it loose: 5 are needed')
  await page
    .getByLabel('Distances, a line each')
    .fill(
      '1 2 200\n2 3 200\n3 4 200\n4 1 200\n1 3 283\n2 4 282.84\n1 axis 141.42\n2 axis 141.42\n3 axis 141.42',
    )
  await page.getByRole('button', { name: 'Work out the pattern' }).click()
  const read = page.getByRole('region', { name: 'What was read' })
  await expect(read).toContainText('2 more than needed')
  await expectAccessible(page)
  await read.getByRole('button', { name: 'Keep as a measurement' }).click()
  await expect(read).toBeHidden()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export DXF' }).click(),
  ])
  const path = await download.path()
  await page.goto(`${demo.url}/catalogue/parts/wick-1/pattern`)
  await page.getByLabel('Read a DXF').setInputFiles(path)
  await expect(read).toContainText('pattern')
  await expect(read).toContainText(/\d+ holes and \d+ dowels/)
})

test('the mating card: readings round the clock, what they say, kept over a reload', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/pairing`)
  await page.getByRole('link', { name: 'Mating card' }).click()
  const says = page.getByRole('region', { name: 'What it says so far' })
  await expect(says).toContainText('Nothing yet')
  for (const [place, reading] of [
    ['12:00', '0.30'],
    ['1:30', '0.21'],
    ['3:00', '0'],
    ['4:30', '-0.21'],
    ['6:00', '-0.30'],
    ['7:30', '-0.21'],
    ['9:00', '0'],
    ['10:30', '0.21'],
  ] as const) {
    await page.getByLabel(place).first().fill(reading)
    await page.getByLabel(place).first().press('Tab')
  }
  await expect(says).toContainText(
    'Bore runs out 0.60 mm, more than 0.25: offset dowels of 0.36 mm with their high side at 90°',
  )
  await page
    .locator('fieldset')
    .filter({ hasText: 'Case went home by hand' })
    .getByText('No', { exact: true })
    .click()
  await expect(says).toContainText('Drawn in by its bolts')
  await expect(page.getByText('Every answer is kept with the build')).toBeVisible()
  await page.reload()
  await expect(says).toContainText('offset dowels of 0.36 mm')
})
