import { expect, test } from 'vitest'
import { BRIDGE, CLASH, WORK } from '../code.ts'
import { checkJoint } from '../index.ts'
import type { Joint } from '../joint.ts'
import { compilePorts, context, port } from '../samples.property.ts'
import type { Verdict } from '../verdict.ts'
import { bounded, formula, type Limit, measure, minus, plus } from './declaration.ts'
import { judge } from './judge.ts'
import { a, orElse, spacers, total } from './read.ts'

const LOW = { code: BRIDGE, words: 'low', pieces: ['plate'] } as const
const HIGH = { code: CLASH, words: 'high' } as const
const thickness = a.plate.thicknessMm
const limit: Limit = {
  id: 'x',
  label: 'X',
  unit: 'mm',
  terms: [plus(thickness)],
  window: [1, 3],
  below: LOW,
  above: HIGH,
}
const damage: Limit = { ...limit, damage: true }

const joint = (...limits: Limit[]): Joint => ({
  id: 'x',
  number: 99,
  short: 'X',
  title: 'X',
  place: 'coupling',
  meets: 'whole',
  decides: 'for this test',
  applies: formula({}, () => true),
  limits,
  cures: {},
  strip: 'gearbox',
  drawing: null,
})
/** A plate so thick, and a ring whose place is not known. */
const plateOf = (value: number, pm?: number) =>
  compilePorts(port('plate', { thicknessMm: value }, { pm, grade: 'heard' }))
const judged = (value: number, pm: number | undefined, ...limits: Limit[]): Verdict =>
  checkJoint(joint(...limits), plateOf(value, pm), [], context())!

test.each([
  [0.5, 'bridge'],
  [1 - 2e-6, 'bridge'],
  [1 - 5e-7, 'fits'],
  [1, 'fits'],
  [2, 'fits'],
  [3, 'fits'],
  [3 + 5e-7, 'fits'],
  [3.5, 'clash'],
])('at nominal %d in 1 to 3 is %s: inclusive, with a slack of 1e-6', (value, name) => {
  expect(judged(value, 0, limit).code).toBe(name)
  expect(judged(value, undefined, limit).code).toBe(name)
})

test.each([
  [2, 1, 'fits'],
  [2, 1.1, 'unmeasured'],
  [1.2, 0.3, 'unmeasured'],
  [0.8, 0.3, 'unmeasured'],
  [0.5, 0.3, 'bridge'],
  [4, 0.5, 'clash'],
  [2, undefined, 'unmeasured'],
])('a damage limit at %d ± %s is %s: the whole interval decides', (value, pm, name) => {
  expect(judged(value, pm, damage).code).toBe(name)
})

test('the ends of a window take part: each at the end that is worse', () => {
  const m = {
    value: 2,
    down: 0.1,
    up: 0.1,
    low: 1.5,
    high: 3,
    lowLeast: 1.1,
    lowMost: 1.9,
    highLeast: 2.1,
    highMost: 3.5,
  }
  expect(judge(m, true)).toBe('agrees')
  expect(judge({ ...m, lowMost: 1.95 }, true)).toBe('straddles')
  expect(judge({ ...m, highLeast: 2.05 }, true)).toBe('straddles')
  expect(judge({ ...m, value: 1, up: 0.05 }, true)).toBe('under')
  expect(judge({ ...m, value: 4, down: 0.4, up: 0.4 }, true)).toBe('over')
})

test('a near miss has the milder outcome, a far one the harder', () => {
  const steps = [{ within: 3, becomes: { code: WORK, words: 'shim' } as const }]
  const near: Limit = {
    ...limit,
    window: [11, 13],
    below: [...steps, { becomes: LOW }],
    above: [...steps, { becomes: HIGH }],
  }
  expect([16, 16.1, 8, 7.9].map((value) => judged(value, 0, near).code)).toEqual([
    'work',
    'clash',
    'work',
    'bridge',
  ])
})

test('what a miss asks is asked only once it is missed, and unknown it is not measured', () => {
  const asks: Limit = {
    ...limit,
    above: [{ ask: a.face.mayTurn, becomes: { code: WORK, words: 'turned' } }, { becomes: HIGH }],
  }
  const faced = (values: object) =>
    checkJoint(
      joint(asks),
      [...plateOf(4, 0), ...compilePorts(port('face', { ...values }, { looks: 'rearward' }))],
      [],
      context(),
    )!
  expect(judged(2, 0, asks).fields.map(({ field }) => field)).toEqual(['thicknessMm'])
  expect([faced({ mayTurn: true }).code, faced({ mayTurn: false }).code]).toEqual(['work', 'clash'])
  expect(faced({})).toMatchObject({ code: 'unmeasured', known: 0, missing: [{ field: 'mayTurn' }] })
})

