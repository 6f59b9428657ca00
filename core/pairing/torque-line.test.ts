import { expect, test } from 'vitest'
import { checkJoint, jointNamed } from '../joints/index.ts'
import { context, trainPorts } from '../joints/samples.property.ts'
import { arrange } from '../joints/side.ts'
import { torqueLine } from './torque-line.ts'

const rearDrive = (changes: Parameters<typeof trainPorts>[0]) =>
  trainPorts(changes, 0).filter((port) => port.kind !== 'transfer')
const line = (changes: Parameters<typeof trainPorts>[0], ctx = context({ use: 'road' })) => {
  const { a, b } = arrange(rearDrive(changes), [])
  return torqueLine(a, b, ctx)
}

test('torque grows by each ratio, with the factor of use, and is capped where the tyres slip', () => {
  const [engine, input, output, axle] = line({
    ratings: { reference: 'output', basis: 'peak', torqueNm: 900 },
  })
  expect([engine!.demandNm, input!.demandNm]).toEqual([118 * 1.5, 118 * 1.5])
  expect(output!.demandNm).toBeCloseTo(118 * 1.5 * 3.9)
  expect(output!.ratingNm).toBe(900)
  expect(axle!.demandNm).toBeCloseTo(118 * 1.5 * 3.9 * 4.11)
  const light = line({ axle: { ladenKg: 300 } }).at(-1)!
  expect(light.isCapped).toBe(true)
  expect(light.demandNm).toBeLessThan(axle!.demandNm!)
})

test.each(['engine', 'output', 'axle'] as const)(
  'what is drawn at the %s is what the joint judges by',
  (reference) => {
    for (const basis of ['nominal', 'peak'] as const)
      for (const torqueNm of [100, 400, 1500]) {
        const changes = { ratings: { reference, basis, torqueNm, speedRpm: undefined } }
        const drawn = line(changes).find((step) => step.ratingNm !== null)!
        const verdict = checkJoint(
          jointNamed('torque')!,
          rearDrive(changes),
          [],
          context({ use: 'road' }),
        )!
        expect(drawn.ratingNm! >= drawn.demandNm! - 1e-6).toBe(
          verdict.limits.find((limit) => limit.id === 'torque')!.code === 'fits',
        )
      }
  },
)

test('a ratio nobody knows leaves what is behind it open', () => {
  expect(line({ ratios: { gears: undefined } }).map((step) => step.demandNm === null)).toEqual([
    false,
    false,
    true,
    true,
  ])
})

test('with a transfer case its low range is a place of its own', () => {
  const { a, b } = arrange(trainPorts({}, 0), [])
  const steps = torqueLine(a, b, context({ use: 'road' }))
  expect(steps.map((step) => step.part)).toContain('Transfer case, low range')
  expect(rearDrive({}).length).toBe(trainPorts({}).length - 1)
})
