import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type AnyFieldWords, canBe } from '../ports/field.ts'
import { PORT_KINDS, type PortKindName } from '../ports/index.ts'
import { CODES } from './code.ts'
import { checkJoint, JOINTS, jointNamed, sceneOf } from './index.ts'
import type { Joint, JointContext } from './joint.ts'
import { Tally } from './judging/tally.ts'
import { AGREEING, context, trainPorts } from './samples.property.ts'
import type { LimitRecord } from './verdict.ts'

type Changes = Parameters<typeof trainPorts>[0]
/** Trains that other joints need. */
const BASES = {
  manual: {},
  automatic: { ratios: { type: 'automatic', stall: 2.1 } },
  transaxle: { ratios: { finalDrive: 3.9 } },
} as const satisfies Record<string, Changes>
const OF_LIMIT: Readonly<Record<string, Changes>> = { 'depth pull-up': BASES.automatic }
const OF_JOINT: Readonly<Record<string, Changes>> = {
  converter: BASES.automatic,
  'load-signal': BASES.automatic,
  'drive-shafts': BASES.transaxle,
}

/** One window and a number that moves it: the limit, the field, which way more of it moves the limit's value, how far to sweep. */
interface Window {
  readonly joint: string
  readonly limit: string
  readonly port: PortKindName
  readonly field: string
  readonly way: 1 | -1
  readonly reach: number
  readonly use?: JointContext['use']
  readonly placement?: JointContext['placement']
}

const window = (
  joint: string,
  limit: string,
  port: PortKindName,
  field: string,
  way: 1 | -1,
  reach: number,
  rest: Partial<Window> = {},
): Window => ({
  joint,
  limit,
  port,
  field,
  way,
  reach,
  ...rest,
})

