import { expect, test } from './junket.ts'

test('the list is narrowed, grouped, put in order and placed otherwise, all in the address; what is proposed is weighed by what the shop says', async ({
  page,
  demo,
}) => {
  const workedOut = async (): Promise<void> => {
    await expect(page.getByRole('heading', { name: '600 pairings' })).toBeVisible()
    await expect(page.getByText(/of 600 worked out/)).toHaveCount(0)
  }
  await page.goto(`${demo.url}/builds/lantern/pairing`)
  await workedOut()
  const count = page.getByRole('status').filter({ hasText: 'pairings' })
  await page.getByRole('button', { name: 'Bolt-in' }).click()
  await expect(count).toHaveText(/^\d+ pairings$/)
  const boltIn = Number((await count.textContent())!.match(/\d+/)![0])
  expect(boltIn).toBeGreaterThan(0)
  expect(boltIn).toBeLessThan(200)
  await page.getByRole('button', { name: 'Cost from–to', exact: true }).click()
  await page.getByLabel('Grouped by').click()
  await page.getByRole('option', { name: 'By gearbox' }).click()
  expect(page.url()).toContain('only=bolt-in')
  await page.reload()
  await expect(page.getByRole('button', { name: 'Bolt-in' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await workedOut()
  await expect(count).toHaveText(`${boltIn} pairings`)
  await page.getByRole('button', { name: 'Clear 1' }).click()
  await page.getByRole('button', { name: 'Set back instead' }).click()
  await expect(page.getByText('engine set back')).toBeVisible()
  await workedOut()

  await page.getByRole('button', { name: /^Show the pairing/ }).click()
  const best = page.getByRole('region', { name: 'Best under the brief' })
  await expect(best.getByRole('listitem')).toHaveCount(3)
  const before = await best.getByRole('list').textContent()
  await best.getByRole('button', { name: 'What they are weighed by' }).click()
  const hour = best.getByLabel('an hour of work, beside its rate')
  await hour.fill('many')
  await hour.press('Enter')
  await expect(best.getByRole('alert')).toContainText('"many" is not an amount')
  await hour.fill('200')
  await hour.press('Enter')
  await expect(best.getByRole('list')).not.toHaveText(before!)
  await page.reload()
  await best.getByRole('button', { name: 'What they are weighed by' }).click()
  await expect(best.getByLabel('an hour of work, beside its rate')).toHaveValue('200')
})

test('behind four driven wheels every transfer case makes a pairing of its own; one is chosen and stays', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/alder/pairing`)
  await expect(page.getByRole('heading', { name: '2400 pairings' })).toBeVisible()
  await page.getByPlaceholder('in pairings').fill('maul 2nd marlund divider')
  await page
    .getByRole('row', { name: /Maul six, 2nd.*Marlund divider/ })
    .getByText('Dovrek Maul six, 2nd')
    .first()
    .click()
  await page.getByRole('button', { name: 'Choose this pairing' }).click()
  await expect(page.getByText(/is chosen\.$/)).toBeVisible()
  await page.reload()
  await page.goto(`${demo.url}/builds/alder/pairing`)
  await page.getByRole('button', { name: /^Show the pairing/ }).click()
  await expect(page.getByRole('complementary', { name: 'Selected pairing' })).toContainText(
    "This is the build's pairing",
  )
})

test('what to measure next stands on a card in the order one crawls under, and is recorded from it by keyboard', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/sprat/pairing`)
  await page.getByRole('button', { name: /^Show the pairing/ }).press('Enter')
  await page.getByRole('link', { name: 'As a card, in the order one crawls under' }).press('Enter')
  await expect(page.getByRole('heading', { name: 'Measure next' })).toBeVisible()
  const first = page.getByRole('main').getByRole('region').first()
  await expect(first).toContainText(/\d+ min · (may save|tells the cost by) €/)
  await first.getByRole('button', { name: /^Record / }).press('Enter')
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('missing')
  await page.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  await page.setViewportSize({ width: 800, height: 800 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(
    true,
  )
})
