import { expect } from '@playwright/test'
import { settled, test } from './junket.ts'

test('a number is found in four spellings, by mouse and by keyboard; a misspelt word too', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/catalogue`)
  await settled(page)
  for (const typed of ['MLD 417.18', '41718', 'mld417-18', 'one 417 18 disc please']) {
    await page.keyboard.press('/')
    const find = page.getByRole('dialog', { name: 'Find' })
    await find.getByRole('combobox').fill(typed)
    const first = find.getByRole('option').first()
    await expect(first).toContainText('MLD 417.18')
    await expect(first).toContainText('replaced by 417.20')
    if (typed === '41718') await first.click()
    else {
      await page.keyboard.press('Enter')
    }
    await expect(page).toHaveURL(/catalogue\/parts\/marlund-4-disc$/)
    await expect(find).toBeHidden()
  }
  await page.goto(`${demo.url}/catalogue`)
  await page.getByRole('searchbox').fill('flywheal wick')
  await expect(page.getByText('shown for "flywheel"')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Kessarn Wick, 2nd flywheel' })).toBeVisible()
})

test('parts are narrowed by a size and by what they fit, kept so, and two set side by side', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/catalogue?kind=thermostat`)
  await settled(page)
  await expect(page.locator('a[href$="/thermostat-o"]')).toBeVisible()
  await page.getByText('Narrow by size, place, fit, price').click()
  await page.getByRole('textbox', { name: 'Listed for' }).fill('kessarn wick')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/fits=kessarn\+wick/)
  // Only what a list names for it stays.
  await expect(page.locator('a[href$="/thermostat-o"]')).toBeHidden()
  await expect(page.getByRole('link', { name: /^Thermostat/ })).toHaveCount(1)
  await page.getByRole('textbox', { name: 'Keep this under a name' }).fill('Wick things')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await page.getByRole('button', { name: 'Show all again' }).click()
  await page.reload()
  await page.getByText('Narrow by size, place, fit, price').click()
  await page.getByRole('button', { name: 'Wick things', exact: true }).click()
  await expect(page).toHaveURL(/fits=kessarn\+wick/)

  await page.goto(`${demo.url}/catalogue?kind=plate`)
  for (const name of ['plate-w2-12', 'plate-w2-12b'])
    await page
      .getByRole('row')
      .filter({ has: page.locator(`a[href$="/${name}"]`) })
      .getByRole('checkbox')
      .check()
  await page.getByRole('link', { name: 'Side by side: 2' }).click()
  await expect(page.getByRole('heading', { name: 'Side by side' })).toBeVisible()
  await expect(page.getByText('differs').first()).toBeVisible()
})

test('a path of numbers is walked step by step, and what a part is read as changes what is said', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/catalogue/check?of=MLD&want=417.14&from=MLD&have=417.20`)
  const path = page.getByRole('list', { name: 'Path of numbers' })
  await expect(path.getByRole('listitem')).toHaveCount(2)
  await expect(path.getByRole('listitem').first()).toContainText(
    'MLD 417.14 superseded by MLD 417.18',
  )
  // Backwards it no longer serves.
  await page.goto(`${demo.url}/catalogue/check?of=MLD&want=417.20&from=MLD&have=417.14`)
  await expect(page.getByRole('heading', { name: 'It is not listed' })).toBeVisible()

  await page.goto(`${demo.url}/catalogue/parts/wick-2-flywheel`)
  await page.getByText('Add a number', { exact: true }).click()
  const form = page.getByRole('region', { name: 'Part numbers' })
  await form.getByRole('textbox', { name: 'Issuer' }).first().fill('MLD')
  await form.getByRole('textbox', { name: 'Number', exact: true }).first().fill('417-20')
  await form.getByRole('button', { name: 'Add number' }).click()
  await expect(form.getByText(/already the number of/)).toBeVisible()
  await form.getByText('Another part bears it too, and it is so').click()
  await form.getByRole('button', { name: 'Add number' }).click()
  await expect(form.getByText('also on')).toBeVisible()
  await page.goto(`${demo.url}/catalogue/conflicts`)
  await expect(page.getByText(/is the number of 2 parts/)).toBeVisible()
  await page.getByRole('button', { name: /Strike out: .* is Kessarn Wick, 2nd flywheel/ }).click()
  await page.getByRole('textbox', { name: 'Why' }).fill('read off the wrong box')
  await page.keyboard.press('Enter')
  await expect(page.getByText('is the number of 2 parts')).toBeHidden()
})

test('a computer of the wrong year letter is stopped on its way into the plan, and a line can want a number by hand', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/sourcing`)
  await settled(page)
  const left = page.getByRole('region', { name: 'Left out' })
  const more = left.getByText(/more, each with its reason/)
  if (await more.isVisible()) await more.click()
  await expect(left.getByText(/811\.4 C: by its number not listed/)).toBeVisible()
  await expect(left.getByText(/520\.2: .*without 1 × KSN 520\.3/)).toBeVisible()
  await page.goto(`${demo.url}/builds/lantern/parts?show=all`)
  await settled(page)
  await page.getByRole('searchbox').fill('thermostat')
  await page.getByRole('row', { name: /^Thermostat(?! housing)/ }).click()
  const sheet = page.getByRole('complementary', { name: /^Line: Thermostat/ })
  await sheet.getByText('Give it a number of your own').click()
  await sheet.getByRole('textbox', { name: 'Issuer' }).fill('KSN')
  await sheet.getByRole('textbox', { name: 'Number' }).fill('34O.2')
  await sheet.getByRole('button', { name: 'Want this number' }).click()
  await expect(sheet.getByText('Wanted by hand:')).toBeVisible()
})

