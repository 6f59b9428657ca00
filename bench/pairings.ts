import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import { toCorePart } from '../contract/wire.ts'
import { JOINTS } from '../core/joints/index.ts'
import { Tally } from '../core/joints/tally.ts'
import { tolerances } from '../core/joints/tolerances.ts'
import { couplingSet } from '../core/pairing/coupling.ts'
import { assemble, checkAssembly, contextOf, type Train } from '../core/pairing/train.ts'
import type { Dowel, Hole } from '../core/ports/field.ts'
import { type CompiledPart, compilePart } from '../core/ports/index.ts'
import { median, type Row } from './row.ts'

const SEED = 4711
const ENGINES = 400
const BOXES = 250
/** Bell patterns in the field: many engines share one. */
const PATTERNS = 40

/** Seeded engines and gearboxes with their coupling parts, every deciding field known to some ±. */
function trains(): { engines: [CompiledPart, CompiledPart[]][]; boxes: [CompiledPart, CompiledPart[]][] } {
  const random = xorshift128plus(SEED)
  const unit = (): number => (random.next() >>> 0) / 2 ** 32
  const near = (value: number, spread: number): number => Number((value + (unit() - 0.5) * 2 * spread).toFixed(2))
  const patterns = Array.from({ length: PATTERNS }, () => Array.from({ length: 6 + Math.floor(unit() * 3) }, (_, i) => ({ r: 150 + 50 * unit(), deg: i * 48 + 20 * unit() })))
  const place = ({ r, deg }: { r: number; deg: number }) => ({ x: r * Math.cos((deg * Math.PI) / 180), y: r * Math.sin((deg * Math.PI) / 180) })
  const face = (pattern: (typeof patterns)[number], thread: boolean, looks: 'forward' | 'rearward') => ({
    kind: 'face' as const,
    slot: looks,
    looks,
    fields: stated({
      holes: pattern.map((p): Hole => ({ ...place(p), d: thread ? 10 : 10.6, ...(thread ? { thread: 'M10x1.5' } : {}) })),
      dowels: [pattern[0]!, pattern[3]!].map((p): Dowel => ({ ...place({ r: p.r, deg: p.deg + 9 }), d: thread ? 12 : 12.03, pin: thread, process: 'reamed' })),
      mayTurn: false,
    }),
  })
  const stated = (values: Record<string, unknown>) => Object.fromEntries(Object.entries(values).map(([name, value]) => [name, { value, grade: 'maker' as const }]))
  const part = (id: string, kind: string, ports: Parameters<typeof toCorePart>[0]['ports']): CompiledPart => compilePart(toCorePart({ id, kind, ports }))
  const six = [0, 60, 120, 180, 240, 300]
  const engines = Array.from({ length: ENGINES }, (_, i): [CompiledPart, CompiledPart[]] => {
    const flange = near(10, 6)
    const circle = [64, 70, 72][i % 3]!
    return [
      part(`e${i}`, 'engine', [
        face(patterns[i % PATTERNS]!, true, 'rearward'),
        { kind: 'engine-output', slot: 'main', fields: stated({ peakTorqueNm: near(180, 90), redlineRpm: near(6000, 900) }) },
        {
          kind: 'crank-flange',
          slot: 'main',
          fields: stated({ proudMm: flange, angles: six, circleMm: circle, thread: 'M10x1.25', holeDepthMm: 20, registerMm: 36, balance: 'zero' }),
        },
        { kind: 'pilot-bore', slot: 'crank', fields: stated({ finished: unit() > 0.1, boreMm: 25, mouthMm: flange, bottomMm: flange - 30 }) },
      ]),
      [
        part(`e${i}w`, 'flywheel', [
          {
            kind: 'flywheel',
            slot: 'main',
            fields: stated({ angles: six, circleMm: circle, holeMm: 10.2, registerMm: 36.02, outerMm: 280, balance: 'zero', clutchFaceMm: near(28, 2) }),
          },
          { kind: 'flange-bolts', slot: 'main', fields: stated({ thread: 'M10x1.25', lengthMm: 25, clampedMm: 12, headMm: 17 }) },
          { kind: 'ring', slot: 'main', fields: stated({ nearMm: 18, widthMm: 10 }) },
        ]),
        part(`e${i}p`, 'pilot', [{ kind: 'pilot-piece', slot: 'main', fields: stated({ type: 'bearing', outerMm: 25.018, boreMm: 15.015, widthMm: 12, depthMm: 1 }) }]),
      ],
    ]
  })
  const boxes = Array.from({ length: BOXES }, (_, i): [CompiledPart, CompiledPart[]] => {
    const d = near(10, 6)
    return [
      part(`g${i}`, 'transmission', [
        face(patterns[(i * 7) % PATTERNS]!, false, 'forward'),
        { kind: 'ratios', slot: 'main', fields: stated({ type: 'manual', gears: [3.8, 2.1, 1.4, 1] }) },
        { kind: 'ratings', slot: 'torque', fields: stated({ torqueNm: near(240, 80), reference: 'engine', basis: 'nominal' }) },
        { kind: 'ratings', slot: 'speed', fields: stated({ speedRpm: 6500 }) },
        {
          kind: 'input-shaft',
          slot: 'main',
          fields: stated({ noseMm: i % 4 === 0 ? 17 : 15, tipMm: d - 16.7, noseEndMm: d + 3.3, splineStartMm: d + 17.3, splineEndMm: d + 72.3 }),
        },
      ]),
      [
        part(`g${i}c`, 'cover', [{ kind: 'cover-fingers', slot: 'main', fields: stated({ heightMm: 52 }) }]),
        part(`g${i}d`, 'disc', [{ kind: 'disc-hub', slot: 'main', fields: stated({ startMm: -6, endMm: 18 }) }]),
        part(`g${i}r`, 'release-bearing', [{ kind: 'release-bearing', slot: 'main', fields: stated({ restMm: d + 82.8, gapLowMm: 1.5, gapHighMm: 4 }) }]),
        part(`g${i}s`, 'starter', [{ kind: 'starter', slot: 'main', fields: stated({ mount: 'bell', pinionMm: d + 20.2, throwMm: 12, way: 'forward' }) }]),
      ],
    ]
  })
  return { engines, boxes }
}

