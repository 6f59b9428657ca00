import type { Field, FieldWords, Zone } from '../ports/field.ts'
import { type AnyPort, type CompiledPart, PORT_KINDS, type PortKindName } from '../ports/index.ts'
import { JOINTS } from './index.ts'
import type { JointContext } from './joint.ts'
import type { Limit } from './judging/declaration.ts'
import { EMPTY_HALF } from './judging/half.ts'
import { instancesOf } from './judging/instances.ts'
import { blankResult, planOf, type Result } from './judging/plan.ts'
import { fieldsRead, type Read } from './judging/read.ts'
import { leavesOf, type Scene } from './judging/scene.ts'
import { compilePorts, context, port, trainPorts } from './samples.property.ts'
import { arrange } from './side.ts'

type Changes = Parameters<typeof trainPorts>[0]

/** Trains about the agreeing one in which limits are met with each of their inputs. */
const BASES = {
  manual: {},
  'set back': {},
  automatic: { ratios: { type: 'automatic', stall: 2.1 } },
  'pinion rearward': { starter: { way: 'rearward', pinionMm: 20 }, ring: { widthMm: 9.8 } },
  'starter on the block': { starter: { mount: 'block' }, ring: { widthMm: 9.8 } },
  'pinion rearward, on the block': {
    starter: { way: 'rearward', mount: 'block', pinionMm: 20 },
    ring: { widthMm: 9.8 },
  },
  'pinion measured': { starter: { outerMm: 27.94 } },
  'pinion measured, on the block': { starter: { mount: 'block', outerMm: 27.94 } },
  'narrow ring': { ring: { widthMm: 9 } },
  'speed rated apart': {},
  'nothing moves under it': {
    'mount-pad': { alongMm: 700.2 },
    'under-engine': { zones: [{ fromMm: -180, toMm: -120, depthMm: 140, moving: false }] },
  },
  'narrow pilot': { 'pilot-piece': { widthMm: 6 } },
  'proud pilot': { 'pilot-piece': { depthMm: -0.4 } },
  bush: { 'pilot-piece': { type: 'bush', boreMm: 15.05 } },
  'bore in the wheel': {},
  'bore in a spacer': {},
  shimmed: { ratios: { type: 'automatic', stall: 2.1 }, pump: { padMm: 17.7 } },
  'slave round the shaft': { 'release-gear': { type: 'concentric slave', innerMm: 12 } },
  'rated at the axle': {
    ratings: { reference: 'axle', torqueNm: 40_000 },
    axle: { ladenKg: 90_000 },
  },
  'rated at the axle, automatic': {
    ratios: { type: 'automatic', stall: 2.1 },
    ratings: { reference: 'axle', torqueNm: 40_000 },
    axle: { ladenKg: 90_000 },
  },
  'rated at the axle, transaxle': {
    ratios: { finalDrive: 3.9 },
    ratings: { reference: 'axle', torqueNm: 40_000 },
    axle: { ladenKg: 90_000 },
  },
  'capped by grip': {
    ratings: { reference: 'output', torqueNm: 900 },
    axle: { ladenKg: 200 },
    'front-axle': { ladenKg: 100 },
  },
  'capped at the axle': {
    ratings: { reference: 'axle', torqueNm: 3000 },
    axle: { ladenKg: 300, transferKg: 60 },
    tyre: { loadedMm: 310 },
  },
  transaxle: { ratios: { finalDrive: 3.9 } },
  'transaxle, left shorter': { ratios: { finalDrive: 3.9 }, 'side-outputs': { leftMm: 250 } },
  'shallow case': { 'transfer-input': { depthMm: 26 } },
  'slow engine': { 'engine-output': { redlineRpm: 600 } },
  'axle aside': { pinion: { rightMm: 300, noseUpDeg: -5 } },
  'open pan': { sump: { baffled: false } },
  'obstacle before the step of the pan': { 'mount-pad': { alongMm: 699.8 } },
  'obstacle before the step, set back': { 'engine-pads': { alongMm: -80.2 } },
  'still under the shallow part': {
    'under-engine': { zones: [{ fromMm: -180, toMm: -120, depthMm: 140 }] },
  },
  'obstacle behind the pan': {
    'under-engine': { zones: [{ fromMm: 520, toMm: 560, depthMm: 10, moving: true }] },
  },
  'obstacle behind the pan, set back': {
    'under-engine': { zones: [{ fromMm: 520, toMm: 560, depthMm: 10, moving: true }] },
  },
} as const satisfies Record<string, Changes>
export type Base = keyof typeof BASES
const SET_BACK: readonly Base[] = [
  'set back',
  'obstacle before the step, set back',
  'obstacle behind the pan, set back',
]
const STACK: readonly CompiledPart[] = [
  {
    id: 's',
    kind: 'plate',
    name: 'S',
    // Of no thickness, as no part is: each is there to be moved.
    ports: compilePorts(
      port('plate', { thicknessMm: 1 }, { pm: 0 }),
      port('spacer', { thicknessMm: 1 }, { pm: 0 }),
    ).map(
      (one) =>
        ({
          ...one,
          thicknessMm: { ...(one as unknown as Record<string, object>).thicknessMm, v: 0 },
        }) as unknown as AnyPort,
    ),
  },
]

/** Ports that take another slot on a train. */
const slotted: Partial<Record<Base, readonly [PortKindName, string]>> = {
  'bore in the wheel': ['pilot-bore', 'flange'],
  'bore in a spacer': ['pilot-bore', 'spacer'],
  'speed rated apart': ['ratings', 'speed'],
}

