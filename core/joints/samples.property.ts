import fc from 'fast-check'
import type { FieldWords } from '../ports/field.ts'
import {
  type AnyPort,
  type CompiledPart,
  compilePart,
  PORT_KINDS,
  type PortKindName,
} from '../ports/index.ts'
import { type PartKind, typedPorts } from '../ports/part-kinds.ts'
import type { Port } from '../ports/port.ts'
import { GRADES } from '../quantity/grade.ts'
import type { JointContext } from './joint.ts'
import { tolerances } from './tolerances.ts'

/** One port from plain values; ± and grade for all of them. */
export function port(
  kind: PortKindName,
  values: Record<string, unknown>,
  {
    slot = 'main',
    looks,
    pm,
    grade = 'measured',
  }: {
    slot?: string
    looks?: 'forward' | 'rearward'
    pm?: number
    grade?: (typeof GRADES)[number]
  } = {},
): Port {
  const id = `p/${kind}/${slot}${looks ?? ''}`
  const claims = Object.fromEntries(
    Object.entries(values).map(([field, value]) => [
      field,
      [{ id: `${id}.${field}`, value, grade, ...(pm === undefined ? {} : { plusMinus: pm }) }],
    ]),
  )
  return { id, kind, slot, ...(looks ? { looks } : {}), claims }
}

export const compilePorts = (...ports: Port[]): readonly AnyPort[] =>
  compilePart({ id: 'p', kind: 'sample', name: 'Sample', ports }).ports

export const context = (rest: Partial<JointContext> = {}): JointContext => ({
  stack: [],
  tolerances: tolerances(),
  ...rest,
})

