import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import { JOINTS } from '../core/joints/index.ts'
import { AGREEING } from '../core/joints/samples.property.ts'
import { tolerances } from '../core/joints/tolerances.ts'
import { countsOf, type EngineEnd, type GearboxEnd, NOT_MET, sweep } from '../core/pairing/sweep.ts'
import type { Dowel, FieldWords, Hole } from '../core/ports/field.ts'
import { type CompiledPart, compilePart, fieldsOf, type PortKindName } from '../core/ports/index.ts'
import { type PartKind, typedPorts } from '../core/ports/part-kinds.ts'
import type { Port } from '../core/ports/port.ts'
import { median, type Row } from './row.ts'

const SEED = 4711
const ENGINES = 400
const BOXES = 250
/** Bell patterns in the field: many engines share one. */
const PATTERNS = 40

/** Seeded ends with their coupling parts: every field a joint reads known to some ±, but for a share left unknown. */
function ends(unknownShare: number): { engines: EngineEnd[]; gearboxes: GearboxEnd[] } {
  const random = xorshift128plus(SEED)
  const unit = (): number => (random.next() >>> 0) / 2 ** 32
  const pick = <T>(among: readonly T[]): T => among[Math.floor(unit() * among.length)]!
  const patterns = Array.from({ length: PATTERNS }, () =>
    Array.from({ length: 6 + Math.floor(unit() * 3) }, (_, i) => ({
      r: 150 + 50 * unit(),
      deg: i * 48 + 20 * unit(),
    })),
  )
  const place = ({ r, deg }: { r: number; deg: number }) => ({
    x: r * Math.cos((deg * Math.PI) / 180),
    y: r * Math.sin((deg * Math.PI) / 180),
  })
  const faceOf = (pattern: (typeof patterns)[number], isTapped: boolean) => ({
    holes: pattern.map(
      (p): Hole => ({
        ...place(p),
        d: isTapped ? 10 : 10.6,
        ...(isTapped ? { thread: 'M10x1.5' } : {}),
      }),
    ),
    dowels: [pattern[0]!, pattern[3]!].map(
      (p): Dowel => ({
        ...place({ r: p.r, deg: p.deg + 9 }),
        d: isTapped ? 12 : 12.03,
        pin: isTapped,
        process: 'reamed',
      }),
    ),
    mayTurn: unit() < 0.5,
  })
  /** Near the agreeing value: numbers within what one meets, words mostly as they agree. */
  const near = (words: FieldWords<unknown>, value: unknown): unknown => {
    if (typeof value === 'number')
      return Number.isInteger(value) && value < 40 && words.unit === ''
        ? pick([value, value, value, value + 1])
        : Number(
            (
              value +
              (unit() - 0.5) * (Math.abs(value) > 100 ? 0.04 * Math.abs(value) : 0.6)
            ).toFixed(2),
          )
    if (words.type === 'flag') return unit() < 0.8 ? value : !value
    if (words.choices) return unit() < 0.8 ? value : pick(words.choices)
    return value
  }
  const part = (
    kind: PartKind,
    id: string,
    over: Partial<Record<PortKindName, Record<string, unknown>>> = {},
    pattern = pick(patterns),
  ): CompiledPart => {
    const ports = typedPorts(kind).flatMap(({ kind: name, slot, looks }): Port[] => {
      const portKind = name as PortKindName
      const fields = fieldsOf(portKind)
      const own = over[portKind]
      const base =
        portKind === 'face'
          ? faceOf(pattern, looks === 'rearward')
          : (AGREEING as Record<string, Record<string, unknown>>)[portKind]
      if (!base) return []
      const claims = Object.entries({ ...base, ...own }).flatMap(([field, value]) =>
        unit() < unknownShare || value === undefined
          ? []
          : [
              [
                field,
                [
                  {
                    id: `${id}.${name}.${slot}.${field}`,
                    value: own && field in own ? value : near(fields[field]!, value),
                    grade: 'measured' as const,
                    plusMinus: 0.05,
                  },
                ],
              ] as const,
            ],
      )
      return [
        {
          id: `${id}/${name}/${slot}`,
          kind: name,
          slot,
          looks,
          claims: Object.fromEntries(claims),
        },
      ]
    })
    return compilePart({ id, kind, name: id, ports })
  }
  const engines = Array.from({ length: ENGINES }, (_, i): EngineEnd => {
    const id = `e${i}`
    const engine = part(
      'engine',
      id,
      { 'crank-sensor': { readsAt: i % 2 === 0 ? 'wheel, from the bell' : 'none' } },
      patterns[i % PATTERNS],
    )
    return {
      engine,
      coupling: (['flywheel', 'flexplate', 'pilot'] as const).map((kind) =>
        part(kind, `${id}-${kind}`),
      ),
    }
  })
  // Half of them stand in a vehicle, and meet what is around it.
  const vehicle = part('vehicle', 'vehicle')
  const gearboxes = Array.from({ length: BOXES }, (_, i): GearboxEnd => {
    const id = `g${i}`
    const isAutomatic = i % 2 === 1
    const isCrosswise = i % 8 > 3
    const transmission = part(
      'transmission',
      id,
      {
        ratios: {
          type: isAutomatic ? 'automatic' : 'manual',
          ...(isAutomatic ? { stall: 2.1 } : {}),
          ...(isCrosswise ? { finalDrive: 3.9 } : {}),
        },
        ratings: { reference: pick(['engine', 'input shaft', 'output']) },
      },
      patterns[(i * 7) % PATTERNS],
    )
    return {
      transmission,
      coupling: (['cover', 'disc', 'release-bearing', 'starter', 'converter'] as const).map(
        (kind) => part(kind, `${id}-${kind}`, { starter: { mount: pick(['bell', 'block']) } }),
      ),
      transfer: i % 3 !== 0 && i % 16 < 12 ? part('transfer-case', `${id}-case`) : null,
      recipient: i % 4 > 1 ? vehicle : null,
    }
  })
  return { engines, gearboxes }
}

