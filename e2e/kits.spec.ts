import { fork } from 'node:child_process'
import { choose, expect, settled, test } from './junket.ts'

/** The simulated suppliers' service, on a port of its own. */
async function startFeed(): Promise<{ port: number; stop: () => void }> {
  const child = fork('dist/server/price-feed.js', ['0'])
  const port = await new Promise<number>((found) =>
    child.once('message', (message: { port: number }) => found(message.port)),
  )
  return { port, stop: () => child.kill() }
}

test('prices are fetched from a supplier that is busy and sends broken items: what moved is kept, what is wrong is told', async ({
  demo,
  page,
}) => {
  const feed = await startFeed()
  try {
    await page.goto(`${demo.url}/suppliers`)
    await page.getByRole('button', { name: 'Change Oarsman Trade Counter' }).click()
    const address = page.getByLabel('Prices are fetched from')
    await address.fill('oarsman')
    await page.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByText('Write an address such as http://host/prices.')).toBeVisible()
    await address.fill(`http://127.0.0.1:${feed.port}/oarsman?busy=1&malformed=90`)
    await page.getByRole('button', { name: 'Save' }).click()
    await expect(page.getByRole('dialog')).toBeHidden()
    await page.getByRole('button', { name: 'Fetch the prices of Oarsman Trade Counter' }).click()
    await expect(
      page.getByText(
        /Oarsman Trade Counter: 351 offers read, .*left out as wrong, asked again 4 times/,
      ),
    ).toBeVisible()
    await page.reload()
    await page.getByRole('button', { name: 'Change Oarsman Trade Counter' }).click()
    await expect(page.getByRole('list', { name: 'Readings' })).toContainText('left out as wrong')
    await expect(page.getByRole('list', { name: 'Readings' })).toContainText('Item 90, price')
  } finally {
    feed.stop()
  }
})

test('three kits on one pairing: the thin one and the one that fails lose, another is taken for a reason that stays', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.url}/builds/lantern/kits?kits=kit-1,kit-2,kit-9`)
  const recommended = page.getByRole('region', { name: 'Recommended' })
  await expect(recommended).toContainText('By these figures: Tessil Wick 2nd kit')
  await expect(recommended).toContainText(
    'Brimble Wick 2nd kit: 4 say that it failed, 1 that it held',
  )
  await expect(recommended).toContainText('Sound Wick 2nd pack')
  const table = page.getByRole('table', { name: 'Kits compared' })
  await expect(table.getByRole('row', { name: /^Flywheel off by/ })).toContainText('-4.00 mm')
  await expect(table.getByRole('row', { name: /^To finish/ })).toContainText('hours')
  await page.getByRole('button', { name: 'Take Brimble Wick 2nd kit' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Take Brimble Wick 2nd kit' }).click()
  await expect(dialog.getByText(/is needed|Fill|Type/).first()).toBeVisible()
  await dialog.getByLabel('Why this one all the same').fill('We ream the dowels ourselves')
  await dialog.getByRole('button', { name: 'Take Brimble Wick 2nd kit' }).click()
  await expect(dialog).toBeHidden()
  await page.reload()
  await expect(
    page.getByText(/was taken on .*where Tessil Wick 2nd kit was recommended: We ream the dowels/),
  ).toBeVisible()
})

test('what came is measured in: a plate that is not as drawn warns before it cannot go back', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.url}/builds/lantern/parts?show=all`)
  await settled(page)
  await page.getByRole('searchbox', { name: 'Find' }).fill('Adapter plate')
  await page.getByRole('row', { name: /Adapter plate The faces/ }).click()
  await page.getByText('It came', { exact: true }).click()
  await page.getByLabel('When').fill('yesterday')
  await page.getByRole('button', { name: 'It is here' }).click()
  await expect(page.getByText('Use a date such as 2026-03-14.').first()).toBeVisible()
  await page.getByLabel('When').fill('')
  await page.getByLabel('Batch, as marked').fill('B 14')
  await page.getByRole('button', { name: 'It is here' }).click()
  await page.getByRole('link', { name: 'Measure what came' }).click()
  await expect(page.getByText(/batch B 14 · taken back until/)).toBeVisible()
  await page.getByRole('button', { name: 'Measure Thickness' }).click()
  await page.getByLabel('Value').fill('11.2')
  await page.getByRole('button', { name: 'Record measurement' }).click()
  await expect(page.getByRole('alert')).toContainText(/not as said.*It is taken back until/)
})

test('a kit is put together by kind and number, said to have failed, and a part of it is wanted', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.url}/catalogue/new/kit`)
  await page.getByLabel('Name').fill('Quayside pilot kit')
  await page.getByLabel('Price', { exact: true }).fill('39')
  const contents = page.getByRole('group', { name: 'or by its kind and number' })
  await choose(contents.getByLabel('Kind'), 'Pilot bearing or bush')
  await contents.getByLabel('Whose number').fill('QSD')
  await contents.getByLabel('Number', { exact: true }).fill('P 15')
  await contents.getByRole('button', { name: 'Put it in' }).click()
  await page.getByLabel('How QSD P 15 is had again').fill('Turned from bronze')
  await page.getByRole('button', { name: 'Add the kit' }).click()
  await page.getByRole('link', { name: 'Quayside pilot kit' }).click()
  await expect(page.getByLabel('How QSD P 15 is had again')).toHaveValue('Turned from bronze')
  await page.getByText('Say that it held or failed').click()
  await page.getByLabel('What happened').fill('Closed up when pressed')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('list', { name: /Said of/ })).toContainText('Closed up when pressed')
  await page.goto(`${demo.url}/wanted`)
  await expect(page.getByRole('row', { name: /Tessil plate 12 mm/ })).toContainText('Too dear')
})
