import { expect, test } from 'vitest'
import { checkJoint } from './index.ts'
import { context, trainPorts } from './samples.property.ts'
import { torque } from './torque.ts'

/** The agreeing train without its transfer case. */
const rearDrive = (changes: Parameters<typeof trainPorts>[0]) =>
  trainPorts(changes, 0).filter((port) => port.kind !== 'transfer')
const check = (
  ratings: Record<string, unknown>,
  rest: Parameters<typeof trainPorts>[0] = {},
  use?: 'road' | 'towing',
) =>
  checkJoint(
    torque,
    rearDrive({ ...rest, ratings: { speedRpm: undefined, ...ratings } }),
    [],
    context({ use }),
  )!
const margin = (verdict: ReturnType<typeof check>): number => verdict.limits[0]!.margin!

test('nominal at the engine: the margin is the difference', () => {
  expect(margin(check({ torqueNm: 210 }))).toBeCloseTo(92)
})

test('a peak rating meets the use factor: road 1.5, towing 2, not stated 2; basis unknown counts as peak', () => {
  expect(margin(check({ basis: 'peak' }, {}, 'road'))).toBeCloseTo(210 - 118 * 1.5)
  expect(margin(check({ basis: 'peak' }, {}, 'towing'))).toBeCloseTo(210 - 118 * 2)
  expect(margin(check({ basis: undefined }))).toBeCloseTo(210 - 118 * 2)
})

test('behind the gearbox the demand is capped by tyre grip, at the input never', () => {
  // µ·N·r: 1,340 kg × 9.80665 × (14 × 25.4 + 2 × 185 × 0.8) / 2 × 0.97 mm; with use 2 the engine asks for more.
  const grip = 1340 * 9.80665 * (((14 * 25.4 + 2 * 185 * 0.8) / 2) * 0.97 * 0.001)
  const strong = { 'engine-output': { peakTorqueNm: 300 } }
  expect(
    check({ reference: 'axle', basis: 'peak', torqueNm: 5000 }, strong).limits[0]!.margin,
  ).toBeCloseTo((5000 - grip) / (3.9 * 4.11), 6)
  expect(
    check({ reference: 'output', basis: 'peak', torqueNm: 1500 }, strong).limits[0]!.margin,
  ).toBeCloseTo((1500 - grip / 4.11) / 3.9, 6)
  expect(
    check(
      { reference: 'axle', basis: 'peak', torqueNm: 5000 },
      { ...strong, axle: { ladenKg: undefined } },
    ).limits[0]!.margin,
  ).toBeCloseTo((5000 - 300 * 2 * 3.9 * 4.11) / (3.9 * 4.11), 6)
})

test('input shaft means engine on a manual and turbine on an automatic; stall unknown is unmeasured', () => {
  expect(margin(check({ reference: 'input shaft' }))).toBeCloseTo(92)
  expect(
    margin(
      check(
        { reference: 'input shaft', torqueNm: 500 },
        { ratios: { type: 'automatic', stall: 2 } },
      ),
    ),
  ).toBeCloseTo(500 / 2 - 118)
  expect(
    check({ reference: 'turbine' }, { ratios: { type: 'automatic', stall: undefined } }).code,
  ).toBe('unmeasured')
})

test.each([
  ['rating passed', { torqueNm: 100 }, 'clash'],
  ['rating without value', { torqueNm: undefined }, 'unmeasured'],
  ['rating without reference', { reference: undefined }, 'unmeasured'],
  ['redline past the speed rating', { speedRpm: 5000 }, 'clash'],
  ['redline at the speed rating', { speedRpm: 5200 }, 'fits'],
])('%s', (_, ratings, expected) => {
  expect(check(ratings).code).toBe(expected)
})

test('a rating known only to ± that straddles is unmeasured', () => {
  const verdict = checkJoint(
    torque,
    trainPorts({ ratings: { torqueNm: 119, speedRpm: undefined } }, 3),
    [],
    context(),
  )!
  expect(verdict.code).toBe('unmeasured')
})

test('behind a transfer case in low range torque grows by its ratio; the gearbox output does not see it', () => {
  // A light engine, so that the tyres cap nothing.
  const changes = (reference: string) => ({
    'engine-output': { peakTorqueNm: 20 },
    ratings: { reference, basis: 'nominal', torqueNm: 900, speedRpm: undefined },
  })
  const spare = (reference: string, isFour: boolean): number =>
    checkJoint(
      torque,
      isFour ? trainPorts(changes(reference), 0) : rearDrive(changes(reference)),
      [],
      context(),
    )!.limits.find((limit) => limit.id === 'torque')!.value!
  expect(spare('output', true)).toBeCloseTo(spare('output', false))
  expect(spare('transfer output', true)).toBeCloseTo(900 / (3.9 * 2.5) - 20)
  expect(spare('axle', true)).toBeCloseTo(900 / (3.9 * 2.5 * 4.11) - 20)
  expect(spare('axle', false)).toBeCloseTo(900 / (3.9 * 4.11) - 20)
})
