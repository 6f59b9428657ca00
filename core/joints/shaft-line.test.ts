import { expect, test } from 'vitest'
import { context, trainPorts } from './samples.property.ts'
import { shaftLine } from './shaft-line.ts'
import { arrange } from './side.ts'

const line = (changes: Parameters<typeof trainPorts>[0] = {}, isFour = true) => {
  const ports = trainPorts(changes, 0).filter((port) => isFour || port.kind !== 'transfer')
  const { a, b } = arrange(ports, [])
  return shaftLine(a, b, context())
}

test('kept driveline: the gearbox sits on its crossmember, so plates and engine do not move the shaft', () => {
  // 300 of output + 600 to the case face + 780 of crossmember − 520 of mount = 1,160 behind the engine mounts; axle at 2,500.
  const { lengthMm, sideDeg, planDeg } = line()
  expect(lengthMm).toBeCloseTo(Math.hypot(1340, 50))
  expect(sideDeg).toBeCloseTo((Math.atan(50 / 1340) * 180) / Math.PI)
  expect(planDeg).toBeCloseTo(0)
  expect(line({ 'engine-pads': { alongMm: -400 } }).lengthMm).toBeCloseTo(lengthMm)
})

test('without a transfer case the gearbox face does not count; aside, the angle opens in plan', () => {
  expect(line({}, false).lengthMm).toBeCloseTo(Math.hypot(1940, 50))
  const aside = line({ pinion: { rightMm: 90 } })
  expect(aside.planDeg).toBeCloseTo((Math.atan(90 / 1340) * 180) / Math.PI)
  expect(aside.lengthMm).toBeGreaterThan(line().lengthMm)
})

test('one length not known leaves the line not known', () => {
  expect(line({ pinion: { alongMm: undefined } }).lengthMm).toBeNaN()
  expect(line({ 'case-shaft': { faceMm: undefined } }).lengthMm).toBeNaN()
})