const WINDOWS: readonly Window[] = [
  window('crank-flange', 'flange-circle', 'flywheel', 'circleMm', 1, 2),
  window('crank-flange', 'register', 'flywheel', 'registerMm', 1, 0.5),
  window('crank-flange', 'register', 'crank-flange', 'registerMm', -1, 0.5),
  window('crank-flange', 'bolt-reach', 'flange-bolts', 'lengthMm', 1, 12),
  window('crank-flange', 'bolt-reach', 'flange-bolts', 'clampedMm', -1, 12),
  window('crank-flange', 'head-inner', 'flange-bolts', 'headMm', -1, 16),
  window('crank-flange', 'head-outer', 'flywheel', 'outerMm', 1, 220),
  window('depth', 'tip-clear', 'input-shaft', 'tipMm', 1, 16),
  window('depth', 'tip-clear', 'pilot-bore', 'bottomMm', -1, 16),
  window('depth', 'shoulder-clear', 'input-shaft', 'noseEndMm', 1, 8),
  window('depth', 'release-gap', 'release-bearing', 'restMm', 1, 9),
  window('depth', 'release-gap', 'cover-fingers', 'heightMm', -1, 9),
  window('pilot', 'nose-clearance', 'pilot-piece', 'boreMm', 1, 0.2),
  window('pilot', 'nose-clearance', 'input-shaft', 'noseMm', -1, 0.2),
  window('pilot', 'press', 'pilot-piece', 'outerMm', 1, 0.2),
  window('pilot', 'press', 'pilot-bore', 'boreMm', -1, 0.2),
  window('clutch-disc', 'spline-major', 'disc-hub', 'majorMm', 1, 1),
  window('clutch-disc', 'spline-major', 'input-shaft', 'majorMm', -1, 1),
  window('clutch-disc', 'hub-length', 'input-shaft', 'splineEndMm', 1, 60),
  window('clutch-disc', 'carrier', 'disc-hub', 'carrierMm', -1, 20),
  window('clutch-disc', 'carrier', 'flywheel', 'clutchFaceMm', 1, 20),
  window('depth', 'pull-up', 'pump', 'padMm', 1, 8),
  window('depth', 'pull-up', 'crank-flange', 'proudMm', -1, 8),
  window('converter', 'pads-equal', 'pump', 'padSpreadMm', 1, 2),
  window('converter', 'pad-circle', 'flex-pads', 'circleMm', 1, 2),
  window('converter', 'pad-reach', 'flex-pads', 'boltMm', 1, 9),
  window('converter', 'nose-fit', 'converter-bore', 'boreMm', 1, 1),
  window('converter', 'nose-clear', 'converter-bore', 'depthMm', 1, 16),
  window('converter', 'lugs', 'pump', 'lugsMm', 1, 12),
  window('converter', 'hub-in-pump', 'pump', 'bushMm', 1, 1),
  window('converter', 'stall', 'converter', 'stallRpm', 1, 2000),
  window('gearbox-mount', 'mount-spacing', 'mount-pad', 'spacingMm', 1, 40),
  window('gearbox-mount', 'mount-height', 'mount-pad', 'belowMm', -1, 60),
  window('gearbox-mount', 'mount-height', 'crossmember', 'belowMm', 1, 60),
  window('gearbox-mount', 'mount-place', 'mount-pad', 'alongMm', 1, 40, { placement: 'set-back' }),
  window('engine-mounts', 'pads-across', 'engine-pads', 'spreadMm', 1, 40),
  window('engine-mounts', 'pads-height', 'engine-pads', 'belowMm', 1, 30),
  window('engine-mounts', 'pads-lean', 'engine-pads', 'angleDeg', 1, 30),
  window('engine-mounts', 'pads-along', 'engine-pads', 'alongMm', 1, 40),
  window('sump-clearance', 'sump-capacity', 'sump', 'capacityL', 1, 3),
  window('sump-clearance', 'oil-grade', 'sump', 'coverMm', 1, 60),
  window('sump-clearance', 'sump-drops', 'sump', 'dropMm', -1, 80),
  window('clutch-cover', 'cover-circle', 'cover-mount', 'circleMm', 1, 2),
  window('clutch-cover', 'cover-holes', 'cover-mount', 'holeMm', 1, 2),
  window('clutch-cover', 'cover-step', 'clutch-seat', 'stepMm', 1, 2),
  window('clutch-cover', 'lining-outer', 'disc-face', 'outerMm', -1, 20),
  window('clutch-cover', 'lining-inner', 'disc-face', 'innerMm', 1, 20),
  window('clutch-cover', 'clutch-capacity', 'cover-mount', 'clampN', 1, 4500),
  window('clutch-cover', 'clutch-capacity', 'disc-face', 'friction', 1, 0.25),
  window('clutch-cover', 'clutch-capacity', 'engine-output', 'peakTorqueNm', -1, 200),
  window('release', 'release-travel', 'clutch-pedal', 'travelMm', 1, 60),
  window('release', 'release-travel', 'clutch-pedal', 'masterMm', 1, 6),
  window('release', 'release-travel', 'release-gear', 'slaveMm', -1, 6),
  window('release', 'master-stroke', 'clutch-pedal', 'strokeMm', 1, 10),
  window('release', 'slave-wear', 'release-gear', 'strokeMm', 1, 12),
  window('starter-ring', 'starter-module', 'ring', 'outerMm', 1, 20),
  window('starter-ring', 'starter-mesh', 'starter-seat', 'axisMm', 1, 4),
  window('transfer-case', 'case-bore', 'transfer-input', 'majorMm', 1, 1),
  window('transfer-case', 'case-engaged', 'case-shaft', 'faceMm', -1, 20),
  window('transfer-case', 'case-end', 'transfer-input', 'mostMm', 1, 70),
  window('transfer-case', 'front-ratio', 'front-axle', 'ratio', -1, 1),
  window('load-signal', 'load-pull', 'load-source', 'pullMm', 1, 10),
  window('take-off', 'take-off-module', 'take-off', 'moduleMm', -1, 1),
  window('take-off', 'take-off-room', 'take-off', 'roomMm', 1, 90),
  window('propshaft', 'prop-length', 'pinion', 'alongMm', 1, 60),
  window('propshaft', 'prop-length', 'propshaft', 'lengthMm', -1, 60),
  window('propshaft', 'prop-slip', 'pinion', 'travelMm', -1, 60),
  window('propshaft', 'prop-critical', 'propshaft', 'tubeMm', 1, 40),
  window('drive-shafts', 'shaft-left', 'drive-shafts', 'hubLeftMm', 1, 60),
  window('drive-shafts', 'shaft-right', 'drive-shafts', 'rightMm', -1, 60),
  window('drive-shafts', 'shaft-angle', 'drive-shafts', 'mostDeg', 1, 21),
  window('lever', 'lever-front', 'lever', 'alongMm', 1, 100),
  window('lever', 'lever-rear', 'lever-opening', 'toMm', 1, 100),
  window('speedometer', 'speed-reads', 'speed-drive', 'perTurn', 1, 0.1),
]

const STEPS = 25
const nominal = ({ port, field }: Window): number =>
  Number((AGREEING as unknown as Record<string, Record<string, number>>)[port]![field])