const share = (code: Uint8Array): number =>
  Math.round((100 * code.filter((one) => one !== NOT_MET).length) / code.length)

function row(unknownShare: number, words: string): Row[] {
  const { engines, gearboxes } = ends(unknownShare)
  const ctx = { tolerances: tolerances(), use: 'road' as const, placement: 'set-back' as const }
  const once = (): { s: number; found: ReturnType<typeof sweep> } => {
    const from = performance.now()
    const found = sweep(engines, gearboxes, ctx)
    return { s: (performance.now() - from) / 1000, found }
  }
  const first = once()
  const rest = [once(), once(), once()]
  const codes = [0, 0, 0, 0, 0]
  for (const { code } of first.found) for (const one of code) if (one !== NOT_MET) codes[one]!++
  const limits = first.found.reduce(
    (sum, { counts }) => sum + counts.reduce((one, n) => one + countsOf(n).stated, 0),
    0,
  )
  console.log(
    `  ${words}: ${first.found.map(({ joint, code }) => `${joint.number} ${share(code)} %`).join(', ')} of pairings met; ${(limits / 1e6).toFixed(1)} million limits`,
  )
  console.log(`  codes: ${codes.join(' ')} (fits, work, bridge, unmeasured, clash)`)
  const name = `pairings: ${ENGINES * BOXES} × ${JOINTS.length} joints, ${words}`
  return [
    {
      name: `${name}, nothing remembered before`,
      value: Number(first.s.toFixed(3)),
      unit: 's',
      goal: null,
      better: 'lower',
      runs: 1,
      seed: SEED,
    },
    {
      name: `${name}, one thread`,
      value: Number(median(rest.map(({ s }) => s)).toFixed(3)),
      unit: 's',
      goal: unknownShare === 0 ? 0.5 : null,
      better: 'lower',
      percentile: 'median',
      runs: rest.length,
      seed: SEED,
    },
  ]
}

/** 100,000 pairings × every joint there is, one thread; putting the trains together is in the time. */
export const benchPairings = (): Row[] => [
  ...row(0, 'every deciding field known'),
  ...row(1 / 3, 'a third unknown'),
]
