import { expect, test } from './junket.ts'

test('three measurements, each recorded on the pairing that leads, turn the leading choice three times', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/alder/pairing`)
  await page.getByRole('button', { name: /^Show the pairing/ }).click()
  const best = page.getByRole('region', { name: 'Best under the brief' })
  const lead = best.getByRole('listitem').first().getByRole('button')
  const led: string[] = []
  await expect(page.getByText('worked out')).toBeHidden()
  for (let turn = 0; turn < 3; turn++) {
    const name = (await lead.textContent())!
    expect(led).not.toContain(name)
    led.push(name)
    await lead.click()
    await page.getByRole('complementary', { name: 'Selected pairing' }).waitFor()
    await page.goto(`${page.url()}&joint=take-off`)
    const why = page.getByRole('complementary', { name: /^Why: / })
    await why.getByRole('button', { name: 'Record measurement' }).click()
    const dialog = page.getByRole('dialog')
    await dialog
      .getByRole('button', { name: /^Side, seen from behind/ })
      .first()
      .click()
    await dialog.getByLabel('Value', { exact: true }).click()
    await page.getByRole('option', { name: 'right' }).click()
    await dialog.getByRole('button', { name: 'Record measurement' }).click()
    await expect(page.getByText(/recorded on/)).toBeVisible()
    await page.keyboard.press('Escape')
    await page.keyboard.press('Escape')
    await expect(lead).not.toHaveText(name)
  }
})

test('for each build a pairing is chosen from its brief: what is best under it, what it comes to, and its parts', async ({
  page,
  demo,
}) => {
  for (const build of ['lantern', 'alder', 'sprat']) {
    await page.goto(`${demo.url}/builds/${build}/brief`)
    await page
      .getByRole('link', { name: /^Pairing/ })
      .first()
      .press('Enter')
    await page.getByRole('button', { name: /^(Show the pairing|Fold the pairing)/ }).waitFor()
    const show = page.getByRole('button', { name: /^Show the pairing/ })
    if (await show.isVisible()) await show.press('Enter')
    const best = page.getByRole('region', { name: 'Best under the brief' }).getByRole('listitem')
    await expect(best.first()).toContainText('likely')
    const lead = best.first().getByRole('button')
    const [engine] = (await lead.textContent())!.split(' with ')
    await lead.press('Enter')
    await expect(
      page.getByRole('complementary', { name: 'Selected pairing' }).getByRole('heading').first(),
    ).toHaveText(engine!)
    const choose = page.getByRole('button', { name: 'Choose this pairing' })
    const parts = page.getByRole('link', { name: 'See its parts' })
    await choose.or(parts).waitFor()
    if (await choose.isVisible()) {
      await choose.press('Enter')
      await expect(page.getByText(/is chosen\.$/)).toBeVisible()
    }
    await expect(page.getByRole('region', { name: 'Why it was chosen' })).toBeVisible()
    await parts.press('Enter')
    await expect(page.getByRole('table').first()).toContainText(/[A-Z]/)
    await expect(page.getByRole('banner')).toContainText(engine!)
  }
})

test('a figure opens to its working, by mouse and by keyboard; another row keeps it open; it closes by Escape', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/pairing`)
  const rows = page.getByRole('table', { name: 'pairings' }).getByRole('row')
  await rows
    .nth(1)
    .getByRole('button', { name: /Hours: how it came about/ })
    .click()
  const sheet = page.getByRole('complementary', { name: /^How it came about/ })
  await expect(sheet).toContainText('Hours of the whole list')
  await expect(sheet).toContainText('Kessarn Wick, 2nd')
  await page.keyboard.press('j')
  await expect(sheet).toContainText('Marlund Hob')
  await page.reload()
  await expect(sheet).toContainText('Hours of the whole list')
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()
  const cruise = page.getByRole('button', { name: /Cruise: how it came about/ }).first()
  await cruise.press('Enter')
  await expect(sheet).toContainText('loaded radius of the driven tyre')
})