const changed = ({ joint, limit, port, field }: Window, value: number | undefined): Changes => {
  const base = (OF_LIMIT[`${joint} ${limit}`] ?? OF_JOINT[joint] ?? {}) as Record<string, object>
  return { ...base, [port]: { ...base[port], [field]: value } }
}
const limitAt = (one: Window, value: number | undefined, pm = 0): LimitRecord | undefined =>
  checkJoint(
    jointNamed(one.joint)!,
    trainPorts(changed(one, value), pm),
    [],
    context({ use: one.use, placement: one.placement }),
  )?.limits.find(({ id }) => id === one.limit)

describe.each(
  WINDOWS.map((one) => [`${one.joint} ${one.limit} by ${one.port}.${one.field}`, one] as const),
)('%s', (_, one) => {
  const words = (PORT_KINDS[one.port].fields as Record<string, AnyFieldWords>)[one.field]!
  const sweep = Array.from(
    { length: STEPS },
    (__, i) => nominal(one) + one.reach * ((2 * i) / (STEPS - 1) - 1),
  ).filter((value) => canBe(words, value))

  test('the agreeing train is inside, and its value moves with the field the way it should', () => {
    expect(limitAt(one, nominal(one))).toMatchObject({ code: 'fits' })
    const values = sweep.map((value) => limitAt(one, value)!.value!)
    for (let i = 1; i < values.length; i++)
      expect(Math.sign(values[i]! - values[i - 1]!)).toBe(one.way)
  })

  test('the margin grows toward the window and falls past either end; outside it never fits', () => {
    const limits = sweep.map((value) => limitAt(one, value)!)
    const margins = limits.map(({ margin }) => margin!)
    const top = margins.indexOf(Math.max(...margins))
    for (let i = 1; i < margins.length; i++)
      expect(
        i <= top ? margins[i]! - margins[i - 1]! : margins[i - 1]! - margins[i]!,
      ).toBeGreaterThan(-1e-9)
    for (const { margin, code } of limits) expect(code === 'fits').toBe(margin! >= -1e-6)
    expect(limits.some(({ code }) => code !== 'fits')).toBe(true)
  })

  test('not known, it is not measured; where damage is done, known only loosely it is not measured either', () => {
    expect(limitAt(one, undefined)?.code ?? 'unmeasured').toBe('unmeasured')
    const edge = sweep.find((value) => Math.abs(limitAt(one, value)!.margin!) < one.reach / 10)
    const limit = edge === undefined ? undefined : limitAt(one, edge, one.reach)
    if (limit) expect(limit.code === 'unmeasured').toBe(limit.damage)
  })
})

const everyField = JOINTS.flatMap((joint: Joint) => {
  const ports = trainPorts(OF_JOINT[joint.id], 0)
  const verdict = checkJoint(joint, ports, [], context())
  return (verdict?.fields ?? []).map(
    (field) => [joint.id, field.port.split('/')[1]!, field.field] as const,
  )
})

// The face needs two faces, which the agreeing train leaves to the tests of joint 1.
test('every joint states what it reads', () => {
  expect(new Set(everyField.map(([joint]) => joint)).size).toBeGreaterThanOrEqual(JOINTS.length - 1)
})

// A torque rating may have no speed: then no speed limit is stated.
const deciding = everyField.filter(
  ([joint, , field]) => joint !== 'block-face' && !(joint === 'torque' && field === 'speedRpm'),
)

test.each(deciding)('%s never fits with %s.%s unknown, and asks for it', (joint, port, field) => {
  const base = OF_JOINT[joint] ?? {}
  const ports = trainPorts(
    { ...base, [port]: { ...(base as Record<string, object>)[port], [field]: undefined } },
    0,
  )
  const verdict = checkJoint(jointNamed(joint)!, ports, [], context())
  if (!verdict) return
  expect(verdict.code).not.toBe('fits')
  expect(verdict.missing.map((one) => one.field)).toContain(field)
})

test('tally and record give one code along every sweep', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...WINDOWS),
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.constantFrom(0, 0.02, 0.5),
      (one, at, pm) => {
        const ports = trainPorts(changed(one, nominal(one) + at * one.reach), pm)
        const ctx = context({ placement: one.placement })
        const joint = jointNamed(one.joint)!
        const record = checkJoint(joint, ports, [], ctx)!
        const reversed = checkJoint(joint, [], ports, ctx)!
        expect(reversed).toEqual(record)
        const tally = new Tally()
        expect(tally.add(joint, sceneOf(ports, [], ctx))).toBe(true)
        expect([CODES[tally.code], tally.stated, tally.known, tally.agreed, tally.outside]).toEqual(
          [record.code, record.stated, record.known, record.agreed, record.outside],
        )
      },
    ),
    { numRuns: 200 },
  )
})
