import { describe, expect, test } from 'vitest'
import { compilePart } from '../ports/index.ts'
import { checkJoint, jointNamed } from './index.ts'
import type { JointContext } from './joint.ts'
import { compilePorts, context, port, trainPorts } from './samples.property.ts'

type Changes = Parameters<typeof trainPorts>[0]
const AUTOMATIC: Changes = { ratios: { type: 'automatic', stall: 2.1 } }
const TRANSAXLE: Changes = { ratios: { finalDrive: 3.9 } }
const check = (joint: string, changes: Changes = {}, rest: Partial<JointContext> = {}) =>
  checkJoint(jointNamed(joint)!, trainPorts(changes), [], context(rest))
const limit = (
  joint: string,
  id: string,
  changes: Changes = {},
  rest: Partial<JointContext> = {},
) => check(joint, changes, rest)?.limits.find((one) => one.id === id)

test('the agreeing train fits at every joint behind the flywheel', () => {
  for (const joint of [
    'clutch-cover',
    'release',
    'starter-ring',
    'crank-sensor',
    'rotation',
    'take-off',
    'propshaft',
    'lever',
    'speedometer',
    'switches',
  ])
    expect([joint, check(joint)!.code]).toEqual([joint, 'fits'])
  expect(check('load-signal', AUTOMATIC)!.code).toBe('fits')
  expect(check('drive-shafts', TRANSAXLE)!.code).toBe('fits')
})

