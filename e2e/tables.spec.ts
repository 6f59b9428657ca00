import { expect } from '@playwright/test'
import { settled, test } from './junket.ts'

test('a long list is drawn as it is scrolled, walked by keys, searched, put in order, kept in the address, and printed whole', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/catalogue`)
  const table = page.getByRole('table', { name: 'parts' })
  await expect(page.getByText('first 200 parts')).toBeVisible()
  await page.locator('main').evaluate((main) => main.scrollTo(0, 1e9))
  await page.getByRole('button', { name: 'Show more' }).click()
  await expect(page.getByText(/^(first )?\d{3} parts$/)).not.toHaveText('first 200 parts')
  const drawn = (): Promise<number> => table.locator('tbody tr[data-index]').count()
  expect(await drawn()).toBeLessThan(120)
  const deepest = (): Promise<number> =>
    table
      .locator('tbody tr[data-index]')
      .last()
      .evaluate((row) => Number((row as HTMLElement).dataset.index))
  const before = await deepest()
  await page.locator('main').evaluate((main) => main.scrollTo(0, 1e9))
  await expect.poll(deepest).toBeGreaterThan(before)
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
  expect(await drawn()).toBeGreaterThan(200)
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')))
  await expect.poll(drawn).toBeLessThan(120)

  await page.goto(`${demo.url}/suppliers`)
  await page.getByRole('button', { name: 'Shipping' }).press('Enter')
  await page.getByRole('button', { name: 'Shipping' }).press('Enter')
  await expect(page).toHaveURL(/sort=-shipping/)
  await expect(page.getByRole('row').nth(1)).toContainText('Skarvik Drivetrain')
  // However fast somebody types, every letter counts.
  await page.getByRole('searchbox').pressSequentially('harbour breakers', { delay: 4 })
  await expect(page).toHaveURL(/filter=harbour\+breakers/)
  await expect(page.getByRole('searchbox')).toHaveValue('harbour breakers')
  await page.getByRole('searchbox').fill('quay')
  await expect(page.getByText('4 of 15 suppliers')).toBeVisible()
  await page.reload()
  await expect(page.getByText('4 of 15 suppliers')).toBeVisible()
  await expect(page).toHaveTitle('Suppliers · Junket')
  await page.getByRole('row').nth(2).focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('row').nth(3)).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Harbour Parts' })).toBeVisible()
  await page.keyboard.press('Escape')

  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as CSV' }).click()
  expect((await download).suggestedFilename()).toBe('suppliers.csv')
  await page.getByRole('button', { name: 'Columns' }).click()
  const column = page.getByRole('menuitemcheckbox', { name: 'Free over' })
  await column.click()
  // Each control of the menu lies on top.
  expect(
    await column.evaluate((one) => {
      const { x, y, width, height } = one.getBoundingClientRect()
      return one.contains(document.elementFromPoint(x + width / 2, y + height / 2))
    }),
  ).toBe(true)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('columnheader', { name: 'Free over' })).toBeHidden()
  await page.reload()
  await expect(page.getByRole('columnheader', { name: 'Shipping' })).toBeVisible()
  await expect(page.getByRole('columnheader', { name: 'Free over' })).toBeHidden()
})

test('a long list draws only the rows that can be seen, however narrow the window and whatever stands beside it', async ({
  demo,
  page,
}) => {
  for (const path of ['/builds/lantern/pairing?joint=depth', '/builds/lantern/parts?show=all'])
    for (const width of [1280, 800, 390]) {
      await page.setViewportSize({ width, height: 800 })
      await page.goto(demo.url + path)
      await settled(page)
      await expect
        .poll(() => page.locator('tbody tr').count(), { message: `${path} at ${width}` })
        .toBeLessThan(100)
    }
})
