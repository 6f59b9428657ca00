import { expect, test } from 'vitest'
import { tolerances } from '../joints/tolerances.ts'
import { isCurrency } from '../money/money.ts'
import { planNeeds } from '../needs/fixpoint.ts'
import { need } from '../needs/need.ts'
import { pairingFacts } from '../needs/pairing-facts.ts'
import { couplingSet } from '../pairing/coupling.ts'
import { runPairing } from '../pairing/pairing.ts'
import { type CompiledPart, compilePart, PORT_KINDS, type PortKindName } from '../ports/index.ts'
import { kindWords, PART_KINDS } from '../ports/part-kinds.ts'
import { PATTERN_FAMILIES } from './families.ts'
import { firstAnswer } from './first-answer.ts'
import { fromTemplate, TEMPLATES } from './index.ts'
import { RANGE_CURRENCY, RANGES } from './ranges.ts'

const compiled = (kind: string): CompiledPart[] =>
  TEMPLATES.filter((one) => one.kind === kind).map((one) => compilePart(fromTemplate(one, one.id)))
const engines = compiled('engine')
const transmissions = compiled('transmission')
const vehicles = compiled('vehicle')
const runs = engines.flatMap((engine) =>
  transmissions.flatMap((transmission) =>
    vehicles.map((recipient) => {
      const train = {
        engine,
        transmission,
        recipient,
        coupling: couplingSet(transmission, [], []).parts,
        inserted: [],
      }
      return { train, result: runPairing(train, { tolerances: tolerances(), use: 'road' }, []) }
    }),
  ),
)

test('at least twenty types, each with its own id, words and mass', () => {
  expect(TEMPLATES.length).toBeGreaterThanOrEqual(20)
  expect(new Set(TEMPLATES.map((one) => one.id)).size).toBe(TEMPLATES.length)
  for (const { words, says, massKg } of TEMPLATES)
    expect(words.length > 0 && says.length > 0 && massKg > 0).toBe(true)
})

test.each(TEMPLATES.map((one) => [one.id, one] as const))(
  'every value of %s is one its field takes, assumed, and a figure is wide',
  (_, template) => {
    for (const port of fromTemplate(template, 'p').ports) {
      const fields = PORT_KINDS[port.kind as PortKindName].fields as Record<
        string,
        { schema: { safeParse: (value: unknown) => { success: boolean } } }
      >
      for (const [name, claims] of Object.entries(port.claims))
        for (const claim of claims) {
          expect(fields[name]?.schema.safeParse(claim.value).success, `${port.kind}.${name}`).toBe(
            true,
          )
          expect(claim.grade).toBe('assumed')
          if (typeof claim.value === 'number') expect(claim.plusMinus).toBeGreaterThan(0)
        }
    }
  },
)

test('no pairing of templates reads better than assumed, anywhere', () => {
  let seen = 0
  for (const { result } of runs)
    for (const { bare } of result.joints) {
      seen++
      if (bare.code === 'fits' || bare.code === 'work') expect(bare.evidence).toBe('assumed')
      for (const limit of bare.limits)
        for (const term of limit.terms) expect(term.grade ?? 'assumed').toBe('assumed')
    }
  expect(seen).toBeGreaterThan(1000)
})

test('where the train is put together a template decides nothing but torque: patterns, depths and splines have no typical value', () => {
  for (const { result } of runs)
    for (const { joint, bare } of result.joints)
      if (['block-face', 'crank-flange', 'depth', 'pilot', 'clutch-disc'].includes(joint))
        expect(bare.code).toBe('unmeasured')
})

test('every need of every pairing of templates has a price and an hour range, so the first answer leaves nothing out', () => {
  for (const { train, result } of runs.filter((_, i) => i % 37 === 0)) {
    const needs = planNeeds(
      pairingFacts(train, result, () => undefined, {
        tolerances: tolerances(),
        mustWork: ['heater', 'air-conditioning'],
        inspection: null,
        recipients: new Set(),
      }),
      result.joints,
    )
    const answer = firstAnswer(
      needs,
      () => null,
      new Map(),
      new Map(),
      new Set(),
      { currency: 'EUR', labourRateMinor: 5000 },
      [],
    )
    expect(needs.filter((_, i) => answer.lines[i]!.price === null).map((one) => one.kind)).toEqual(
      [],
    )
    expect(answer.total.low).toBeGreaterThan(0)
    expect(answer.total.high).toBeGreaterThan(answer.total.low)
    expect(answer.toSettle.length).toBe(
      train.transmission.ports.some(
        (port) =>
          port.kind === 'ratios' &&
          (port as unknown as { type: { v: string } }).type.v === 'automatic',
      )
        ? 9
        : 13,
    )
  }
})

