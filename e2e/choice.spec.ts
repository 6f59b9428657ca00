import { expect, test } from './junket.ts'

test('a choice keeps why it was made; a branch of the vehicle is chosen otherwise, and both are held against each other; the owner gets a page', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/pairing`)
  await page.getByPlaceholder('in pairings').fill('wick 3rd marlund 4-speed')
  await page
    .getByRole('row', { name: /Kessarn Wick, 3rd.*Marlund 4-speed/ })
    .getByText('Kessarn Wick, 3rd')
    .first()
    .click()
  await page.getByRole('button', { name: 'Choose this pairing' }).click()
  await expect(page.getByText(/is chosen\.$/)).toBeVisible()
  await page.getByRole('button', { name: /^Show the pairing/ }).click()
  const why = page.getByRole('region', { name: 'Why it was chosen' })
  await expect(why).toContainText(/chosen on 20\d\d-\d\d-\d\d at €/)
  await expect(why.getByRole('listitem').first()).toContainText('before ')
  const words = why.getByLabel('In your own words')
  await words.fill('It stands in the yard.')
  await words.blur()
  await expect(page.getByText('Kept.')).toBeVisible()
  await page.reload()
  await expect(words).toHaveValue('It stands in the yard.')

  await why.getByRole('button', { name: 'Branch: other engine' }).press('Enter')
  await expect(page.getByRole('banner')).toContainText('Lantern, other engine')
  await page.getByPlaceholder('in pairings').fill('trivet 2nd marlund 4-speed')
  await page
    .getByRole('row', { name: /Marlund Trivet, 2nd.*Marlund 4-speed/ })
    .getByText('Marlund Trivet, 2nd')
    .first()
    .click()
  await page.getByRole('button', { name: 'Choose this pairing' }).click()
  await page.getByRole('link', { name: 'Against another build' }).click()
  const sides = page.getByRole('table', { name: 'The two builds' })
  await expect(sides).toContainText('Lantern, other engine')
  await expect(sides).toContainText('Marlund Trivet, 2nd with Marlund 4-speed')
  await expect(sides).toContainText('Kessarn Wick, 3rd with Marlund 4-speed')
  await expect(page.getByText(/lines differ/)).toBeVisible()

  await page.goto(`${demo.url}/builds/lantern/summary`)
  await expect(page.getByRole('region', { name: 'Before and after' })).toContainText('Wick, 3rd')
  await expect(page.getByRole('region', { name: 'Kept and lost' })).toContainText('heater')
  const file = page.waitForEvent('download')
  await page.getByRole('link', { name: 'One HTML file' }).click()
  expect((await file).suggestedFilename()).toBe('lantern-for-the-owner.html')

  await page.goto(`${demo.url}/builds/lantern/pairing`)
  await why.getByRole('button', { name: 'Reopen the choice' }).click()
  await expect(page.getByText('The choice is open again. Why it was chosen is kept.')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(why).toContainText(/chosen on/)
  await page.goto(demo.url)
  await page.getByRole('button', { name: 'Copy Lantern', exact: true }).click()
  await expect(page.getByRole('link', { name: 'Lantern, copy' })).toBeVisible()
})