function sceneOf(base: Base): Scene {
  const ports = trainPorts(BASES[base], 0).map((one) =>
    one.kind === slotted[base]?.[0]
      ? ({ ...one, slot: slotted[base]![1] } as unknown as AnyPort)
      : one,
  )
  const shop: JointContext = context({ placement: SET_BACK.includes(base) ? 'set-back' : 'keep' })
  const { a, b } = arrange(ports, [])
  // The agreeing train has one seat for its starter, wherever that is mounted.
  return {
    a: { ...a, starterSeat: b.starterSeat.present ? b.starterSeat : a.starterSeat },
    b: { ...b, starterSeat: b.starterSeat.present ? b.starterSeat : a.starterSeat },
    stack: STACK,
    shop,
    each: null,
    item: null,
  }
}

/** The same scene with one field at another value. */
function at(scene: Scene, field: Field<unknown>, value: unknown, pm = 0): Scene {
  const portOf = (one: AnyPort): AnyPort =>
    one.id === field.at.port && one.part === field.at.part
      ? ({ ...one, [field.at.field]: { ...field, v: value, pm } } as unknown as AnyPort)
      : one
  const side = <S extends object>(one: S): S =>
    Object.fromEntries(
      Object.entries(one).map(([slot, held]) => [
        slot,
        Array.isArray(held) ? held.map(portOf) : portOf(held as AnyPort),
      ]),
    ) as S
  return {
    ...scene,
    a: side(scene.a),
    b: side(scene.b),
    stack: scene.stack.map((part) => ({ ...part, ports: part.ports.map(portOf) })),
  }
}

const results = (limit: Limit, scene: Scene): Result[] => {
  const plan = planOf(limit)
  return instancesOf(limit, scene).map((instance) => ({
    ...plan
      .load(1, EMPTY_HALF, scene.shop, false, true)
      .load(0, plan.half(instance.scene), scene.shop, false, true)
      .judge(scene.shop, blankResult(), true),
  }))
}

const limitsOf = (joint: string, id: string): readonly Limit[] => {
  const found = JOINTS.find((one) => one.id === joint)!
  return found.limits.filter(
    (limit) => limit.id === id && (limit.terms ?? limit.measure) !== undefined,
  )
}

/** What value and window are worked out of. */
const workings = ({ terms = [], measure, window }: Limit): Read[] => [
  ...terms.map(({ of }) => of),
  ...Object.values(measure?.reads ?? {}),
  ...(window ?? []).flatMap((end) => (typeof end === 'object' ? Object.values(end.reads) : [])),
]
const leaves = (limit: Limit, scene: Scene): Field<unknown>[] =>
  instancesOf(limit, scene).flatMap((instance) =>
    workings(limit).flatMap((read) => leavesOf(read, instance.scene)),
  )

/** Steps over which a field is moved, of its own size. */
const REACH = 0.25
const STEPS = 21

/** A number, each of a list of numbers, or the depth of each zone, moved. */
function movedBy(v: unknown, by: (one: number) => number): unknown {
  if (typeof v === 'number') return v + by(v)
  if (!Array.isArray(v)) return v
  return v.map((one: number | Zone) =>
    typeof one === 'number' ? one + by(one) : { ...one, depthMm: one.depthMm + by(one.depthMm) },
  )
}

/** The margins to either end of the window as a field is moved through its reach: value less the low end, high end less value. */
function track(
  limit: Limit,
  scene: Scene,
  field: Field<unknown>,
): { value: number; low: number; high: number }[] {
  const move = (share: number): unknown =>
    movedBy(field.v, (one) => share * Math.max(2, Math.abs(one)))
  return Array.from({ length: STEPS }, (_, i) => {
    const [result] = results(limit, at(scene, field, move(REACH * ((2 * i) / (STEPS - 1) - 1))))
    return result?.isStated && result.isKnown
      ? { value: result.value, low: result.low, high: result.high }
      : { value: Number.NaN, low: Number.NaN, high: Number.NaN }
  })
}

/** Which way a list of figures runs: + never falls and rises somewhere, − the other way, 0 stands still, ? does both. */
function way(figures: readonly number[]): '+' | '-' | '0' | '?' {
  const known = figures.filter((figure) => Number.isFinite(figure))
  let [up, down] = [false, false]
  for (let i = 1; i < known.length; i++) {
    if (known[i]! > known[i - 1]! + 1e-9) up = true
    if (known[i]! < known[i - 1]! - 1e-9) down = true
  }
  return up && down ? '?' : up ? '+' : down ? '-' : '0'
}

/** How a field (`kind.field`) moves a limit on a train: its value, `+` or `-`, and the ends of its window, `l+` the low end up, `h-` the high end down. */
function directionOf(joint: string, id: string, base: Base, name: string): string {
  const [kind, fieldName] = name.split('.') as [PortKindName, string]
  const scene = sceneOf(base)
  const ways = new Set<string>()
  for (const limit of limitsOf(joint, id)) {
    const field = leaves(limit, scene).find(
      (leaf) => leaf.at.port.split('/')[1] === kind && leaf.at.field === fieldName,
    )
    if (!field || field.claim === null) continue
    const figures = track(limit, scene, field)
    for (const [end, mark] of [
      ['value', ''],
      ['low', 'l'],
      ['high', 'h'],
    ] as const) {
      const found = way(figures.map((figure) => figure[end]))
      if (found !== '0') ways.add(`${mark}${found}`)
    }
  }
  return [...ways].join('')
}

/** The window of a limit on a train; null where it is not stated there. */
function windowOf(joint: string, id: string, base: Base): readonly [number, number] | null {
  const scene = sceneOf(base)
  const [stated] = limitsOf(joint, id).flatMap((limit) =>
    results(limit, scene).filter(({ isStated, isKnown }) => isStated && isKnown),
  )
  return stated ? [stated.low, stated.high] : null
}