/** The lengths of a train whose every depth stack agrees (mm), as the design notes define them. */
export const AGREEING = {
  'crank-flange': {
    proudMm: 4.2,
    angles: [0, 60, 120, 180, 240, 300],
    circleMm: 64,
    thread: 'M10x1.25',
    holeDepthMm: 20,
    registerMm: 36,
    balance: 'zero',
  },
  'pilot-bore': { finished: true, boreMm: 25, mouthMm: 4.2, bottomMm: -26.5 },
  'engine-output': {
    peakTorqueNm: 118,
    peakTorqueRpm: 2800,
    redlineRpm: 5200,
    oilL: 4,
    turns: 'counter-clockwise',
  },
  flywheel: {
    angles: [0, 60, 120, 180, 240, 300],
    circleMm: 64,
    holeMm: 10.2,
    registerMm: 36.02,
    outerMm: 282,
    balance: 'zero',
    clutchFaceMm: 28,
  },
  'flange-bolts': { thread: 'M10x1.25', lengthMm: 25, clampedMm: 12, headMm: 17, headTallMm: 7 },
  ring: { nearMm: 18, widthMm: 10, teeth: 109, outerMm: 281.94 },
  starter: {
    mount: 'bell',
    pinionMm: 24.4,
    throwMm: 12,
    way: 'forward',
    turns: 'counter-clockwise',
    teeth: 9,
    moduleMm: 2.54,
  },
  'pilot-piece': { type: 'bearing', outerMm: 25.018, boreMm: 15.015, widthMm: 12, depthMm: 1 },
  'input-shaft': {
    noseMm: 15,
    tipMm: -12.5,
    noseEndMm: 7.5,
    splines: 23,
    majorMm: 25.4,
    form: 'involute',
    splineStartMm: 21.5,
    splineEndMm: 76.5,
  },
  'disc-hub': {
    startMm: -6,
    endMm: 18,
    splines: 23,
    majorMm: 25.6,
    form: 'involute',
    marked: 'gearbox side',
    carrierMm: 8,
  },
  'cover-fingers': { heightMm: 52, travelLowMm: 5, travelHighMm: 9 },
  'release-bearing': { restMm: 87, gapLowMm: 1.5, gapHighMm: 4 },
  ratios: { type: 'manual', gears: [3.9, 2.3, 1.4, 1], turns: 'counter-clockwise' },
  ratings: { torqueNm: 210, reference: 'engine', basis: 'nominal', speedRpm: 6500 },
  axle: { ratio: 4.11, ladenKg: 1340 },
  tyre: { marking: '185/80R14' },
  'converter-bore': { boreMm: 42.05, depthMm: 20 },
  'flex-pads': {
    heightMm: 7.5,
    angles: [0, 120, 240],
    circleMm: 240,
    holeMm: 10.4,
    thickMm: 3,
    boltThread: 'M10x1.5',
    boltMm: 14,
  },
  converter: {
    padAngles: [10, 130, 250],
    padCircleMm: 240,
    padThread: 'M10x1.5',
    padDepthMm: 14,
    noseMm: 42,
    noseTipMm: -16,
    hubMm: 44.4,
    turbineSplines: 27,
    statorSplines: 30,
    stallRpm: 2100,
  },
  pump: {
    padMm: 14.2,
    padSpreadMm: 0.2,
    lugsMm: 14,
    bushMm: 44.45,
    turbineSplines: 27,
    statorSplines: 30,
  },
  'engine-pads': { alongMm: -260, belowMm: 40, spreadMm: 480, angleDeg: 45, thread: 'M10x1.5' },
  'chassis-pads': {
    crankAboveMm: 40,
    spreadMm: 480,
    angleDeg: 45,
    thread: 'M10x1.5',
    captive: true,
  },
  'mount-pad': { alongMm: 520, belowMm: 130, spacingMm: 80, thread: 'M10x1.5' },
  crossmember: {
    alongMm: 780,
    belowMm: 90,
    spacingMm: 80,
    slotMm: 6,
    thread: 'M10x1.5',
    mayMove: true,
  },
  sump: {
    zones: [
      { fromMm: -480, toMm: -200, depthMm: 110 },
      { fromMm: -200, toMm: -20, depthMm: 210 },
    ],
    dropMm: 60,
    capacityL: 4.2,
    coverMm: 70,
    pickupMm: 60,
    baffled: true,
  },
  'clutch-seat': {
    circleMm: 265,
    bolts: 6,
    thread: 'M8x1.25',
    dowelMm: 8,
    stepMm: 0,
    outerMm: 232,
    innerMm: 145,
  },
  'cover-mount': { circleMm: 265, bolts: 6, holeMm: 8.4, dowelMm: 8, stepMm: 0, clampN: 5500 },
  'disc-face': { outerMm: 225, innerMm: 150, friction: 0.3 },
  'clutch-pedal': { travelMm: 140, ratio: 5.5, masterMm: 19.05, strokeMm: 30 },
  'release-gear': { type: 'fork', slaveMm: 20.64, innerMm: 0, strokeMm: 28, forkRatio: 1.8 },
  'starter-seat': { side: 'left', axisMm: 150.4 },
  'starter-room': { side: 'both' },
  'crank-sensor': { readsAt: 'wheel, from the bell', teeth: 60 },
  trigger: { teeth: 60 },
  'sensor-seat': { drilled: true },
  'front-drive': {
    pumpWants: 'with the crank',
    pumpBelt: 'ribs',
    fanWants: 'electric',
    fanBelt: 'motor',
    alternatorWants: 'either',
    alternatorBelt: 'back',
  },
  'case-shaft': { splines: 27, majorMm: 38, faceMm: 600, endMm: 630 },
  output: { type: 'slip', splines: 27, majorMm: 35, alongMm: 300, belowMm: 10, rightMm: 0 },
  propshaft: {
    type: 'slip',
    splines: 27,
    majorMm: 35.2,
    lengthMm: 1342,
    slipMm: 90,
    tubeMm: 88.9,
    wallMm: 1.65,
    yokeDeg: 25,
  },
  pinion: { alongMm: 2500, belowMm: 20, rightMm: 0, noseUpDeg: 2, travelMm: 30 },
  'transfer-input': { splines: 27, majorMm: 38.2, depthMm: 80, mostMm: 90 },
  transfer: {
    frontSide: 'left',
    frontTurns: 'as the rear',
    frontRatio: 1,
    low: 2.5,
    shift: 'lever',
  },
  'front-axle': { side: 'left', turns: 'as the rear', ratio: 4.11, shift: 'lever' },
  'load-signal': { wants: 'cable', pullMm: 40 },
  'load-source': { cable: true, pullMm: 40, vacuum: true, bus: true },
  'take-off-opening': { family: 'six bolt', side: 'left', moduleMm: 3.5, turns: 'with the engine' },
  'take-off': {
    family: 'six bolt',
    side: 'left',
    moduleMm: 3.5,
    turns: 'with the engine',
    reachMm: 180,
    roomMm: 240,
  },
  lever: { alongMm: 560, work: 'lever on the case', gate: 'as the vehicle' },
  'lever-opening': { fromMm: 760, toMm: 880, work: 'lever on the case', mayCut: true },
  'speed-drive': { type: 'cable', perTurn: 0.3 },
  'speed-reader': { type: 'cable', perKm: 620 },
  switches: { reverse: true, interlock: 'neutral or park switch' },
  'switch-wants': { reverse: true, interlock: 'clutch switch' },
  'side-outputs': { family: 'tripod 30', leftMm: 110, rightMm: 140 },
  'drive-shafts': {
    family: 'tripod 30',
    splines: 25,
    hubSplines: 25,
    leftMm: 451,
    rightMm: 421.1,
    hubLeftMm: 560,
    hubRightMm: 560,
    dropMm: 30,
    plungeMm: 15,
    mostDeg: 22,
  },
  'under-engine': {
    zones: [{ fromMm: -180, toMm: -120, depthMm: 140, moving: true, name: 'tie rod' }],
  },
} as const satisfies Partial<Record<PortKindName, Record<string, unknown>>>