/** 100,000 pairings × every joint there is, one thread, the tally on compiled specs; assembling each train is in the time. */
export function benchPairings(): Row[] {
  const { engines, boxes } = trains()
  const ctx = { tolerances: tolerances(), use: 'road' as const }
  const tally = new Tally()
  const codes = [0, 0, 0, 0, 0]
  const sweep = (): number => {
    const from = performance.now()
    for (const [engine, ofEngine] of engines)
      for (const [box, ofBox] of boxes) {
        const train: Train = { engine, transmission: box, recipient: null, coupling: couplingSet(box, ofEngine, ofBox).parts, inserted: [] }
        const assembly = assemble(train)
        const full = contextOf(assembly, ctx)
        for (const joint of JOINTS) {
          tally.reset()
          if (checkAssembly(joint, assembly, full, tally)) codes[tally.code]!++
        }
      }
    return (performance.now() - from) / 1000
  }
  const first = sweep()
  const rest = [sweep(), sweep(), sweep()]
  console.log(`  pairings by joint code over all runs: ${codes.join(' ')} (fits, work, bridge, unmeasured, clash)`)
  return [
    {
      name: `pairings: ${ENGINES * BOXES} × ${JOINTS.length} joints, nothing remembered before`,
      value: Number(first.toFixed(3)),
      unit: 's',
      goal: null,
      better: 'lower',
      runs: 1,
      seed: SEED,
    },
    {
      name: `pairings: ${ENGINES * BOXES} × ${JOINTS.length} joints, one thread`,
      value: Number(median(rest).toFixed(3)),
      unit: 's',
      goal: 0.8,
      better: 'lower',
      percentile: 'median',
      runs: rest.length,
      seed: SEED,
    },
  ]
}
