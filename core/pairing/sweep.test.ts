import fc from 'fast-check'
import { expect, test } from 'vitest'
import { CODES } from '../joints/code.ts'
import { JOINTS } from '../joints/index.ts'
import { anyPart, context } from '../joints/samples.property.ts'
import type { PartKind } from '../ports/part-kinds.ts'
import { GRADES } from '../quantity/grade.ts'
import { gridOf, PairGrid } from './pair-grid.ts'
import { countsOf, type EngineEnd, type GearboxEnd, NOT_MET, sweep, trainOfEnds } from './sweep.ts'
import { assemble, contextOf, recordJoint } from './train.ts'

/** Whole ends are put together alike and differ in what is measured only: many to a class. */
const some = (kinds: readonly PartKind[], of: string, isWhole: boolean) =>
  fc
    .tuple(
      ...kinds.map((kind) =>
        fc.option(anyPart(kind, `${of}-${kind}`, isWhole), { freq: isWhole ? 1e9 : 3, nil: null }),
      ),
    )
    .map((parts) => parts.filter((part) => part !== null))
const anyEngine = (id: string, isWhole = false): fc.Arbitrary<EngineEnd> =>
  fc.record({
    engine: anyPart('engine', id, isWhole),
    coupling: some(['separator', 'flywheel', 'flexplate', 'pilot', 'starter', 'sump'], id, isWhole),
  })
const anyGearbox = (id: string, isWhole = false): fc.Arbitrary<GearboxEnd> =>
  fc.record({
    transmission: anyPart('transmission', id, isWhole),
    coupling: some(
      [
        'separator',
        'flywheel',
        'cover',
        'disc',
        'release-bearing',
        'starter',
        'converter',
        'pilot',
      ],
      id,
      isWhole,
    ),
    transfer: fc.option(anyPart('transfer-case', `${id}-case`, isWhole), {
      freq: isWhole ? 1e9 : 1,
      nil: null,
    }),
    recipient: fc.option(anyPart('vehicle', `${id}-vehicle`, isWhole), {
      freq: isWhole ? 1e9 : 4,
      nil: null,
    }),
  })

const SEEDS = Array.from({ length: 60 }, (_, seed) => seed)

test.each(SEEDS)(
  'a sweep and a record give the same code, counts and weakest grade of every joint of every pair: ends %i',
  (seed) => {
    const engines = [1, 2, 3, 4].map(
      (n) => fc.sample(anyEngine(`e${n}`, seed % 2 === 0), { numRuns: 1, seed: seed * 10 + n })[0]!,
    )
    const gearboxes = [1, 2, 3, 4].map(
      (n) =>
        fc.sample(anyGearbox(`g${n}`, seed % 2 === 0), { numRuns: 1, seed: seed * 10 + n })[0]!,
    )
    const ctx = {
      ...context(),
      use: 'road' as const,
      placement: ([undefined, 'keep', 'set-back'] as const)[seed % 3],
    }
    for (const { joint, code, counts, weakest } of sweep(engines, gearboxes, ctx))
      engines.forEach((engine, i) => {
        gearboxes.forEach((gearbox, j) => {
          const assembly = assemble(trainOfEnds(engine, gearbox))
          const verdict = recordJoint(joint, assembly, contextOf(assembly, ctx))
          const at = i * gearboxes.length + j
          expect([joint.id, code[at] === NOT_MET ? null : CODES[code[at]!]]).toEqual([
            joint.id,
            verdict?.code ?? null,
          ])
          if (!verdict) return
          const { stated, known, agreed, outside, evidence } = verdict
          expect([joint.id, countsOf(counts[at]!), GRADES[weakest[at]!] ?? null]).toEqual([
            joint.id,
            { stated, known, agreed, outside },
            evidence,
          ])
        })
      })
  },
)

test('ends that are put together alike are one class: a sweep of many looks up each end once a limit', () => {
  const [engine] = fc.sample(anyEngine('e'), { numRuns: 1, seed: 3 })
  const [gearbox] = fc.sample(anyGearbox('g'), { numRuns: 1, seed: 3 })
  const many = sweep([engine!, engine!, engine!], [gearbox!, gearbox!], context())
  expect(many.map(({ joint }) => joint)).toEqual(JOINTS)
  for (const { code } of many) expect(new Set(code).size).toBe(1)
})

test('a grid kept from before are those of a sweep anew, whichever ends changed, came or went', () => {
  const engines = [1, 2, 3, 4].map(
    (n) => fc.sample(anyEngine(`e${n}`), { numRuns: 1, seed: 70 + n })[0]!,
  )
  const gearboxes = [1, 2, 3].map(
    (n) => fc.sample(anyGearbox(`g${n}`), { numRuns: 1, seed: 80 + n })[0]!,
  )
  const other = fc.sample(anyEngine('e2'), { numRuns: 1, seed: 99 })[0]!
  const ctx = context()
  const kept = new PairGrid()
  const same = (some: readonly EngineEnd[], boxes: readonly GearboxEnd[], now = ctx): void => {
    const found = kept.read(some, boxes, now)
    // One by one, and by a sweep of all.
    for (const few of [Infinity, 0]) expect(found).toEqual(gridOf(some, boxes, now, few))
  }
  same(engines, gearboxes)
  same([engines[0]!, other, engines[2]!], gearboxes)
  same([engines[3]!, other], [gearboxes[2]!, { ...gearboxes[0]!, recipient: null }])
  same([engines[3]!, other], [gearboxes[2]!, gearboxes[1]!], { ...ctx, placement: 'set-back' })
})