/** The agreeing train with some values changed; `undefined` makes one unknown. */
export function trainPorts(
  changes: Partial<Record<PortKindName, Record<string, unknown>>> = {},
  pm = 0.02,
): readonly AnyPort[] {
  return compilePorts(
    ...(Object.entries(AGREEING) as [PortKindName, Record<string, unknown>][]).map(
      ([kind, values]) => {
        const merged = Object.entries({ ...values, ...changes[kind] }).filter(
          ([, value]) => value !== undefined,
        )
        return port(kind, Object.fromEntries(merged), {
          pm,
          slot: kind === 'pilot-bore' ? 'crank' : 'main',
        })
      },
    ),
  )
}

/** Random values of one field: near the agreeing ones for numbers, any choice for words, sometimes unknown. */
function anyValue(words: FieldWords<unknown>, near: unknown): fc.Arbitrary<unknown> {
  const known = (): fc.Arbitrary<unknown> => {
    switch (words.type) {
      case 'number':
        return fc
          .double({ min: -15, max: 15, noNaN: true })
          .map((shift) =>
            Number(
              (
                (typeof near === 'number' ? near : 20) +
                shift * (Math.abs(Number(near ?? 20)) > 100 ? 10 : 1)
              ).toFixed(3),
            ),
          )
      case 'flag':
        return fc.boolean()
      case 'numbers':
        return fc.array(
          fc.double({ min: 0, max: 350, noNaN: true }).map((v) => Number(v.toFixed(2))),
          { minLength: 1, maxLength: 8 },
        )
      case 'thread':
        return fc.constantFrom(near ?? 'M10x1.25', 'M12x1.25', 'through')
      case 'zones':
        return fc.array(
          fc
            .record({
              fromMm: fc.integer({ min: -500, max: 400 }),
              depthMm: fc.integer({ min: 50, max: 320 }),
              moving: fc.boolean(),
            })
            .map((zone) => ({ ...zone, toMm: zone.fromMm + 120 })),
          { maxLength: 4 },
        )
      case 'word':
        return words.choices
          ? fc.constantFrom(...words.choices)
          : fc.constantFrom(near ?? 'M10x1.25', 'M12x1.25', 'through')
      case 'holes':
      case 'dowels':
        return fc.array(
          fc.record({
            x: fc.integer({ min: -200, max: 200 }),
            y: fc.integer({ min: -200, max: 200 }),
            d: fc.constantFrom(10, 10.6, 12, 12.03),
          }),
          {
            minLength: 1,
            maxLength: 6,
          },
        )
      default:
        return fc.constant([
          { x: 0, y: 0 },
          { x: 10, y: 0 },
          { x: 0, y: 10 },
        ])
    }
  }
  return fc.oneof(
    { weight: 1, arbitrary: fc.constant(undefined) },
    {
      weight: 9,
      arbitrary: fc.oneof(
        { weight: 2, arbitrary: known() },
        { weight: 3, arbitrary: near === undefined ? known() : fc.constant(near) },
      ),
    },
  )
}

/** One random port of a kind at a slot, with claims of any grade and ±. */
function anyPort(
  kind: PortKindName,
  slot: string,
  looks: fc.Arbitrary<'forward' | 'rearward' | undefined>,
): fc.Arbitrary<Port> {
  const fields = PORT_KINDS[kind].fields as Record<string, FieldWords<unknown>>
  const near = (AGREEING as Record<string, Record<string, unknown>>)[kind] ?? {}
  return fc
    .record({
      values: fc.record(
        Object.fromEntries(
          Object.entries(fields).map(([name, words]) => [name, anyValue(words, near[name])]),
        ),
      ),
      pm: fc.constantFrom(undefined, 0, 0.02, 0.3),
      grade: fc.constantFrom(...GRADES),
      looks,
    })
    .map(({ values, pm, grade, looks }) =>
      port(
        kind,
        Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)),
        { pm, grade, looks, slot },
      ),
    )
}

/** Random ports of every kind: what a joint may meet. */
export const anyPorts: fc.Arbitrary<Port[]> = fc.tuple(
  ...(Object.keys(PORT_KINDS) as PortKindName[]).map((kind) =>
    anyPort(
      kind,
      kind === 'pilot-bore' ? 'crank' : 'main',
      kind === 'face'
        ? fc.constantFrom('forward' as const, 'rearward' as const)
        : fc.constant(undefined),
    ),
  ),
)

/** A random part of a kind: each port it is typed with there or not, or all of them. */
export function anyPart(kind: PartKind, id: string, isWhole = false): fc.Arbitrary<CompiledPart> {
  const ports = typedPorts(kind).map(({ kind, slot, looks }) =>
    fc
      .option(anyPort(kind as PortKindName, slot, fc.constant(looks)), {
        freq: isWhole ? 1e9 : 6,
        nil: null,
      })
      .map((made) => (made ? { ...made, id: `${id}/${kind}/${slot}` } : null)),
  )
  return fc
    .tuple(...ports)
    .map((made) => compilePart({ id, kind, name: id, ports: made.filter((one) => one !== null) }))
}