/** Types of field that can be moved. */
const MOVED = new Set(['number', 'numbers', 'zones'])
/** Every number a limit reads by its declaration, as `kind.field`. */
export const inputsOf = (joint: string, id: string): string[] => [
  ...new Set(
    limitsOf(joint, id).flatMap((limit) =>
      workings(limit).flatMap((read) =>
        fieldsRead(read).flatMap(({ kind, field }) => {
          const { type } = (
            PORT_KINDS[kind].fields as unknown as Record<string, FieldWords<unknown>>
          )[field]!
          return MOVED.has(type) ? [`${kind}.${field}`] : []
        }),
      ),
    ),
  ),
]
/** Every limit with a window. */
export const measuredLimits = (): (readonly [string, string])[] =>
  JOINTS.flatMap((joint) =>
    [
      ...new Set(joint.limits.filter(({ terms, measure }) => terms ?? measure).map(({ id }) => id)),
    ].map((id) => [joint.id, id] as const),
  )

/** One limit on one train: how each of its inputs moves it, and both ends of its window there. */
export type Direction = readonly [
  joint: string,
  limit: string,
  base: Base,
  inputs: string,
  low: number,
  high: number,
]

/**
 * Every limit with a window: `+` the value rises with the field, `-` it falls, `0` it stands still; `l` and `h` the low and
 * high end. Values of the agreeing train, each line read against the design notes: a declaration only says which lines
 * there must be.
 */
