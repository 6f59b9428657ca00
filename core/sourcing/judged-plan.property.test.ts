import loadHighs from 'highs'
import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import { expect, test } from 'vitest'
import { demoDocument } from '../../demo/index.ts'
import { highsSolve } from '../../server/jobs/highs.ts'
import { NumberIndex } from '../identity/number-index.ts'
import { tolerances } from '../joints/tolerances.ts'
import { need } from '../needs/need.ts'
import { couplingSet } from '../pairing/coupling.ts'
import { PartJudge, type Placed } from '../pairing/judged-parts.ts'
import { recordTrain } from '../pairing/pairing.ts'
import type { Train } from '../pairing/train.ts'
import { type CompiledPart, compilePart } from '../ports/index.ts'
import { gatherCandidates } from './candidates.ts'
import { RULE } from './filters.ts'
import { takenBy } from './ids.ts'
import type { Market } from './market.ts'
import { partsMeeting } from './offer-matches.ts'
import type { Conflict } from './problem.ts'
import { solveJudged } from './solve-judged.ts'

const highs = await loadHighs()
const { tables } = demoDocument()
const rows = tables.part as { id: string; kind: string; name: string; ownerId?: string }[]
const ctx = { tolerances: tolerances(), use: 'delivery' as const }

/** A part of the demo with each of its values as the function leaves it; undefined takes it away. */
function partOf(
  { id, kind, name }: (typeof rows)[number],
  change: (value: unknown) => unknown = (value) => value,
  as = id,
): CompiledPart {
  const ports = tables
    .port!.filter((port) => port.partId === id)
    .map((port) => {
      const claims: Record<string, any[]> = {}
      for (const claim of tables.claim!.filter((one) => one.portId === port.id)) {
        const value = change(claim.value)
        if (value !== undefined) (claims[String(claim.field)] ??= []).push({ ...claim, value })
      }
      return {
        id: `${as}/${port.kind}/${port.slot}`,
        kind: String(port.kind),
        slot: String(port.slot),
        looks: port.looks as 'forward' | undefined,
        claims,
      }
    })
  return compilePart({ id: as, kind, name, ports })
}
const parts = new Map(rows.map((row) => [row.id, partOf(row)]))
const ownedBy = (owner: string): CompiledPart[] =>
  rows.filter((row) => row.ownerId === owner).map((row) => parts.get(row.id)!)

/** What fits at every joint as it came: whatever fails later fails by what a plan takes. */
const TRAINS = [
  ['hob', 'marlund-4'],
  ['quill-early', 'sunagi-5'],
  ['wick-2', 'kessarn-5'],
] as const
const KINDS = ['flywheel', 'cover', 'disc', 'release-bearing', 'pilot', 'starter'] as const

const trainOf = (engine: string, box: string): Train => ({
  engine: parts.get(engine)!,
  transmission: parts.get(box)!,
  recipient: null,
  coupling: couplingSet(parts.get(box)!, ownedBy(engine), ownedBy(box)).parts,
  inserted: [],
})

/** The pieces of a train that fits, each with others that are a little, or altogether, different. */
function market(train: Train, seed: number): { market: Market; costs: Map<string, number> } {
  const random = xorshift128plus(seed)
  const int = (below: number): number => (random.next() >>> 0) % below
  const others = (kind: string): CompiledPart[] => {
    const own = train.coupling.find((part) => part.kind === kind)!
    const row = rows.find(({ id }) => id === own.id)!
    const strangers = rows.filter((one) => one.kind === kind && one.id !== own.id)
    return [
      partOf(row, undefined, `${kind} own`),
      partOf(
        row,
        (value) =>
          typeof value !== 'number'
            ? value
            : int(4) === 0
              ? value + (int(3) - 1) * (Number.isInteger(value) ? 1 : 0.4)
              : value,
        `${kind} off`,
      ),
      partOf(row, (value) => (int(3) === 0 ? undefined : value), `${kind} unknown`),
      ...(strangers.length > 0
        ? [partOf(strangers[int(strangers.length)]!, undefined, `${kind} stranger`)]
        : []),
    ]
  }
  const kinds = new Map<string, CompiledPart[]>(KINDS.map((kind) => [kind, others(kind)]))
  const all = [...kinds.values()].flat()
  const costs = new Map(all.map((part) => [part.id, 100 + int(60)]))
  return {
    costs,
    market: {
      parts: new Map(all.map((part) => [part.id, part])),
      kinds,
      offers: {
        get: (id) =>
          costs.has(id)
            ? [
                {
                  id: `o-${id}`,
                  partId: id,
                  supplierId: 's',
                  issuerId: null,
                  normalised: null,
                  number: null,
                  description: null,
                  priceMinor: costs.get(id)!,
                  currency: 'EUR',
                  taxIncluded: true,
                  pack: 1,
                  stock: null,
                  leadDays: null,
                  condition: 'new',
                },
              ]
            : [],
      },
      numbers: new Map(),
      issuers: new Map(),
      serving: new NumberIndex({}),
      kits: [],
      donors: [],
      suppliers: [
        {
          id: 's',
          name: 'Seller',
          currency: 'EUR',
          minimumMinor: 0,
          shippingMinor: 0,
          freeOverMinor: null,
        },
      ],
      rates: [],
    },
  }
}