describe.each([
  ['clutch-cover', 'cover-bolts', { 'cover-mount': { bolts: 5 } }, 'bridge'],
  ['clutch-cover', 'cover-dowels', { 'clutch-seat': { dowelMm: 0 } }, 'bridge'],
  ['clutch-cover', 'lining-outer', { 'disc-face': { outerMm: 240 } }, 'bridge'],
  ['clutch-cover', 'clutch-capacity', { 'engine-output': { peakTorqueNm: 300 } }, 'bridge'],
  ['release', 'release-travel', { 'release-gear': { slaveMm: 26 } }, 'bridge'],
  ['release', 'release-travel', { 'release-gear': { forkRatio: 1 } }, 'work'],
  ['release', 'master-stroke', { 'clutch-pedal': { strokeMm: 20 } }, 'bridge'],
  ['release', 'slave-wear', { 'release-gear': { strokeMm: 22 } }, 'bridge'],
  ['starter-ring', 'starter-module', { ring: { teeth: 130 } }, 'bridge'],
  ['starter-ring', 'starter-turns', { starter: { turns: 'clockwise' } }, 'bridge'],
  ['starter-ring', 'starter-turns', { starter: { turns: 'clockwise', way: 'rearward' } }, 'fits'],
  ['starter-ring', 'starter-side', { 'starter-room': { side: 'right' } }, 'bridge'],
  ['starter-ring', 'starter-side', { 'starter-room': { side: 'neither' } }, 'clash'],
  ['crank-sensor', 'trigger-teeth', { trigger: { teeth: 0 } }, 'bridge'],
  [
    'crank-sensor',
    'trigger-teeth',
    { trigger: { teeth: 0 }, 'crank-sensor': { readsAt: 'crank nose' } },
    'fits',
  ],
  ['crank-sensor', 'sensor-seat', { 'sensor-seat': { drilled: false } }, 'work'],
  ['rotation', 'crank-turns', { 'engine-output': { turns: 'clockwise' } }, 'clash'],
  [
    'rotation',
    'crank-turns',
    { 'engine-output': { turns: 'clockwise' }, ratios: { turns: 'either' } },
    'fits',
  ],
  [
    'rotation',
    'crank-turns',
    { 'engine-output': { turns: 'clockwise' }, ratios: { finalDrive: 4, mayTurnOver: true } },
    'work',
  ],
  [
    'rotation',
    'crank-turns',
    { 'engine-output': { turns: 'clockwise' }, ratios: { finalDrive: 4 } },
    'unmeasured',
  ],
  ['rotation', 'pump-turns', { 'front-drive': { pumpBelt: 'back' } }, 'bridge'],
  [
    'rotation',
    'alternator-turns',
    { 'front-drive': { alternatorWants: 'with the crank' } },
    'bridge',
  ],
  ['transfer-case', 'front-side', { 'front-axle': { side: 'right' } }, 'clash'],
  ['transfer-case', 'front-turns', { 'front-axle': { turns: 'against the rear' } }, 'clash'],
  ['transfer-case', 'front-ratio', { 'front-axle': { ratio: 3.9 } }, 'bridge'],
  ['transfer-case', 'case-splines', { 'transfer-input': { splines: 23 } }, 'bridge'],
  ['transfer-case', 'case-engaged', { 'case-shaft': { endMm: 610 } }, 'bridge'],
  ['transfer-case', 'case-end', { 'transfer-input': { mostMm: 30 } }, 'bridge'],
  ['transfer-case', 'case-shift', { 'front-axle': { shift: 'motor' } }, 'work'],
  ['load-signal', 'load-source', { ...AUTOMATIC, 'load-source': { cable: false } }, 'bridge'],
  [
    'load-signal',
    'load-source',
    { ...AUTOMATIC, 'load-source': { cable: false }, 'load-signal': { wants: 'vacuum' } },
    'fits',
  ],
  [
    'load-signal',
    'load-source',
    { ...AUTOMATIC, 'load-signal': { wants: undefined } },
    'unmeasured',
  ],
  ['load-signal', 'load-pull', { ...AUTOMATIC, 'load-source': { pullMm: 30 } }, 'work'],
  ['take-off', 'take-off-side', { 'take-off': { side: 'right' } }, 'clash'],
  ['take-off', 'take-off-turns', { 'take-off': { turns: 'against the engine' } }, 'bridge'],
  ['propshaft', 'prop-end', { propshaft: { splines: 25 } }, 'bridge'],
  ['propshaft', 'prop-end', { propshaft: { type: 'flange' } }, 'bridge'],
  ['propshaft', 'prop-length', { propshaft: { lengthMm: 1420 } }, 'work'],
  ['propshaft', 'prop-length', { propshaft: { lengthMm: 1250 } }, 'bridge'],
  ['propshaft', 'prop-slip', { pinion: { travelMm: 80 } }, 'bridge'],
  ['propshaft', 'prop-front-angle', { pinion: { belowMm: 160 } }, 'work'],
  ['propshaft', 'prop-residual', { pinion: { noseUpDeg: 9 } }, 'work'],
  ['propshaft', 'prop-critical', { propshaft: { tubeMm: 50 } }, 'bridge'],
  [
    'drive-shafts',
    'shaft-inner',
    { ...TRANSAXLE, 'side-outputs': { family: 'ball 94' } },
    'bridge',
  ],
  ['drive-shafts', 'shaft-outer', { ...TRANSAXLE, 'drive-shafts': { hubSplines: 27 } }, 'bridge'],
  ['drive-shafts', 'shaft-left', { ...TRANSAXLE, 'side-outputs': { leftMm: 150 } }, 'bridge'],
  ['drive-shafts', 'shaft-angle', { ...TRANSAXLE, 'drive-shafts': { dropMm: 220 } }, 'bridge'],
  ['lever', 'lever-rear', { lever: { alongMm: 640 } }, 'work'],
  [
    'lever',
    'lever-rear',
    { lever: { alongMm: 640 }, 'lever-opening': { mayCut: false } },
    'bridge',
  ],
  ['lever', 'lever-work', { lever: { work: 'cables' } }, 'bridge'],
  ['lever', 'lever-gate', { lever: { gate: 'mirrored' } }, 'work'],
  ['speedometer', 'speed-kind', { 'speed-drive': { type: 'pulses' } }, 'bridge'],
  ['speedometer', 'speed-reads', { axle: { ratio: 3.5 } }, 'work'],
  ['switches', 'reverse-switch', { switches: { reverse: false } }, 'work'],
  [
    'switches',
    'start-interlock',
    { switches: { interlock: 'nothing' }, 'switch-wants': { interlock: 'nothing' } },
    'work',
  ],
  ['switches', 'start-interlock', { ...AUTOMATIC, switches: { interlock: 'nothing' } }, 'work'],
] as const)('%s %s with %o', (joint, id, changes, code) => {
  test(`is ${code}`, () => {
    expect(limit(joint, id, changes as Changes)!.code).toBe(code)
  })
})

test('what cannot be undone says so, and asks for one last check', () => {
  const irreversible = [
    limit('lever', 'lever-rear', { lever: { alongMm: 640 } }),
    limit('crank-sensor', 'sensor-seat', { 'sensor-seat': { drilled: false } }),
    limit('propshaft', 'prop-length', { propshaft: { lengthMm: 1420 } }),
  ]
  for (const one of irreversible) {
    expect(one!.task!.reversible).toBe(false)
    expect(one!.task!.caution!.length).toBeGreaterThan(20)
  }
})

