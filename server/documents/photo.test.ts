import sharp from 'sharp'
import { expect, test } from 'vitest'
import { PHOTO_LIMITS } from '../../contract/files.ts'
import { hashOf, isKept, keepPhoto, thumbOf } from './photo.ts'

const blank = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#808080' } })

test('a picture is turned upright, made smaller, dated, and says nothing of where it was taken', async () => {
  const taken = await blank(3000, 2000)
    .withExif({
      IFD2: { DateTimeOriginal: '2026:03:14 09:05:00' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '60/1 10/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()
  const kept = await keepPhoto(taken)
  const { width, height, orientation, exif, format } = await sharp(kept.image).metadata()
  // Turned by a quarter: what was wide stands high.
  expect([width, height, orientation ?? 1, format]).toEqual([1707, 2560, 1, 'jpeg'])
  expect([kept.widthPx, kept.heightPx, kept.takenAt]).toEqual([1707, 2560, '2026-03-14T09:05:00'])
  expect(exif?.toString('latin1')).toContain('2026:03:14 09:05:00')
  expect(exif?.toString('latin1')).not.toContain('GPS')
  expect(kept.hash).toBe(hashOf(kept.image))
  expect(await isKept(kept.image)).toBe(true)
  expect(await isKept(taken)).toBe(false)
})

test('a small one is not made larger; PNG and WebP come as JPEG, what is clear as white', async () => {
  for (const make of ['png', 'webp'] as const) {
    const clear = sharp({ create: { width: 40, height: 30, channels: 4, background: '#00000000' } })
    const kept = await keepPhoto(await clear[make]().toBuffer())
    expect([kept.widthPx, kept.heightPx, kept.takenAt]).toEqual([40, 30, null])
    const { dominant } = await sharp(kept.image).stats()
    expect(Math.min(dominant.r, dominant.g, dominant.b)).toBeGreaterThan(240)
  }
})

test('the thumbnail is small, of the same shape', async () => {
  const { width, height, format } = await sharp(
    await thumbOf(await blank(2560, 1280).jpeg().toBuffer()),
  ).metadata()
  expect([width, height, format]).toEqual([PHOTO_LIMITS.thumbPx, PHOTO_LIMITS.thumbPx / 2, 'webp'])
})

test('what is no picture, another kind, cut short or too many pixels is refused with what to do', async () => {
  const jpeg = await blank(800, 600).jpeg().toBuffer()
  for (const bytes of [
    Buffer.from('no picture at all'),
    await blank(8, 8).gif().toBuffer(),
    jpeg.subarray(0, jpeg.length / 2),
  ])
    await expect(keepPhoto(bytes)).rejects.toThrow(/JPEG, PNG or WebP/)
  const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'
  await expect(keepPhoto(Buffer.from(svg))).rejects.toThrow(/JPEG, PNG or WebP/)
  const vast = await blank(10_100, 10_000).png().toBuffer()
  await expect(keepPhoto(vast)).rejects.toThrow(/100 million pixels/)
})