test('a measure is taken with every input at its bad end, or gives its own ends', () => {
  const double: Limit = {
    ...damage,
    terms: [],
    measure: measure({ mm: thickness }, ({ mm }) => 2 * mm, { mm: 1 }),
    window: [1, 6],
  }
  expect(judged(2, 1, double).limits[0]).toMatchObject({
    value: 4,
    plusMinus: 2,
    worstMargin: 0,
    code: 'fits',
  })
  const falling: Limit = {
    ...double,
    measure: measure({ mm: thickness }, ({ mm }) => 8 - 2 * mm, { mm: -1 }),
  }
  expect(judged(2, 1, falling).limits[0]).toMatchObject({ value: 4, worstMargin: 0, code: 'fits' })
  const own: Limit = {
    ...double,
    measure: bounded(
      { mm: thickness },
      ({ mm }) => Math.abs(mm),
      ({ mm }, pm) => [0, Math.abs(mm) + pm.mm],
    ),
    window: [0, 2.5],
  }
  expect([judged(2, 0.5, own).code, judged(2, 0.6, own).code]).toEqual(['fits', 'unmeasured'])
})

test('worst case adds every ±, root-sum-square takes each length of a sum apart', () => {
  const summed: Limit = {
    ...limit,
    terms: [],
    measure: measure(
      { whole: total([plus(thickness), plus(a.ring.nearMm)]) },
      ({ whole }) => 2 * whole,
      { whole: 1 },
    ),
    window: [0, 99],
  }
  const ports = [...plateOf(2, 0.3), ...compilePorts(port('ring', { nearMm: 5 }, { pm: 0.4 }))].map(
    (one) => ({ ...one, looks: 'rearward' as const }),
  )
  const [record] = checkJoint(joint(summed), ports as never, [], context())!.limits
  expect(record!.value).toBe(14)
  expect(record!.plusMinus).toBeCloseTo(1.4)
  expect(record!.rootSumSquare).toBeCloseTo(1)
})

test('an input with a stand-in is named when it is not known, and never missing', () => {
  const optional: Limit = {
    ...limit,
    terms: [],
    measure: measure({ mm: thickness, ring: orElse(a.ring.nearMm, 0) }, (x) => x.mm + x.ring, {
      mm: 1,
      ring: 1,
    }),
  }
  const verdict = judged(2, 0, optional)
  expect(verdict).toMatchObject({ code: 'fits', missing: [] })
  expect(verdict.fields.map(({ field }) => field)).toEqual(['thicknessMm', 'nearMm'])
})

test('the record tells terms, margins, worst case, what is missing and what it leans to', () => {
  const ports = compilePorts(port('plate', { thicknessMm: 2 }, { pm: 0.1, grade: 'catalogue' }))
  const verdict = checkJoint(
    joint(damage, { ...limit, terms: [minus(a.spacer.thicknessMm)] }),
    ports,
    [],
    context(),
  )!
  expect(verdict).toMatchObject({
    code: 'unmeasured',
    stated: 2,
    known: 1,
    agreed: 1,
    outside: 0,
    lean: 'likely',
    evidence: 'catalogue',
    minutes: 10,
  })
  expect(verdict.limits[0]).toMatchObject({
    value: 2,
    plusMinus: 0.1,
    margin: 1,
    worstMargin: 0.9,
    low: 1,
    high: 3,
    terms: [{ sign: 1, value: 2, grade: 'catalogue' }],
  })
  expect(verdict.missing).toMatchObject([
    { label: 'Thickness', methods: ['micrometer', 'caliper'] },
  ])
})

test('nothing the record says is NaN or Infinity: the wire carries null', () => {
  const open: Limit = {
    ...damage,
    measure: measure({}, () => Number.NaN, {}),
    window: [Number.NaN, Infinity],
  }
  const verdict = checkJoint(
    {
      ...joint({ ...limit, terms: [plus(thickness), plus(spacers)], window: [1, Infinity] }, open),
      figures: [{ label: 'nothing', unit: 'mm', of: formula({}, () => Number.NaN) }],
    },
    plateOf(2),
    [],
    context(),
  )!
  expect(JSON.parse(JSON.stringify(verdict))).toEqual(verdict)
  expect(verdict.shown).toEqual([])
  expect(verdict.limits.map(({ code }) => code)).toEqual(['fits', 'unmeasured'])
})