test('ranges are of kinds that exist, from low to high, in a currency that exists', () => {
  expect(isCurrency(RANGE_CURRENCY)).toBe(true)
  for (const [kind, { priceEur, hours }] of Object.entries(RANGES)) {
    expect(Object.hasOwn(PART_KINDS, kind), kindWords(kind)).toBe(true)
    expect(priceEur[0] <= priceEur[1] && hours[0] <= hours[1] && priceEur[0] >= 0).toBe(true)
  }
})

test('the first answer takes the market over the type, a typed price over both, and adds end to end', () => {
  const needs = [
    need({ kind: 'disc', place: 'coupling', words: 'Disc', why: [] }),
    need({ kind: 'belt', place: 'bay', words: 'Belt', quantity: 2, why: [] }),
    need({ kind: 'starter', place: 'coupling', words: 'Starter', why: [] }),
    need({ kind: 'heater', place: 'kept', words: 'Heater', why: [] }),
  ]
  const [disc, belt, starter, heater] = needs.map((one) => one.id) as [
    string,
    string,
    string,
    string,
  ]
  const offered = ({ id }: { id: string }) => (id === belt ? { low: 3000, high: 4000 } : null)
  const answer = firstAnswer(
    needs,
    offered,
    new Map([
      [starter, true],
      [heater, false],
    ]),
    new Map([[disc, 9900]]),
    new Set([disc]),
    { currency: 'EUR', labourRateMinor: 6000 },
    [],
  )
  expect(answer.lines.map(({ need: id, price, from }) => ({ id, price, from }))).toEqual([
    { id: disc, price: { low: 9900, high: 9900 }, from: 'typed' },
    { id: belt, price: { low: 3000, high: 4000 }, from: 'offers' },
    { id: starter, price: { low: 0, high: 0 }, from: 'kept' },
    // Nobody has said yet that it stays: it may cost another after all.
    { id: heater, price: { low: 0, high: RANGES.heater!.priceEur[1] * 100 }, from: 'kept' },
  ])
  expect(answer.parts).toEqual({ low: 12900, high: 13900 + RANGES.heater!.priceEur[1] * 100 })
  expect(answer.labour).toEqual({ low: answer.hours.low * 6000, high: answer.hours.high * 6000 })
})

test('a range is told in the currency of the build, and not at all without a rate', () => {
  const needs = [need({ kind: 'belt', place: 'bay', words: 'Belt', why: [] })]
  const inYen = (rates: Parameters<typeof firstAnswer>[6]) =>
    firstAnswer(
      needs,
      () => null,
      new Map(),
      new Map(),
      new Set(),
      { currency: 'JPY', labourRateMinor: 0 },
      rates,
    )
  expect(inYen([]).unpriced).toBe(1)
  expect(inYen([{ from: 'EUR', to: 'JPY', rate: 160, on: '2026-01-01' }]).parts).toEqual({
    low: RANGES.belt!.priceEur[0] * 160,
    high: RANGES.belt!.priceEur[1] * 160,
  })
})

// SAE J617, from memory: bolt circle and count of each housing.
test.each([
  ['housing-no-5', 8, 333.4],
  ['housing-no-4', 12, 381],
  ['housing-no-3', 12, 428.6],
  ['housing-no-2', 12, 466.7],
  ['housing-no-1', 12, 530.2],
])('%s has %i holes on a circle of %d mm, equally spaced', (id, count, circleMm) => {
  const { holes } = PATTERN_FAMILIES.find((one) => one.id === id)!
  expect(holes.length).toBe(count)
  for (const hole of holes) expect(2 * Math.hypot(hole.x, hole.y)).toBeCloseTo(circleMm, 2)
  const chord = Math.hypot(holes[1]!.x - holes[0]!.x, holes[1]!.y - holes[0]!.y)
  expect(chord / Math.sin(Math.PI / count)).toBeCloseTo(circleMm, 2)
})

test('types never clash with one another in torque or speed by what is merely assumed of them', () => {
  const clashing = runs.filter(({ result }) =>
    result.joints.some(({ joint, bare }) => joint === 'torque' && bare.code === 'clash'),
  )
  expect(clashing.map(({ train }) => [train.engine.name, train.transmission.name])).toEqual([])
})
