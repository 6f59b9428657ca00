import { inflateSync } from 'node:zlib'
import { expect, test } from 'vitest'
import { patternToPdf } from './pattern-pdf.ts'

const face = {
  name: 'rear',
  holes: [
    { x: 150, y: 40, d: 10.5 },
    { x: -160, y: 60, d: 12, thread: 'M12x1.25' },
    { x: 20, y: -140, d: 10.5 },
  ],
  dowels: [{ x: 120, y: -90, d: 12 }],
  outline: [],
}
const PT = 72 / 25.4

/** Drawing operators of every page. */
function contentsOf(pdf: Buffer): string[] {
  const text = pdf.toString('latin1')
  return [...text.matchAll(/stream\r?\n/g)].flatMap(({ index }) => {
    const from = index + (text[index + 6] === '\r' ? 8 : 7)
    const body = pdf.subarray(from, text.indexOf('endstream', from))
    try {
      const plain = inflateSync(body).toString('latin1')
      return / re\n|\bl\n/.test(plain) ? [plain] : []
    } catch {
      return []
    }
  })
}
/** Horizontal lines of one length, in mm. */
const lines = (content: string): number[] =>
  [...content.matchAll(/(-?[\d.]+) (-?[\d.]+) m\n(-?[\d.]+) (-?[\d.]+) l/g)]
    .filter((m) => m[2] === m[4])
    .map((m) => Math.abs(Number(m[3]) - Number(m[1])) / PT)
/** Middles of the crosses at the holes: horizontal line with a vertical one through it. */
const middles = (content: string): [number, number][] =>
  [
    ...content.matchAll(
      /(-?[\d.]+) (-?[\d.]+) m\n(-?[\d.]+) (-?[\d.]+) l\n(-?[\d.]+) (-?[\d.]+) m\n(-?[\d.]+) (-?[\d.]+) l/g,
    ),
  ].map((m) => [Number(m[5]) / PT, Number(m[2]) / PT])

test('one sheet holds the pattern at 1:1, with a bar of 100 mm', async () => {
  const pdf = await patternToPdf({
    title: 'Rear',
    faces: [face],
    isMirrored: false,
    paper: 'whole',
  })
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  const [content] = contentsOf(pdf)
  expect(lines(content!).some((mm) => Math.abs(mm - 100) < 0.01)).toBe(true)
  const [one, two, three] = middles(content!)
  expect(one![0] - two![0]).toBeCloseTo(310, 1)
  // y runs down on paper here.
  expect(three![1] - one![1]).toBeCloseTo(180, 1)
})

test('a face that looks forward is printed turned over', async () => {
  const [content] = contentsOf(
    await patternToPdf({ title: 'Front', faces: [face], isMirrored: true, paper: 'whole' }),
  )
  const [one, two] = middles(content!)
  expect(one![0] - two![0]).toBeCloseTo(-310, 1)
})

test('a face larger than the paper goes on sheets that overlap, each with its bar', async () => {
  const contents = contentsOf(
    await patternToPdf({ title: 'Rear', faces: [face], isMirrored: false, paper: 'A4' }),
  )
  expect(contents.length).toBe(2)
  for (const content of contents)
    expect(lines(content).some((mm) => Math.abs(mm - 100) < 0.01)).toBe(true)
  // One millimetre stays one millimetre on every sheet.
  for (const content of contents) {
    const [one, two] = middles(content)
    expect(Math.abs(one![0] - two![0])).toBeCloseTo(310, 1)
  }
})

test.each(['A4', 'A3', 'whole'] as const)(
  'a hole ten metres away is named instead of filling hundreds of sheets of %s',
  (paper) => {
    const holes = [
      { x: 0, y: 0, d: 10 },
      { x: 10_000, y: 10_000, d: 10 },
    ]
    expect(() =>
      patternToPdf({
        title: 'T',
        faces: [{ name: 'rear', holes, dowels: [], outline: [] }],
        isMirrored: false,
        paper,
      }),
    ).toThrow(/hole 2 of the rear face lies 14142 mm from the axis/)
  },
)