export const DIRECTIONS: readonly Direction[] = [
  [
    'crank-flange',
    'flange-circle',
    'manual',
    '+ flywheel.circleMm, - crank-flange.circleMm',
    -0.1,
    0.1,
  ],
  [
    'crank-flange',
    'register',
    'manual',
    '+ flywheel.registerMm, - crank-flange.registerMm',
    0,
    0.05,
  ],
  [
    'crank-flange',
    'bolt-reach',
    'manual',
    '+ flange-bolts.lengthMm, - flange-bolts.clampedMm, - spacer.thicknessMm, h+ crank-flange.holeDepthMm',
    10,
    19,
  ],
  [
    'crank-flange',
    'head-inner',
    'manual',
    '+ flywheel.circleMm, - flywheel.registerMm, - flange-bolts.headMm',
    0.5,
    Infinity,
  ],
  [
    'crank-flange',
    'head-outer',
    'manual',
    '+ flywheel.outerMm, - flywheel.circleMm, - flange-bolts.headMm',
    0.5,
    Infinity,
  ],
  [
    'depth',
    'pull-up',
    'automatic',
    '+ pump.padMm, + plate.thicknessMm, - crank-flange.proudMm, - spacer.thicknessMm, - flex-pads.heightMm',
    1.5,
    5,
  ],
  [
    'depth',
    'nose',
    'manual',
    '+ pilot-bore.mouthMm, - pilot-piece.depthMm, - plate.thicknessMm, - input-shaft.tipMm',
    8,
    Infinity,
  ],
  [
    'depth',
    'nose',
    'narrow pilot',
    '+ pilot-bore.mouthMm, - pilot-piece.depthMm, - plate.thicknessMm, - input-shaft.tipMm, l+ pilot-piece.widthMm',
    6,
    Infinity,
  ],
  [
    'depth',
    'nose',
    'bore in the wheel',
    '+ pilot-bore.mouthMm, - pilot-piece.depthMm, - plate.thicknessMm, - input-shaft.tipMm, + crank-flange.proudMm, + spacer.thicknessMm',
    8,
    Infinity,
  ],
  [
    'depth',
    'nose',
    'bore in a spacer',
    '+ pilot-bore.mouthMm, - pilot-piece.depthMm, - plate.thicknessMm, - input-shaft.tipMm, + crank-flange.proudMm',
    8,
    Infinity,
  ],
  [
    'depth',
    'tip-clear',
    'manual',
    '+ plate.thicknessMm, + input-shaft.tipMm, - pilot-bore.bottomMm',
    3,
    Infinity,
  ],
  [
    'depth',
    'tip-clear',
    'bore in the wheel',
    '+ plate.thicknessMm, + input-shaft.tipMm, - crank-flange.proudMm, - spacer.thicknessMm, - pilot-bore.bottomMm',
    3,
    Infinity,
  ],
  [
    'depth',
    'tip-clear',
    'bore in a spacer',
    '+ plate.thicknessMm, + input-shaft.tipMm, - crank-flange.proudMm, - pilot-bore.bottomMm',
    3,
    Infinity,
  ],
  [
    'depth',
    'shoulder-clear',
    'manual',
    '+ plate.thicknessMm, + input-shaft.noseEndMm, - pilot-bore.mouthMm',
    0.5,
    Infinity,
  ],
  [
    'depth',
    'shoulder-clear',
    'proud pilot',
    '+ plate.thicknessMm, + input-shaft.noseEndMm, - pilot-bore.mouthMm, + pilot-piece.depthMm',
    0.5,
    Infinity,
  ],
  [
    'depth',
    'shoulder-clear',
    'bore in the wheel',
    '+ plate.thicknessMm, + input-shaft.noseEndMm, - crank-flange.proudMm, - spacer.thicknessMm, - pilot-bore.mouthMm',
    0.5,
    Infinity,
  ],
  [
    'depth',
    'shoulder-clear',
    'bore in a spacer',
    '+ plate.thicknessMm, + input-shaft.noseEndMm, - crank-flange.proudMm, - pilot-bore.mouthMm',
    0.5,
    Infinity,
  ],
  [
    'depth',
    'hub-front',
    'manual',
    '+ crank-flange.proudMm, + spacer.thicknessMm, + flywheel.clutchFaceMm, + disc-hub.startMm, - plate.thicknessMm, - input-shaft.splineStartMm',
    2,
    Infinity,
  ],
  [
    'depth',
    'hub-rear',
    'manual',
    '+ plate.thicknessMm, + input-shaft.splineEndMm, - crank-flange.proudMm, - spacer.thicknessMm, - flywheel.clutchFaceMm, - disc-hub.endMm',
    2,
    Infinity,
  ],
  [
    'depth',
    'release-gap',
    'manual',
    '+ plate.thicknessMm, + release-bearing.restMm, - crank-flange.proudMm, - spacer.thicknessMm, - flywheel.clutchFaceMm, - cover-fingers.heightMm, l+ release-bearing.gapLowMm, h+ release-bearing.gapHighMm',
    1.5,
    4,
  ],
  [
    'depth',
    'starter-gap',
    'manual',
    '- crank-flange.proudMm, - spacer.thicknessMm, - ring.nearMm, + plate.thicknessMm, + starter.pinionMm',
    1.5,
    3,
  ],
  [
    'depth',
    'starter-gap',
    'pinion rearward',
    '+ crank-flange.proudMm, + spacer.thicknessMm, + ring.nearMm, - plate.thicknessMm, - starter.pinionMm',
    1.5,
    3,
  ],
  [
    'depth',
    'starter-gap',
    'starter on the block',
    '- crank-flange.proudMm, - spacer.thicknessMm, - ring.nearMm, + starter.pinionMm',
    1.5,
    3,
  ],
  [
    'depth',
    'starter-gap',
    'pinion rearward, on the block',
    '+ crank-flange.proudMm, + spacer.thicknessMm, + ring.nearMm, - starter.pinionMm',
    1.5,
    3,
  ],
  [
    'depth',
    'starter-overlap',
    'manual',
    '+ crank-flange.proudMm, + spacer.thicknessMm, + ring.nearMm, - plate.thicknessMm, - starter.pinionMm, + starter.throwMm, +l+ ring.widthMm',
    (2 / 3) * 10,
    Infinity,
  ],
  [
    'depth',
    'starter-overlap',
    'pinion rearward',
    '- crank-flange.proudMm, - spacer.thicknessMm, - ring.nearMm, + plate.thicknessMm, + starter.pinionMm, + starter.throwMm, +l+ ring.widthMm',
    (2 / 3) * 9.8,
    Infinity,
  ],
  [
    'depth',
    'starter-overlap',
    'starter on the block',
    '+ crank-flange.proudMm, + spacer.thicknessMm, + ring.nearMm, - starter.pinionMm, + starter.throwMm, +l+ ring.widthMm',
    (2 / 3) * 9.8,
    Infinity,
  ],
  [
    'depth',
    'starter-overlap',
    'pinion rearward, on the block',
    '- crank-flange.proudMm, - spacer.thicknessMm, - ring.nearMm, + starter.pinionMm, + starter.throwMm, +l+ ring.widthMm',
    (2 / 3) * 9.8,
    Infinity,
  ],
  ['depth', 'starter-overlap', 'narrow ring', '+ starter.throwMm, +l+ ring.widthMm', 6, Infinity],
  ['pilot', 'nose-clearance', 'manual', '+ pilot-piece.boreMm, - input-shaft.noseMm', 0, 0.03],
  ['pilot', 'nose-clearance', 'bush', '+ pilot-piece.boreMm, - input-shaft.noseMm', 0.03, 0.08],
  ['pilot', 'press', 'manual', '+ pilot-piece.outerMm, - pilot-bore.boreMm', 0.001, 0.035],
  ['clutch-disc', 'spline-major', 'manual', '+ disc-hub.majorMm, - input-shaft.majorMm', 0, 0.35],
  [
    'clutch-disc',
    'hub-length',
    'manual',
    '+ input-shaft.splineEndMm, - input-shaft.splineStartMm, - disc-hub.endMm, + disc-hub.startMm',
    4,
    Infinity,
  ],
  [
    'clutch-disc',
    'carrier',
    'manual',
    '+ flywheel.clutchFaceMm, - disc-hub.carrierMm, - flange-bolts.headTallMm',
    1,
    Infinity,
  ],
  [
    'clutch-cover',
    'cover-circle',
    'manual',
    '+ cover-mount.circleMm, - clutch-seat.circleMm',
    -0.1,
    0.1,
  ],
  ['clutch-cover', 'cover-holes', 'manual', '+ cover-mount.holeMm', 0, 0.6],
  ['clutch-cover', 'cover-step', 'manual', '+ clutch-seat.stepMm, - cover-mount.stepMm', -0.3, 0.3],
  [
    'clutch-cover',
    'lining-outer',
    'manual',
    '+ clutch-seat.outerMm, - disc-face.outerMm',
    0,
    Infinity,
  ],
  [
    'clutch-cover',
    'lining-inner',
    'manual',
    '+ disc-face.innerMm, - clutch-seat.innerMm',
    0,
    Infinity,
  ],
  [
    'clutch-cover',
    'clutch-capacity',
    'manual',
    '+ cover-mount.clampN, + disc-face.friction, + disc-face.outerMm, + disc-face.innerMm, - engine-output.peakTorqueNm',
    0,
    Infinity,
  ],
  [
    'release',
    'release-travel',
    'manual',
    '- release-bearing.gapHighMm, + clutch-pedal.travelMm, - clutch-pedal.ratio, + clutch-pedal.masterMm, - release-gear.slaveMm, - release-gear.forkRatio, l+ cover-fingers.travelLowMm, h+ cover-fingers.travelHighMm',
    5,
    9,
  ],
  [
    'release',
    'release-travel',
    'slave round the shaft',
    '- release-bearing.gapHighMm, + clutch-pedal.travelMm, - clutch-pedal.ratio, + clutch-pedal.masterMm, - release-gear.slaveMm, + release-gear.innerMm, - release-gear.forkRatio, l+ cover-fingers.travelLowMm, h+ cover-fingers.travelHighMm',
    5,
    9,
  ],
  [
    'release',
    'master-stroke',
    'manual',
    '+ clutch-pedal.strokeMm, - clutch-pedal.travelMm, + clutch-pedal.ratio',
    0,
    Infinity,
  ],
  [
    'release',
    'slave-wear',
    'manual',
    '+ release-gear.strokeMm, - clutch-pedal.travelMm, + clutch-pedal.ratio, - clutch-pedal.masterMm, + release-gear.slaveMm',
    3,
    Infinity,
  ],
  [
    'release',
    'slave-wear',
    'slave round the shaft',
    '+ release-gear.strokeMm, - clutch-pedal.travelMm, + clutch-pedal.ratio, - clutch-pedal.masterMm, + release-gear.slaveMm, - release-gear.innerMm',
    3,
    Infinity,
  ],
  ['converter', 'pads-equal', 'manual', '+ pump.padSpreadMm', 0, 0.5],
  ['converter', 'pad-circle', 'manual', '+ flex-pads.circleMm, - converter.padCircleMm', -0.1, 0.1],
  [
    'converter',
    'pad-reach',
    'manual',
    '+ flex-pads.boltMm, - flex-pads.thickMm, h+ converter.padDepthMm',
    8,
    13,
  ],
  ['converter', 'nose-fit', 'manual', '+ converter-bore.boreMm, - converter.noseMm', 0, 0.15],
  [
    'converter',
    'nose-in',
    'manual',
    '- converter.noseTipMm, - flex-pads.heightMm, - spacer.thicknessMm, - pump.padMm, 0 plate.thicknessMm, 0 crank-flange.proudMm',
    4,
    Infinity,
  ],
  ['converter', 'nose-in', 'shimmed', '- converter.noseTipMm, ? pump.padMm', 4, Infinity],
  [
    'converter',
    'nose-clear',
    'manual',
    '+ converter-bore.depthMm, + converter.noseTipMm, + flex-pads.heightMm, + spacer.thicknessMm, + pump.padMm, 0 plate.thicknessMm, 0 crank-flange.proudMm',
    1,
    Infinity,
  ],
  [
    'converter',
    'nose-clear',
    'shimmed',
    '+ converter-bore.depthMm, + converter.noseTipMm, ? pump.padMm',
    1,
    Infinity,
  ],
  [
    'converter',
    'lugs',
    'manual',
    '+ pump.lugsMm, - pump.padMm, - plate.thicknessMm, + crank-flange.proudMm, + spacer.thicknessMm, + flex-pads.heightMm',
    6,
    Infinity,
  ],
  ['converter', 'hub-in-pump', 'manual', '+ pump.bushMm, - converter.hubMm', 0, 0.12],
  ['converter', 'stall', 'manual', '+ converter.stallRpm, - engine-output.peakTorqueRpm', 0.5, 1.1],
  [
    'starter-ring',
    'starter-module',
    'manual',
    '- starter.moduleMm, - ring.teeth, + ring.outerMm',
    -0.02,
    0.02,
  ],
  [
    'starter-ring',
    'starter-mesh',
    'manual',
    '+ starter-seat.axisMm, - ring.outerMm, - starter.moduleMm, - starter.teeth',
    0.1,
    1,
  ],
  [
    'starter-ring',
    'starter-mesh',
    'pinion measured',
    '+ starter-seat.axisMm, - ring.outerMm, - starter.outerMm, + starter.moduleMm',
    0.1,
    1,
  ],
  [
    'starter-ring',
    'starter-mesh',
    'pinion measured, on the block',
    '+ starter-seat.axisMm, - ring.outerMm, - starter.outerMm, + starter.moduleMm',
    0.1,
    1,
  ],
  [
    'starter-ring',
    'starter-mesh',
    'starter on the block',
    '+ starter-seat.axisMm, - ring.outerMm, - starter.moduleMm, - starter.teeth',
    0.1,
    1,
  ],
  [
    'starter-ring',
    'starter-mesh',
    'pinion rearward, on the block',
    '+ starter-seat.axisMm, - ring.outerMm, - starter.moduleMm, - starter.teeth',
    0.1,
    1,
  ],
  ['torque', 'torque', 'manual', '+ ratings.torqueNm, - engine-output.peakTorqueNm', 0, Infinity],
  [
    'torque',
    'torque',
    'rated at the axle',
    '+ ratings.torqueNm, - engine-output.peakTorqueNm, - ratios.gears, - transfer.low, - axle.ratio',
    0,
    Infinity,
  ],
  [
    'torque',
    'torque',
    'rated at the axle, automatic',
    '+ ratings.torqueNm, - engine-output.peakTorqueNm, - ratios.stall, - ratios.gears, - transfer.low, - axle.ratio',
    0,
    Infinity,
  ],
  [
    'torque',
    'torque',
    'rated at the axle, transaxle',
    '+ ratings.torqueNm, - engine-output.peakTorqueNm, - ratios.gears, - transfer.low, - ratios.finalDrive',
    0,
    Infinity,
  ],
  [
    'torque',
    'torque',
    'capped by grip',
    '+ ratings.torqueNm, - ratios.gears, + transfer.low, + axle.ratio, - axle.ladenKg, - front-axle.ladenKg',
    0,
    Infinity,
  ],
  [
    'torque',
    'torque',
    'capped at the axle',
    '+ ratings.torqueNm, - ratios.gears, - transfer.low, - axle.ratio, - axle.ladenKg, - axle.transferKg, - tyre.loadedMm',
    0,
    Infinity,
  ],
  ['torque', 'speed', 'manual', '+ ratings.speedRpm, - engine-output.redlineRpm', 0, Infinity],
  [
    'torque',
    'speed',
    'speed rated apart',
    '+ ratings.speedRpm, - engine-output.redlineRpm',
    0,
    Infinity,
  ],
  [
    'transfer-case',
    'case-bore',
    'manual',
    '+ transfer-input.majorMm, - case-shaft.majorMm',
    0,
    0.35,
  ],
  [
    'transfer-case',
    'case-engaged',
    'manual',
    '+ case-shaft.endMm, - case-shaft.faceMm',
    25,
    Infinity,
  ],
  [
    'transfer-case',
    'case-engaged',
    'shallow case',
    '+ case-shaft.endMm, - case-shaft.faceMm, + transfer-input.depthMm',
    25,
    Infinity,
  ],
  [
    'transfer-case',
    'case-end',
    'manual',
    '+ transfer-input.mostMm, - case-shaft.endMm, + case-shaft.faceMm',
    2,
    Infinity,
  ],
  [
    'transfer-case',
    'front-ratio',
    'manual',
    '+ transfer.frontRatio, - front-axle.ratio, + axle.ratio',
    -0.01,
    0.01,
  ],
  ['load-signal', 'load-pull', 'manual', '+ load-source.pullMm, - load-signal.pullMm', -2, 2],
  [
    'take-off',
    'take-off-module',
    'manual',
    '+ take-off-opening.moduleMm, - take-off.moduleMm',
    -0.02,
    0.02,
  ],
  ['take-off', 'take-off-room', 'manual', '+ take-off.roomMm, - take-off.reachMm', 15, Infinity],
  [
    'propshaft',
    'prop-length',
    'manual',
    '- propshaft.lengthMm, + pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - crossmember.alongMm, + mount-pad.alongMm, + pinion.belowMm, - output.belowMm, + chassis-pads.crankAboveMm, l-h+ propshaft.slipMm, l+h- pinion.travelMm',
    -15,
    15,
  ],
  [
    'propshaft',
    'prop-length',
    'set back',
    '- propshaft.lengthMm, + pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - plate.thicknessMm, + engine-pads.alongMm, + pinion.belowMm, - output.belowMm, + chassis-pads.crankAboveMm, l-h+ propshaft.slipMm, l+h- pinion.travelMm',
    -15,
    15,
  ],
  [
    'propshaft',
    'prop-length',
    'axle aside',
    '- propshaft.lengthMm, + pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - crossmember.alongMm, + mount-pad.alongMm, + pinion.belowMm, - output.belowMm, + chassis-pads.crankAboveMm, + pinion.rightMm, - output.rightMm, l-h+ propshaft.slipMm, l+h- pinion.travelMm',
    -15,
    15,
  ],
  ['propshaft', 'prop-slip', 'manual', '+ propshaft.slipMm, - pinion.travelMm', 30, Infinity],
  [
    'propshaft',
    'prop-front-angle',
    'manual',
    '+ pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - crossmember.alongMm, + mount-pad.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-front-angle',
    'set back',
    '+ pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - plate.thicknessMm, + engine-pads.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-front-angle',
    'slow engine',
    '+ pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - crossmember.alongMm, + mount-pad.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, + propshaft.yokeDeg, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-front-angle',
    'axle aside',
    '+ pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - crossmember.alongMm, + mount-pad.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, - pinion.rightMm, + output.rightMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-rear-angle',
    'manual',
    '- output.alongMm, + output.belowMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-rear-angle',
    'set back',
    '- output.alongMm, - plate.thicknessMm, + engine-pads.alongMm, + output.belowMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-rear-angle',
    'nothing moves under it',
    '+ output.alongMm, - output.belowMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-rear-angle',
    'slow engine',
    '- output.alongMm, + output.belowMm, + propshaft.yokeDeg, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-rear-angle',
    'axle aside',
    '+ pinion.alongMm, - output.alongMm, - case-shaft.faceMm, - crossmember.alongMm, + mount-pad.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, - pinion.rightMm, + output.rightMm, - engine-output.redlineRpm, + ratios.gears, + pinion.noseUpDeg',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-rear-angle',
    'obstacle before the step, set back',
    '+ output.alongMm, + plate.thicknessMm, - engine-pads.alongMm, - output.belowMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-residual',
    'manual',
    '- pinion.alongMm, + output.alongMm, + case-shaft.faceMm, + crossmember.alongMm, - mount-pad.alongMm, + pinion.belowMm, - output.belowMm, + chassis-pads.crankAboveMm',
    0,
    3,
  ],
  [
    'propshaft',
    'prop-residual',
    'set back',
    '- pinion.alongMm, + output.alongMm, + case-shaft.faceMm, + plate.thicknessMm, - engine-pads.alongMm, + pinion.belowMm, - output.belowMm, + chassis-pads.crankAboveMm',
    0,
    3,
  ],
  [
    'propshaft',
    'prop-residual',
    'axle aside',
    '- pinion.alongMm, + output.alongMm, + case-shaft.faceMm, + crossmember.alongMm, - mount-pad.alongMm, + pinion.belowMm, - output.belowMm, + chassis-pads.crankAboveMm, - pinion.rightMm, + output.rightMm, - pinion.noseUpDeg',
    0,
    3,
  ],
  [
    'propshaft',
    'prop-critical',
    'manual',
    '- pinion.alongMm, + output.alongMm, + case-shaft.faceMm, + crossmember.alongMm, - mount-pad.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, + propshaft.tubeMm, - propshaft.wallMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-critical',
    'set back',
    '- pinion.alongMm, + output.alongMm, + case-shaft.faceMm, + plate.thicknessMm, - engine-pads.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, + propshaft.tubeMm, - propshaft.wallMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'propshaft',
    'prop-critical',
    'axle aside',
    '- pinion.alongMm, + output.alongMm, + case-shaft.faceMm, + crossmember.alongMm, - mount-pad.alongMm, - pinion.belowMm, + output.belowMm, - chassis-pads.crankAboveMm, - pinion.rightMm, + output.rightMm, + propshaft.tubeMm, - propshaft.wallMm, - engine-output.redlineRpm, + ratios.gears',
    0,
    Infinity,
  ],
  [
    'drive-shafts',
    'shaft-left',
    'manual',
    '- drive-shafts.leftMm, - side-outputs.leftMm, + drive-shafts.hubLeftMm, + drive-shafts.dropMm, l-h+ drive-shafts.plungeMm',
    -15,
    15,
  ],
  [
    'drive-shafts',
    'shaft-right',
    'manual',
    '- drive-shafts.rightMm, - side-outputs.rightMm, + drive-shafts.hubRightMm, + drive-shafts.dropMm, l-h+ drive-shafts.plungeMm',
    -15,
    15,
  ],
  [
    'drive-shafts',
    'shaft-angle',
    'manual',
    '+ drive-shafts.mostDeg, - side-outputs.rightMm, + drive-shafts.hubLeftMm, + drive-shafts.hubRightMm, - drive-shafts.dropMm',
    0,
    Infinity,
  ],
  [
    'drive-shafts',
    'shaft-angle',
    'transaxle, left shorter',
    '+ drive-shafts.mostDeg, - side-outputs.leftMm, + drive-shafts.hubLeftMm, + drive-shafts.hubRightMm, - drive-shafts.dropMm',
    0,
    Infinity,
  ],
  [
    'gearbox-mount',
    'mount-place',
    'set back',
    '+ plate.thicknessMm, + mount-pad.alongMm, - engine-pads.alongMm, - crossmember.alongMm, l-h+ crossmember.slotMm',
    -9,
    9,
  ],
  [
    'gearbox-mount',
    'mount-spacing',
    'manual',
    '+ mount-pad.spacingMm, - crossmember.spacingMm',
    -3,
    3,
  ],
  [
    'gearbox-mount',
    'mount-height',
    'manual',
    '+ chassis-pads.crankAboveMm, + crossmember.belowMm, - mount-pad.belowMm',
    -3,
    3,
  ],
  [
    'engine-mounts',
    'pads-along',
    'manual',
    '+ engine-pads.alongMm, - plate.thicknessMm, - mount-pad.alongMm, + crossmember.alongMm',
    -3,
    3,
  ],
  [
    'engine-mounts',
    'pads-across',
    'manual',
    '+ engine-pads.spreadMm, - chassis-pads.spreadMm',
    -3,
    3,
  ],
  [
    'engine-mounts',
    'pads-height',
    'manual',
    '+ engine-pads.belowMm, - chassis-pads.crankAboveMm',
    -5,
    5,
  ],
  [
    'engine-mounts',
    'pads-lean',
    'manual',
    '+ engine-pads.angleDeg, - chassis-pads.angleDeg',
    -3,
    3,
  ],
  [
    'lever',
    'lever-front',
    'manual',
    '+ lever.alongMm, - mount-pad.alongMm, + crossmember.alongMm, - lever-opening.fromMm, 0 plate.thicknessMm',
    15,
    Infinity,
  ],
  [
    'lever',
    'lever-front',
    'set back',
    '+ lever.alongMm, + plate.thicknessMm, - engine-pads.alongMm, - lever-opening.fromMm',
    15,
    Infinity,
  ],
  [
    'lever',
    'lever-rear',
    'manual',
    '- lever.alongMm, + mount-pad.alongMm, - crossmember.alongMm, + lever-opening.toMm, 0 plate.thicknessMm',
    15,
    Infinity,
  ],
  [
    'lever',
    'lever-rear',
    'set back',
    '- lever.alongMm, - plate.thicknessMm, + engine-pads.alongMm, + lever-opening.toMm',
    15,
    Infinity,
  ],
  [
    'speedometer',
    'speed-reads',
    'manual',
    '+ speed-drive.perTurn, + axle.ratio, - speed-reader.perKm',
    -0.03,
    0.03,
  ],
  [
    'speedometer',
    'speed-reads',
    'capped at the axle',
    '+ speed-drive.perTurn, + axle.ratio, - tyre.loadedMm, - speed-reader.perKm',
    -0.03,
    0.03,
  ],
  [
    'speedometer',
    'speed-reads',
    'rated at the axle, transaxle',
    '+ speed-drive.perTurn, + ratios.finalDrive, - speed-reader.perKm',
    -0.03,
    0.03,
  ],
  [
    'sump-clearance',
    'sump-clear',
    'manual',
    '+ chassis-pads.crankAboveMm, - sump.zones, + crossmember.alongMm, + under-engine.zones',
    25,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-clear',
    'nothing moves under it',
    '- sump.zones, - plate.thicknessMm, - mount-pad.alongMm, + crossmember.alongMm, + under-engine.zones',
    20,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-clear',
    'still under the shallow part',
    '+ chassis-pads.crankAboveMm, - sump.zones, + crossmember.alongMm, + under-engine.zones',
    20,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-clear',
    'obstacle behind the pan',
    '+ plate.thicknessMm, + mount-pad.alongMm, - crossmember.alongMm',
    25,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-clear',
    'obstacle behind the pan, set back',
    '+ engine-pads.alongMm',
    25,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-drops',
    'manual',
    '- sump.dropMm, - sump.zones, + crossmember.alongMm, + under-engine.zones, + chassis-pads.crankAboveMm',
    0,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-drops',
    'nothing moves under it',
    '- sump.dropMm, - sump.zones, - plate.thicknessMm, - mount-pad.alongMm, + crossmember.alongMm, + under-engine.zones, + chassis-pads.crankAboveMm',
    0,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-drops',
    'obstacle before the step, set back',
    '- sump.dropMm, - sump.zones, - engine-pads.alongMm, + under-engine.zones, + chassis-pads.crankAboveMm',
    0,
    Infinity,
  ],
  [
    'sump-clearance',
    'sump-capacity',
    'manual',
    '+ sump.capacityL, - engine-output.oilL',
    0,
    Infinity,
  ],
  ['sump-clearance', 'oil-grade', 'manual', '+ sump.coverMm, - sump.pickupMm', 5, Infinity],
  ['sump-clearance', 'oil-slosh', 'open pan', '+ sump.coverMm, - sump.pickupMm', 5, Infinity],
]

