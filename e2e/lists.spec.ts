import { readFileSync } from 'node:fs'
import { choose, expect, test } from './junket.ts'

test('a list of supersessions with odd heads is read in: dates are asked about, bad cells told, all of it undone', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.url}/suppliers/import`)
  await choose(page.getByLabel('What is in the list'), 'Supersessions')
  await expect(page.getByRole('heading', { name: 'Import: supersessions' })).toBeVisible()
  const text = page.getByLabel('or paste it here')
  await text.fill(
    'Brand;Old number;Replaced by;Valid from;Both ways\nMLD;417.20;990.33;3/4/2021;maybe\n',
  )
  const preview = page.getByRole('region', { name: 'Preview' })
  await expect(preview).toContainText('2 cells are wrong')
  await expect(preview).toContainText('could be 2021-04-03 or 2021-03-04')
  await expect(preview).toContainText('"maybe" should be one of unsaid, yes, no.')
  await page.getByRole('radio', { name: '14/3/2026' }).check()
  await expect(preview).toContainText('1 cell is wrong')
  await text.fill(
    'Brand;Old number;Replaced by;Valid from;Both ways\nMLD;417.20;990.33;3/4/2021;yes\n',
  )
  await expect(preview).toContainText('1 to add')
  await preview.getByRole('button', { name: 'Import all' }).click()
  await expect(page.getByText('Imported: 1 added, 0 updated.')).toBeVisible()
  const verdict = async (): Promise<string> => {
    const answer = await page.request.post(`${demo.url}/api/check/number`, {
      data: {
        want: [{ issuer: 'MLD', number: '417.20' }],
        have: [{ issuer: 'MLD', number: '990.33' }],
      },
    })
    return (await answer.json()).verdict
  }
  expect(await verdict()).toBe('superseded by')
  await page.getByRole('button', { name: 'Undo this import' }).click()
  await expect(page.getByText('Undone.')).toBeVisible()
  expect(await verdict()).toBe('not listed')
})

test('parts go out as they are narrowed, as a workbook, and the same workbook read in changes nothing', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.url}/catalogue?kind=flywheel`)
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'All as XLSX' }).click(),
  ])
  const saved = await file.path()
  expect(readFileSync(saved).subarray(0, 2).toString()).toBe('PK')
  await page.goto(`${demo.url}/catalogue/import/parts`)
  await page.locator('input[type=file]').setInputFiles({
    name: 'flywheels.xlsx',
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: readFileSync(saved),
  })
  const preview = page.getByRole('region', { name: 'Preview' })
  await expect(preview).toContainText('0 to add, 0 to update')
  await expect(preview.getByRole('button', { name: 'Import all' })).toBeVisible()
})
