import sharp from 'sharp'
import { expect, expectAccessible, test } from './junket.ts'

const picture = (colour: string): Promise<Buffer> =>
  sharp({ create: { width: 1200, height: 800, channels: 3, background: colour } })
    .jpeg()
    .toBuffer()

test('a photo is added to a part, kept over a reload, said of, removed and put back; without a connection it waits', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/catalogue/parts/wick-2`)
  const photos = page.getByRole('region', { name: /^Photos of/ })
  const add = photos.getByLabel('Add a photo')
  await add.setInputFiles([
    { name: 'block.jpg', mimeType: 'image/jpeg', buffer: await picture('#446688') },
    { name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') },
  ])
  await expect(photos.getByRole('alert')).toContainText('Only JPEG, PNG and WebP')
  const thumb = photos.getByRole('button', { name: /^Open photo/ })
  await expect(thumb).toHaveCount(1)
  await page.reload()
  await thumb.click()
  const view = page.getByRole('dialog')
  await view.getByLabel('What it shows').fill('Casting mark under the manifold')
  await view.getByRole('button', { name: 'Save' }).click()
  await expect(photos.getByRole('button', { name: /Casting mark/ })).toBeVisible()
  await photos.getByRole('button', { name: /Casting mark/ }).click()
  await expectAccessible(page)
  await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click()
  await expect(thumb).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(thumb).toHaveCount(1)

  // What is no picture inside is refused when it arrives, and says so until it is taken out.
  await add.setInputFiles({ name: 'b.png', mimeType: 'image/png', buffer: Buffer.from('torn') })
  await expect(photos.getByRole('alert')).toContainText('cannot be read')
  await photos.getByRole('button', { name: 'Take it out' }).click()

  await page.context().setOffline(true)
  await add.setInputFiles({
    name: 'hit.jpg',
    mimeType: 'image/jpeg',
    buffer: await picture('#884422'),
  })
  await expect(photos.getByText('waits to be sent')).toBeVisible()
  await page.context().setOffline(false)
  await page.reload()
  await expect(thumb).toHaveCount(2)
  await expect(photos.getByText('waits to be sent')).toHaveCount(0)
})

test('a picture is pasted or dropped onto a page', async ({ page, demo }) => {
  await page.goto(`${demo.url}/builds/lantern/donors/donor-1/sheet`)
  const photos = page.getByRole('region', { name: /^Photos of/ })
  const thumb = photos.getByRole('button', { name: /^Open photo/ })
  await expect(photos).toBeVisible()
  for (const [way, colour] of [
    ['paste', '#123456'],
    ['drop', '#654321'],
  ] as const) {
    const bytes = [...(await picture(colour))]
    await photos.evaluate(
      (section, [kind, content]) => {
        const data = new DataTransfer()
        data.items.add(new File([new Uint8Array(content)], 'picture.jpg', { type: 'image/jpeg' }))
        section.dispatchEvent(
          kind === 'paste'
            ? new ClipboardEvent('paste', { clipboardData: data, bubbles: true })
            : new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }),
        )
      },
      [way, bytes] as const,
    )
    await expect(thumb).toHaveCount(way === 'paste' ? 1 : 2)
  }
})
