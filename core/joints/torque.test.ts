import { expect, test } from 'vitest'
import type { AnyPort } from '../ports/index.ts'
import { strength } from '../quantity/grade.ts'
import { checkJoint } from './index.ts'
import { context, trainPorts } from './samples.property.ts'
import { torque } from './torque.ts'

/** The agreeing train without its transfer case and front drive. */
const rearDrive = (changes: Parameters<typeof trainPorts>[0]) =>
  trainPorts(changes, 0).filter(({ kind }) => kind !== 'transfer' && kind !== 'front-axle')
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
  // µ·N·r: 1,340 kg and a quarter × 9.80665 × (14 × 25.4 + 2 × 185 × 0.8) / 2 × 0.97 mm; with use 2 the engine asks for more.
  const grip = 1340 * 1.25 * 9.80665 * (((14 * 25.4 + 2 * 185 * 0.8) / 2) * 0.97 * 0.001)
  const strong = { 'engine-output': { peakTorqueNm: 450 } }
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
  ).toBeCloseTo((5000 - 450 * 2 * 3.9 * 4.11) / (3.9 * 4.11), 6)
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

test('the load an axle gains is what somebody says, nothing on a plate rating, else a quarter', () => {
  const at = (axle: Record<string, unknown>): number =>
    check(
      { reference: 'axle', basis: 'peak', torqueNm: 5000 },
      { 'engine-output': { peakTorqueNm: 450 }, axle: { ladenKg: 1000, ...axle } },
    ).shown.find(({ label }) => label.startsWith('Tyres hold'))!.value as number
  const plain = at({ load: 'plate' })
  expect(at({}) / plain).toBeCloseTo(1.25)
  expect(at({ load: 'weighed' }) / plain).toBeCloseTo(1.25)
  expect(at({ transferKg: 80 }) / plain).toBeCloseTo(1.08)
})

test('with front drive both axles hold at the output; the front not known there is no cap, and the words say what could lift it', () => {
  const at = (reference: string, front: Record<string, unknown>) =>
    checkJoint(
      torque,
      trainPorts(
        {
          'engine-output': { peakTorqueNm: 450 },
          ratings: { reference, basis: 'peak', torqueNm: 1500, speedRpm: undefined },
          axle: { ladenKg: 700 },
          'front-axle': front,
        },
        0,
      ),
      [],
      context(),
    )!
  const held = (verdict: ReturnType<typeof at>): unknown =>
    verdict.shown.find(({ label }) => label.startsWith('Tyres hold'))?.value
  const radius = (((14 * 25.4 + 2 * 185 * 0.8) / 2) * 0.97) / 1000
  expect(held(at('transfer output', { ladenKg: 500 }))).toBeCloseTo(
    (1200 * 9.80665 * radius) / 4.11,
    6,
  )
  const open = at('transfer output', { ladenKg: undefined })
  expect(held(open)).toBeUndefined()
  expect(open.code).toBe('clash')
  expect(open.limits[0]!.words).toContain('laden front axle load')
  expect(held(at('axle', { ladenKg: undefined }))).toBeCloseTo(700 * 1.25 * 9.80665 * radius, 6)
})

test('an assumed rating, or a demand that is all assumed, clashes with nothing: not measured, leaning doubtful', () => {
  const graded = (kind: string, grade: 'assumed' | 'measured') => (one: AnyPort) =>
    one.kind !== kind
      ? one
      : (Object.fromEntries(
          Object.entries(one).map(([name, field]) => [
            name,
            field && typeof field === 'object' && 'grade' in field
              ? { ...field, grade: strength(grade) }
              : field,
          ]),
        ) as unknown as AnyPort)
  const passed = rearDrive({ ratings: { torqueNm: 100, speedRpm: 5000 } })
  const verdictOf = (...kinds: string[]) =>
    checkJoint(
      torque,
      kinds.reduce((ports, kind) => ports.map(graded(kind, 'assumed')), passed),
      [],
      context(),
    )!
  expect(verdictOf().code).toBe('clash')
  for (const kind of ['ratings', 'engine-output']) {
    const verdict = verdictOf(kind)
    expect([kind, verdict.code, verdict.lean, verdict.evidence]).toEqual([
      kind,
      'unmeasured',
      'doubtful',
      'assumed',
    ])
    expect(verdict.missing.length).toBeGreaterThan(0)
    expect(verdict.limits[0]!.words).toContain('assumed figures alone')
  }
  // Behind the gearbox the ratios are measured: the demand is not all a type's.
  const behind = rearDrive({ ratings: { reference: 'output', torqueNm: 100, speedRpm: undefined } })
  expect(
    checkJoint(torque, behind.map(graded('engine-output', 'assumed')), [], context())!.code,
  ).toBe('clash')
})

test('each limit says at what it is judged', () => {
  expect(check({ torqueNm: 210 }).limits[0]!.label).toMatch(/^Torque left at ./)
})