/** What is wrong with a row; null when the declaration does as the row says. */
export function faultOf([joint, limit, base, inputs, low, high]: Direction): string | null {
  const window = windowOf(joint, limit, base)
  if (
    !window ||
    Math.abs(window[0] - low) > 1e-9 ||
    (window[1] !== high && Math.abs(window[1] - high) > 1e-9)
  )
    return `window ${window?.join(' to ')}, not ${low} to ${high}`
  for (const input of inputs.split(', ')) {
    const [sign, name] = input.split(' ') as [string, string]
    const found = directionOf(joint, limit, base, name)
    if (found !== (sign === '0' ? '' : sign)) return `${name} moves it "${found}", not "${sign}"`
  }
  return wordFault(joint, limit, base) ?? spreadFault(joint, limit, base)
}

/** Words that are sizes in disguise, with another of each. */
const SIZES: Readonly<Record<string, string>> = {
  thread: 'M14x1.5',
  boltThread: 'M14x1.5',
  padThread: 'M14x1.5',
  marking: '235/85R16',
  basis: 'peak',
}

/** A size in words that changes nothing; null when each does. */
function wordFault(joint: string, id: string, base: Base): string | null {
  const scene = sceneOf(base)
  for (const limit of limitsOf(joint, id)) {
    const [before] = results(limit, scene)
    if (!before?.isStated) continue
    const words = instancesOf(limit, scene).flatMap((instance) =>
      workings(limit).flatMap((read) => leavesOf(read, instance.scene)),
    )
    for (const field of words) {
      const otherWord = SIZES[field.at.field]
      if (
        otherWord === undefined ||
        field.claim === null ||
        (limit.id === 'torque' && (field.at.field === 'marking' || base.startsWith('capped')))
      )
        continue
      const [after] = results(limit, at(scene, field, otherWord))
      if (
        after &&
        after.value === before.value &&
        after.low === before.low &&
        after.high === before.high
      )
        return `${field.at.field} changes nothing`
    }
  }
  return null
}

