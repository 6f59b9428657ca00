import type { Locator, Page } from '@playwright/test'
import { expect, settled, tabTo, test } from './junket.ts'

const press = async (page: Page, control: Locator): Promise<void> => {
  await tabTo(page, control, 200)
  await page.keyboard.press('Enter')
}
const write = async (page: Page, field: Locator, words: string): Promise<void> => {
  await tabTo(page, field, 200)
  await page.keyboard.press('Control+a')
  await page.keyboard.insertText(words)
}
/** By the first letters of it, on a list that stays closed. */
const take = async (page: Page, list: Locator, letters: string): Promise<void> => {
  await tabTo(page, list, 200)
  await page.keyboard.type(letters)
}

test('numbers by keyboard only: one is checked, kept over a reload, a list of them pasted, taken in and undone', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  await settled(page)
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused()
  await page.keyboard.type('check a numbre')
  await expect(page.getByRole('option', { name: /Check a number/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Check a number' })).toBeVisible()
  for (const [group, number] of [
    ['Wanted', '417 14'],
    ['In hand', '417-20'],
  ] as const) {
    const side = page.getByRole('group', { name: group })
    await take(page, side.getByLabel('Issuer'), 'MLD')
    await expect(side.getByLabel('Issuer')).toHaveText('MLD')
    await write(page, side.getByLabel('Number'), number)
  }
  const path = page.getByRole('list', { name: 'Path of numbers' })
  await expect(path.getByRole('listitem')).toHaveCount(2)
  await page.reload()
  await expect(path.getByRole('listitem')).toHaveCount(2)
  await write(page, page.getByRole('group', { name: 'In hand' }).getByLabel('Number'), '---')
  await expect(page.getByRole('main')).toContainText('---')
  await expect(path).toHaveCount(0)

  await page.goto(`${demo.url}/suppliers/import`)
  await settled(page)
  await take(page, page.getByLabel('What is in the list'), 'Supers')
  await expect(page.getByLabel('What is in the list')).toHaveText('Supersessions')
  await write(
    page,
    page.getByLabel('or paste it here'),
    'Brand\tOld number\tReplaced by\nMLD\t417.20\t990.33\n',
  )
  await expect(page.getByRole('region', { name: 'Preview' })).toContainText('1 to add')
  await press(page, page.getByRole('button', { name: 'Import all' }))
  await expect(page.getByText('Imported: 1 added, 0 updated.')).toBeVisible()
  await press(page, page.getByRole('button', { name: 'Undo this import' }))
  await expect(page.getByText('Undone.')).toBeVisible()
})

test('kits and what came, by keyboard only: one is taken with a reason, a plate is measured in', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/kits`)
  await settled(page)
  await press(page, page.getByRole('button', { name: 'Take Brimble Wick 2nd kit' }))
  const dialog = page.getByRole('dialog')
  await write(page, dialog.getByLabel('Why this one all the same'), 'We ream the dowels ourselves')
  await press(page, dialog.getByRole('button', { name: 'Take Brimble Wick 2nd kit' }))
  await expect(dialog).toBeHidden()
  await expect(page.getByText(/was taken on .*We ream the dowels/)).toBeVisible()

  await page.goto(`${demo.url}/builds/lantern/parts?show=all`)
  await settled(page)
  await write(page, page.getByRole('searchbox', { name: 'Find' }), 'Adapter plate')
  // On from the field stands a choice of one: the keys of the list work there too.
  await page.keyboard.press('Tab')
  await expect(page.getByRole('radio', { name: /^All/ })).toBeFocused()
  await expect(page.getByRole('table', { name: 'lines' })).toContainText('The faces do not meet')
  await page.keyboard.press('j')
  const sheet = page.getByRole('complementary', { name: /^Line: Adapter plate/ })
  await press(page, sheet.getByText('It came', { exact: true }))
  await write(page, sheet.getByLabel('Batch, as marked'), 'B 14')
  await press(page, sheet.getByRole('button', { name: 'It is here' }))
  await press(page, page.getByRole('link', { name: 'Measure what came' }))
  await press(page, page.getByRole('button', { name: 'Measure Thickness' }))
  await write(page, page.getByLabel('Value'), '11,2')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('1 size is not as said')
})
