import { expect, test } from './junket.ts'

test('pairings are picked by keyboard, laid over one another and compared; one is chosen; a reload keeps the picks', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/pairing`)
  await expect(page.getByRole('heading', { name: '600 pairings' })).toBeVisible()
  await page.keyboard.press('c')
  await page.keyboard.press('j')
  await page.keyboard.press('c')
  const tray = page.getByRole('region', { name: 'To compare' })
  await expect(tray).toContainText('2 of 4')
  await page.reload()
  await expect(tray).toContainText('Marlund Hob with Marlund 4-speed')
  await page
    .getByRole('checkbox', { name: 'Compare Marlund Hob, late with Marlund 4-speed', exact: true })
    .click()
  await tray.getByRole('link', { name: 'Compare 3' }).press('Enter')

  await expect(page.getByRole('heading', { name: '3 pairings compared' })).toBeVisible()
  await expect(page.getByRole('img', { name: /^3 trains over one another/ })).toBeVisible()
  const table = page.getByRole('table', { name: 'Compared' })
  await expect(table.getByRole('row', { name: /^Face/ })).toContainText('Tessil plate 12 mm')
  await expect(table.getByRole('row', { name: /^Not known yet/ })).toContainText('min in all')
  await page.getByRole('button', { name: 'Take out C' }).click()
  await expect(page.getByRole('heading', { name: '2 pairings compared' })).toBeVisible()
  await page.getByRole('button', { name: 'Choose B' }).click()
  await expect(page.getByText('Marlund Hob with Marlund 4-speed is chosen.')).toBeVisible()
  await expect(table).toContainText('chosen')
})

test('the train is seen from every side; a joint is lit from the list, and opens from the drawing', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/alder/pairing`)
  const strip = page.getByRole('region', { name: 'Strip, to scale' })
  await expect(strip.getByRole('img', { name: /^Side view.*6 cylinders in line/ })).toBeVisible()
  for (const [button, view] of [
    ['Plan', /^Plan view/],
    ['Front', /^Front view/],
    ['Mating plane', /^Mating plane in section, converter/],
  ] as const) {
    await strip.getByRole('button', { name: button, exact: true }).click()
    await expect(strip.getByRole('img', { name: view })).toBeVisible()
  }
  const section = page.waitForEvent('download')
  await strip.getByRole('button', { name: 'Save drawing' }).click()
  expect((await section).suggestedFilename()).toMatch(/mating plane\.svg$/)
  await strip.getByRole('button', { name: 'Side', exact: true }).click()
  await strip.getByRole('button', { name: /Transfer/ }).click()
  await expect(
    page.getByRole('complementary', { name: /^Why: Gearbox to transfer case/ }),
  ).toBeVisible()
  const file = page.waitForEvent('download')
  await strip.getByRole('button', { name: 'Save drawing' }).click()
  expect((await file).suggestedFilename()).toMatch(/side view\.svg$/)
})

test('the road: before and after in plain words, what-ifs live and in the address, nonsense told at its field', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/pairing`)
  await page.getByRole('button', { name: /^Show the pairing/ }).click()
  await page.getByRole('link', { name: 'On the road' }).click()
  const said = page.getByRole('list', { name: 'What to expect' })
  await expect(said).toContainText('One gear more on a hill of 6 %')
  await page.getByLabel('Axle ratio').fill('3.1')
  await expect(said).toContainText(/rpm less at 80 in top/)
  await page.getByLabel('Hill, %').fill('steep')
  await expect(page.getByText('"steep" is not a number')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Axle ratio')).toHaveValue('3.1')
  await page.getByRole('button', { name: 'As it is' }).click()
  await expect(page.getByLabel('Axle ratio')).toHaveValue('')
  await expect(said).not.toContainText(/rpm less/)
})