test('a supplier’s list with odd heads is pasted, its columns matched and decimals said, the kinds of what is new set at once, and all of it undone', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/suppliers/import`)
  await settled(page)
  await page
    .getByRole('textbox', { name: 'or paste it here' })
    .fill(
      [
        'Article\tItem text\tNetto\tQty',
        'Q-100\tThermostat 88 degrees\t1.250\t4',
        'Q-101\tOil filter, tall\t9,80\t12',
        'Q-102\tBracket of some sort\t€ 4,20\t3',
      ].join('\n'),
    )
  await expect(page.getByText(/Nothing says supplier, issuer/)).toBeVisible()
  const column = (name: string) => page.getByRole('combobox', { name, exact: true })
  await expect(column('Part number')).toHaveText('Article')
  await column('Price').click()
  await page.getByRole('option', { name: 'Netto' }).click()
  const forAll = page.getByRole('combobox', { name: 'for all rows' })
  await forAll.nth(0).click()
  await page.getByRole('option', { name: 'Tarpot Seals' }).click()
  await forAll.nth(1).click()
  await page.getByRole('option', { name: 'HBP', exact: true }).click()
  await forAll.nth(2).click()
  await page.getByRole('option', { name: 'yes' }).click()
  const currency = page.getByRole('textbox', { name: 'for all rows' }).first()
  await currency.fill('EUR')
  await currency.press('Tab')
  // A thousand, or a thousandth: it is asked, not guessed.
  await expect(page.getByText(/"1\.250" could be 1250 or 1\.25/)).toBeVisible()
  await page.getByText('is the decimal mark: 286,50').click()
  await expect(page.getByText('3 to add')).toBeVisible()
  await page.getByRole('button', { name: 'Import all' }).click()
  await expect(page.getByText('Imported: 3 added')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Set the kinds of 3 new parts' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo this import' }).click()
  await expect(page.getByText('Undone.')).toBeVisible()
  const unsorted = async () =>
    (await (await page.request.get(`${demo.url}/api/parts?kind=unsorted`)).json()).items.length
  expect(await unsorted()).toBe(0)
  await page.getByRole('button', { name: 'Do it again' }).click()
  await expect.poll(unsorted).toBe(3)
  await page.goto(`${demo.url}/catalogue?kind=unsorted`)
  await page.getByRole('button', { name: /^Mark all 3 here/ }).click()
  await page.getByRole('button', { name: 'Take what is suggested: 2' }).click()
  await expect(page.getByRole('link', { name: 'Bracket of some sort' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Oil filter, tall' })).toBeHidden()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByRole('link', { name: 'Oil filter, tall' })).toBeVisible()

  // How that list was read is kept with its supplier.
  await page.goto(`${demo.url}/suppliers/import`)
  await page
    .getByRole('textbox', { name: 'or paste it here' })
    .fill('Article\tItem text\tNetto\tQty\nQ-200\tBelt\t9,80\t1')
  await forAll.nth(0).click()
  await page.getByRole('option', { name: 'Tarpot Seals' }).click()
  await expect(page.getByText('1 to add')).toBeVisible()
})