const needs = KINDS.map((kind) =>
  need({ kind, place: 'coupling', words: kind, why: [{ rule: 'test', words: 'test' }] }),
)
const fails = (train: Train, coupling: readonly CompiledPart[]): boolean =>
  recordTrain(
    {
      ...train,
      coupling: [
        ...train.coupling.filter(({ kind }) => !KINDS.some((one) => one === kind)),
        ...coupling,
      ],
    },
    ctx,
  ).some(({ code, limits }) => code === 'clash' || limits.some((limit) => limit.code === 'bridge'))

async function planFor(sold: Market, judge: PartJudge | null) {
  const gathered = gatherCandidates(
    needs,
    sold,
    { currency: 'EUR', taxRate: 0.2, labourRateMinor: 0 },
    [],
    [],
    judge,
  )
  const conflicts: Conflict[] = []
  const partOfLine = (line: { candidate?: string }): CompiledPart =>
    sold.parts.get(gathered.sources.get(takenBy(line))!.partId!)!
  const { plan } = await solveJudged(
    gathered.problem,
    highsSolve(highs),
    30_000,
    () => {},
    async ({ lines }) => {
      const chosen = new Map<string, Placed>(
        lines.map((line) => [line.need, { part: partOfLine(line) }]),
      )
      const found = judge?.conflicts(chosen, gathered.partsFor) ?? []
      conflicts.push(...found.map(({ words, sides }) => ({ id: RULE.fails(words), sides })))
      return found.length > 0 ? gathered.withConflicts(conflicts) : null
    },
  )
  return { plan, parts: plan.lines.map(partOfLine), cut: conflicts.length }
}

/** The cheapest choice of one piece of each kind of which no limit fails; null where there is none. */
function byTrying(train: Train, sold: Market, costs: ReadonlyMap<string, number>): number | null {
  let best: number | null = null
  const walk = (at: number, taken: CompiledPart[], cost: number): void => {
    if (best !== null && cost >= best) return
    if (at === KINDS.length) {
      if (!fails(train, taken)) best = cost
      return
    }
    for (const part of sold.kinds.get(KINDS[at]!)!)
      walk(at + 1, [...taken, part], cost + costs.get(part.id)!)
  }
  walk(0, [], 0)
  return best
}

test.each(TRAINS)(
  'no plan for %s with %s holds a part whose own limit fails, and none that holds is cheaper',
  async (engine, box) => {
    const train = trainOf(engine, box)
    expect(fails(train, train.coupling)).toBe(false)
    let [wouldFail, refused, cut] = [0, 0, 0]
    for (let seed = 1; seed <= 6; seed++) {
      const { market: sold, costs } = market(train, seed)
      const judge = new PartJudge(train, ctx, [])
      const { plan, parts: taken, cut: cuts } = await planFor(sold, judge)
      cut += cuts
      refused += needs.reduce(
        (sum, one) =>
          sum + sold.kinds.get(one.kind)!.length - partsMeeting(one, sold.kinds, judge).length,
        0,
      )
      expect([seed, plan.status, plan.totalMinor]).toEqual([
        seed,
        'proven',
        byTrying(train, sold, costs),
      ])
      expect(fails(train, taken)).toBe(false)
      const unjudged = await planFor(sold, null)
      if (fails(train, unjudged.parts)) wouldFail++
    }
    // What the check is for: without it most of these plans hold a part that does not go together.
    expect(wouldFail).toBeGreaterThan(2)
    expect(refused).toBeGreaterThan(0)
    expect(cut).toBeGreaterThan(0)
  },
  120_000,
)
