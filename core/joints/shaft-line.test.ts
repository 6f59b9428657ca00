import fc from 'fast-check'
import { expect, test } from 'vitest'
import { context, trainPorts } from './samples.property.ts'
import { lineAngle, lineAngleWithin, lineLength, lineLengthWithin, lineOf } from './shaft-line.ts'
import { arrange } from './side.ts'

const line = (changes: Parameters<typeof trainPorts>[0] = {}, isFour = true) => {
  const ports = trainPorts(changes, 0).filter((port) => isFour || port.kind !== 'transfer')
  const { a, b } = arrange(ports, [])
  return lineOf(a, b, context())
}

test('kept driveline: the gearbox sits on its crossmember, so plates and engine do not move the shaft', () => {
  // 300 of output + 600 to the case face + 780 of crossmember − 520 of mount = 1,160 behind the engine mounts; axle at 2,500.
  const lengthMm = lineLength(line())
  expect(lengthMm).toBeCloseTo(Math.hypot(1340, 50))
  expect(lineAngle(line())).toBeCloseTo((Math.atan(50 / 1340) * 180) / Math.PI)
  expect(lineLength(line({ 'engine-pads': { alongMm: -400 } }))).toBeCloseTo(lengthMm)
})

test('without a transfer case the gearbox face does not count; aside, the angle opens in plan', () => {
  expect(lineLength(line({}, false))).toBeCloseTo(Math.hypot(1940, 50))
  const aside = line({ pinion: { rightMm: 90 } })
  expect(lineAngle(aside)).toBeCloseTo((Math.atan(Math.hypot(90, 50) / 1340) * 180) / Math.PI)
  expect(lineLength(aside)).toBeGreaterThan(lineLength(line()))
})

test('one length not known leaves the line not known', () => {
  expect(lineLength(line({ pinion: { alongMm: undefined } }))).toBeNaN()
  expect(lineLength(line({ 'case-shaft': { faceMm: undefined } }))).toBeNaN()
})

test('whatever the lengths truly are within their ±, length and angle lie within what is given', () => {
  const x = line({ pinion: { rightMm: 40 } })
  const names = Object.keys(x) as (keyof typeof x)[]
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -1, max: 1, noNaN: true }), {
        minLength: names.length,
        maxLength: names.length,
      }),
      fc.constantFrom(0.1, 5, 60),
      (at, wide) => {
        const pm = Object.fromEntries(names.map((name) => [name, wide])) as typeof x
        const real = Object.fromEntries(
          names.map((name, i) => [name, x[name] + at[i]! * wide]),
        ) as typeof x
        const [short, long] = lineLengthWithin(x, pm)
        const [least, most] = lineAngleWithin(x, pm, [1, 3])
        expect(lineLength(real)).toBeGreaterThanOrEqual(short - 1e-9)
        expect(lineLength(real)).toBeLessThanOrEqual(long + 1e-9)
        expect(lineAngle(real, 2 + at[0]!)).toBeGreaterThanOrEqual(least - 1e-9)
        expect(lineAngle(real, 2 + at[0]!)).toBeLessThanOrEqual(most + 1e-9)
      },
    ),
    { numRuns: 300 },
  )
})