/** What of a limit's ± falls short: each input alone, moved to either end of its ±, must stay within what is given. */
function spreadFault(joint: string, id: string, base: Base): string | null {
  const scene = sceneOf(base)
  for (const limit of limitsOf(joint, id))
    for (const field of new Set(leaves(limit, scene))) {
      if (field.claim === null || !MOVED.has(field.at.words.type)) continue
      const pm =
        Array.isArray(field.v) && typeof field.v[0] === 'object'
          ? 0.5
          : 0.01 * Math.max(1, ...[field.v].flat().map((one) => Math.abs(one as number)))
      const [loose] = results(limit, at(scene, field, field.v, pm))
      if (!loose?.isStated || !loose.isKnown) continue
      for (const end of [-pm, pm]) {
        const [there] = results(
          limit,
          at(
            scene,
            field,
            movedBy(field.v, () => end),
          ),
        )
        if (!there?.isStated || !there.isKnown) continue
        const isWithin =
          there.value >= loose.value - loose.down - 1e-9 &&
          there.value <= loose.value + loose.up + 1e-9
        const isLow = there.low >= loose.lowLeast - 1e-9 && there.low <= loose.lowMost + 1e-9
        const isHigh =
          !(there.high < loose.highLeast - 1e-9) && !(there.high > loose.highMost + 1e-9)
        if (!isWithin || !isLow || !isHigh)
          return `the ± of ${field.at.port.split('/')[1]}.${field.at.field} is not wholly in it`
      }
    }
  return null
}

/** Limits at which something breaks or somebody is hurt: judged at worst case. From the design notes. */
const DAMAGING = [
  'tip-clear',
  'shoulder-clear',
  'release-gap',
  'pull-up',
  'clutch-capacity',
  'nose-clear',
  'lugs',
  'torque',
  'speed',
  'case-engaged',
  'case-end',
  'prop-slip',
  'prop-critical',
  'shaft-left',
  'shaft-right',
  'shaft-angle',
  'sump-clear',
]

/** A limit judged at worst case that should not be, or the other way round; null when there is none. */
export function damageFault(): string | null {
  for (const { limits } of JOINTS)
    for (const { id, damage } of limits) if ((damage ?? false) !== DAMAGING.includes(id)) return id
  return null
}