test('what is only unusual is a caution, whoever sent it', () => {
  const cautionsOf = (joint: string, changes: Changes) => check(joint, changes)!.cautions.join(' ')
  expect(cautionsOf('propshaft', {})).not.toMatch(/ahead/)
  expect(cautionsOf('propshaft', { pinion: { alongMm: -1200 } })).toMatch(/ahead of the output/)
  expect(cautionsOf('propshaft', { 'mount-pad': { alongMm: -20 } })).toMatch(
    /pad would stand ahead of the bell face. Look again/,
  )
})

test('joints that another kind of train has do not apply', () => {
  expect(check('clutch-cover', AUTOMATIC)).toBeNull()
  expect(check('release', AUTOMATIC)).toBeNull()
  expect(check('load-signal')).toBeNull()
  expect(check('propshaft', TRANSAXLE)).toBeNull()
  expect(check('drive-shafts')).toBeNull()
  expect(check('crank-sensor', { 'crank-sensor': { readsAt: 'none' } })).toBeNull()
  const without = (kind: string) => trainPorts().filter((one) => one.kind !== kind)
  for (const [joint, kind] of [
    ['transfer-case', 'transfer'],
    ['take-off', 'take-off'],
    ['lever', 'lever-opening'],
    ['speedometer', 'speed-reader'],
    ['switches', 'switch-wants'],
    ['release', 'clutch-pedal'],
    ['propshaft', 'pinion'],
  ] as const)
    expect([joint, checkJoint(jointNamed(joint)!, without(kind), [], context())]).toEqual([
      joint,
      null,
    ])
})

// Design notes: 57 mm of setback moves a transfer case back by 57 mm: the rear shaft shortens by it.
test('set back 57 mm, the rear propshaft wanted shortens by it', () => {
  const rest = { placement: 'set-back' as const }
  const wanted = (alongMm: number) =>
    check('propshaft', { 'engine-pads': { alongMm } }, rest)!.shown.find((one) =>
      one.label.startsWith('Propshaft wanted'),
    )!.value as number
  expect(wanted(-260) - wanted(-317)).toBeCloseTo(57, 0)
  const plate = compilePart({
    id: 'plate',
    kind: 'x',
    name: 'Plate',
    ports: [port('plate', { thicknessMm: 16 }, { pm: 0.02 })],
  })
  const stacked = check('propshaft', {}, { ...rest, stack: [plate] })!.shown[0]!.value as number
  expect(wanted(-260) - stacked).toBeCloseTo(16, 0)
})

test('a case with a face of another pattern needs an adapter; turned bolts ask whether it may turn', () => {
  const circle = (turnDeg: number, radius = 80) =>
    Array.from({ length: 5 }, (_, i) => {
      const at = ((turnDeg + 72 * i + (i === 0 ? 9 : 0)) * Math.PI) / 180
      return {
        x: Number((radius * Math.cos(at)).toFixed(4)),
        y: Number((radius * Math.sin(at)).toFixed(4)),
        d: 10.5,
        bolt: 'M10',
      }
    })
  const run = (front: ReturnType<typeof circle>, mayTurn?: boolean) => {
    const faces = compilePorts(
      port('face', { holes: circle(0), dowels: [] }, { slot: 'rear', looks: 'rearward', pm: 0.02 }),
      port(
        'face',
        { holes: front, dowels: [], ...(mayTurn === undefined ? {} : { mayTurn }) },
        { slot: 'front', looks: 'forward', pm: 0.02 },
      ),
    )
    return checkJoint(jointNamed('transfer-case')!, [...trainPorts(), ...faces], [], context())!
      .limits
  }
  const code = (limits: ReturnType<typeof run>, id: string) =>
    limits.find((one) => one.id === id)?.code
  expect(code(run(circle(0)), 'case-face')).toBe('fits')
  expect(code(run(circle(0, 95)), 'case-face')).toBe('bridge')
  expect(code(run(circle(23)), 'case-clock')).toBe('unmeasured')
  expect(code(run(circle(23), true), 'case-clock')).toBe('work')
  expect(code(run(circle(23), false), 'case-clock')).toBe('bridge')
})
