import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { parseSpline } from './spline.ts'
import { parseThread, threadDiameter, threadKey } from './thread.ts'
import { loadedRadius } from './tyre.ts'

const PITCHES = [0.5, 0.75, 1, 1.25, 1.5, 1.75, 2, 2.5, 3]
const INCH = [
  ['1/4', 20],
  ['5/16', 18],
  ['3/8', 16],
  ['7/16', 14],
  ['1/2', 13],
  ['9/16', 12],
  ['5/8', 11],
  ['3/4', 10],
] as const

describe('threads', () => {
  test('a metric thread in any spelling comes to one, and keeps its Ø', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 48 }),
        fc.constantFrom(...PITCHES),
        fc.constantFrom('M', 'm'),
        fc.constantFrom('x', 'X', ' x ', '×', '*'),
        fc.constantFrom('.', ','),
        (size, pitch, letter, by, mark) => {
          const read = parseThread(`${letter}${size}${by}${String(pitch).replace('.', mark)}`)
          expect(read).toBe(`M${size}x${pitch}`)
          expect(threadDiameter(read)).toBe(size)
          expect(parseThread(read)).toBe(read)
          expect(threadKey(read)).toBe(threadKey(`m${size} X ${pitch}`))
        },
      ),
    )
  })

  // Unified inch series, ASME B1.1: size and threads an inch of the coarse series.
  test.each(INCH)('%s-%i reads with or without its marks', (size, perInch) => {
    for (const typed of [
      `${size}-${perInch}`,
      `${size} - ${perInch}`,
      `${size}"-${perInch}`,
      `${size}-${perInch} UNC`,
      `${size}in-${perInch}`,
    ])
      expect(parseThread(typed)).toBe(`${size}-${perInch}`)
    const [over, under] = size.split('/').map(Number) as [number, number]
    expect(threadDiameter(`${size}-${perInch}`)).toBeCloseTo((25.4 * over) / under, 9)
  })

  test.each(['1/8 NPT', '1/4npt', '3/8-BSPT', '1/2 bspp'])(
    'a pipe thread %s keeps its form: taper and parallel are not one',
    (typed) => {
      expect(parseThread(typed)).toMatch(/^\d\/\d (NPT|BSPT|BSPP)$/)
      expect(threadKey(parseThread('1/4 NPT'))).not.toBe(threadKey(parseThread('1/4 BSPP')))
    },
  )

  test.each(['', 'M', 'Mx1', '3/8', 'M10x', 'ten', '3/8-', 'M10-1.5'])(
    '"%s" is refused with how threads are written',
    (typed) => {
      expect(() => parseThread(typed)).toThrow(/Write it as|is not a thread/)
    },
  )
})

describe('splines', () => {
  test('a spline said whole gives its count and its Ø, in any unit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 50 }),
        fc.integer({ min: 16, max: 48 }),
        (count, sixteenths) => {
          const inches = `${Math.floor(sixteenths / 16)}-${sixteenths % 16 || 8}/16`
          const mm = 25.4 * (Math.floor(sixteenths / 16) + (sixteenths % 16 || 8) / 16)
          expect(parseSpline(`${count} spline ${inches}`)).toMatchObject({ splines: count })
          expect(parseSpline(`${count} spline ${inches}`).majorMm).toBeCloseTo(mm, 9)
          expect(parseSpline(`${count} splines ${mm.toFixed(3)} mm`).majorMm).toBeCloseTo(mm, 2)
        },
      ),
    )
  })
})

describe('tyres', () => {
  // ETRTO / TRA marking: rim Ø in inches and two walls of width × aspect.
  test('the loaded radius follows from the marking, and grows with each of its three figures', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 13, max: 40 }),
        fc.integer({ min: 4, max: 9 }),
        fc.integer({ min: 13, max: 20 }),
        (width, aspect, rim) => {
          const of = (w: number, a: number, r: number): number =>
            loadedRadius(`${w * 10 + 5}/${a * 10}R${r}`, 0.97).mm
          expect(of(width, aspect, rim)).toBeCloseTo(
            ((rim * 25.4 + 2 * (width * 10 + 5) * (aspect / 10)) / 2) * 0.97,
            6,
          )
          expect(of(width + 1, aspect, rim)).toBeGreaterThan(of(width, aspect, rim))
          expect(of(width, aspect + 1, rim)).toBeGreaterThan(of(width, aspect, rim))
          expect(of(width, aspect, rim + 1)).toBeGreaterThan(of(width, aspect, rim))
        },
      ),
    )
  })

  test.each(['', 'round', '205/55', 'R16', null])(
    'a marking that cannot be read, %s, is not known, never a guess',
    (marking) => {
      expect(loadedRadius(marking, 0.97).mm).toBeNaN()
    },
  )
})
