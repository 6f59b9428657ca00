import { describe, expect, test } from 'vitest'
import { JOINTS } from '../../joints/index.ts'
import { isUnproved, stepsOf } from '../../joints/judging/declaration.ts'
import { kindWords, PART_KINDS } from '../../ports/part-kinds.ts'
import { RANGES } from '../../templates/ranges.ts'
import { FACT_KEYS, type Fact, type FactKey, Facts } from '../facts.ts'
import { planNeeds } from '../fixpoint.ts'
import type { Need } from '../need.ts'
import { RULES } from './index.ts'

const facts = (values: Partial<Record<FactKey, Fact['value']>>): Fact[] =>
  Object.entries(values).map(([key, value]) => ({ key: key as FactKey, value }))
const MANUAL = { 'gearbox.type': 'manual', 'engine.part': 'e', 'transmission.part': 't' } as const
const AUTOMATIC = { ...MANUAL, 'gearbox.type': 'automatic' } as const
const plan = (values: Partial<Record<FactKey, Fact['value']>>): readonly Need[] =>
  planNeeds(facts(values), [])
const kinds = (values: Partial<Record<FactKey, Fact['value']>>): string[] =>
  plan(values).map((need) => need.kind)
const the = (kind: string, values: Partial<Record<FactKey, Fact['value']>>): Need | undefined =>
  plan(values).find((need) => need.kind === kind)

test('nothing chosen, nothing needed of the train', () => {
  expect(kinds({}).filter((kind) => kind !== 'dowel')).toEqual([])
})

test('each piece that a joint asks for has one place, whichever rule asks for it', () => {
  const all: Partial<Record<FactKey, Fact['value']>> = Object.fromEntries(
    Object.keys(FACT_KEYS).map((key) => [key, key.startsWith('keep.') ? true : undefined]),
  )
  const pieces = new Set(
    JOINTS.flatMap(({ limits }) =>
      limits.flatMap(({ below, above, otherwise }) =>
        [below, above, otherwise].flatMap((steps) =>
          stepsOf(steps).flatMap(({ becomes }) =>
            isUnproved(becomes) ? [] : (becomes.pieces ?? []),
          ),
        ),
      ),
    ),
  )
  expect(pieces.size).toBeGreaterThan(20)
  for (const piece of pieces)
    for (const gearbox of [MANUAL, AUTOMATIC]) {
      const bridged = { limits: [{ code: 'bridge', pieces: [piece], words: '' }], tasks: [] }
      const needs = planNeeds(
        facts(
          Object.fromEntries(
            Object.entries({ ...all, ...gearbox }).filter(([, value]) => value !== undefined),
          ),
        ),
        [{ joint: 'depth', bare: bridged as never }],
      )
      expect([piece, needs.filter(({ kind }) => kind === piece).map(({ id }) => id)]).toEqual([
        piece,
        [expect.any(String)],
      ])
    }
})

describe('coupling', () => {
  test.each([
    [
      'manual',
      MANUAL,
      ['flywheel', 'cover', 'disc', 'release-bearing', 'pilot', 'starter'],
      ['flexplate', 'converter', 'gearbox-cooler', 'cooler-line'],
    ],
    [
      'automatic',
      AUTOMATIC,
      ['flexplate', 'converter', 'starter', 'gearbox-cooler', 'cooler-line'],
      ['flywheel', 'cover', 'disc', 'release-bearing', 'cover-bolt'],
    ],
  ] as const)(
    'a %s is made complete for its kind, and not with the other',
    (_, values, has, lacks) => {
      for (const kind of has) expect(kinds(values)).toContain(kind)
      for (const kind of lacks) expect(kinds(values)).not.toContain(kind)
    },
  )

  test('a piece that is named is the one wanted; one that is not says that its measurements are not known', () => {
    expect(the('disc', { ...MANUAL, 'coupling.disc': 'd7' })).toMatchObject({ wants: 'd7' })
    const unnamed = the('disc', MANUAL)!
    expect(unnamed.wants).toBeUndefined()
    expect(unnamed.why.map((reason) => reason.words).join()).toContain('None is named yet')
  })

  test('old linings carry their caution, once', () => {
    for (const kind of ['cover', 'disc'])
      expect(
        the(kind, MANUAL)!.cautions.filter((caution) => caution.includes('asbestos')),
      ).toHaveLength(1)
  })

  test('cooler lines wait for the mock-up, two of them', () => {
    expect(the('cooler-line', AUTOMATIC)).toMatchObject({ quantity: 2, waits: 'mock-up' })
  })
})

describe('hardware', () => {
  test.each([
    [0, 6, 12 / 2],
    [1, 12, 12],
    [2, 18, 18],
  ])('with %i plates between, six bell bolts become %i', (plates, bolts) => {
    const needs = { ...MANUAL, 'face.bolts': 6, 'face.dowels': 2, 'face.plates': plates }
    expect(the('bell-bolt', needs)!.quantity).toBe(bolts)
    expect(the('dowel', needs)!.quantity).toBe(2 * (1 + plates))
  })

  test('flange bolts come by thread and length, as many as the crank has, with their caution', () => {
    const bolts = the('flange-bolt', {
      ...MANUAL,
      'flange.bolts': 8,
      'flange.thread': 'M10x1.25',
      'flange.lengthMm': 25,
    })!
    expect(bolts).toMatchObject({ quantity: 8, words: 'Flange bolts M10x1.25 × 25' })
    expect(bolts.constraints).toEqual(
      expect.arrayContaining([
        { port: 'flange-bolts', field: 'lengthMm', low: 24.5, high: 25.5 },
        { port: 'flange-bolts', field: 'thread', equals: 'M10x1.25' },
      ]),
    )
    expect(bolts.cautions.join()).toContain('kills')
  })

  test('bell bolts of a known thread say how tight and how deep, by what method, and yield to the maker', () => {
    const words = the('bell-bolt', { ...MANUAL, 'face.bolts': 6, 'face.thread': 'M10x1.5' })!
      .why.map((reason) => reason.words)
      .join()
    for (const part of [
      'M10x1.5 8.8, dry: 50 N·m',
      'K 0.2',
      '75 % of proof',
      'unless the maker',
      '10 mm in steel, 15 in aluminium',
    ])
      expect(words).toContain(part)
    expect(the('bell-bolt', { ...MANUAL, 'face.bolts': 6 })!.why).toHaveLength(1)
  })

  test('a flange nobody counted raises no bolts: not known is not none', () => {
    expect(the('flange-bolt', MANUAL)).toBeUndefined()
  })

  test('cover bolts follow from the cover', () => {
    expect(the('cover-bolt', MANUAL)!.why[0]).toMatchObject({ parent: 'cover/coupling/main' })
    expect(the('cover-bolt', AUTOMATIC)).toBeUndefined()
  })
})

describe('mock-up and confirm', () => {
  test.each([
    'propshaft',
    'exhaust',
    'lower-hose',
    'belt',
    'throttle-actuation',
    'top-hose',
    'clutch-line-end',
  ])('a %s ordered before the mock-up is a wrong part', (kind) => {
    expect(the(kind, MANUAL)!.waits).toBe('mock-up')
  })

  test('what no joint decides yet is to be confirmed', () => {
    for (const kind of [
      'engine-mount',
      'gearbox-mount',
      'speedometer',
      'earth-strap',
      'alternator-plug',
      'heater-reducer',
      'throttle-bracket',
      'odd-bell-bolt',
    ])
      expect([kind, the(kind, MANUAL)!.level]).toEqual([kind, 'confirm'])
  })

  test.each([
    ['manual', MANUAL, 13],
    ['automatic', AUTOMATIC, 9],
  ] as const)('a %s build has %i small things to confirm or drop', (_, values, count) => {
    expect(
      plan(values).filter((need) => need.why.some((reason) => reason.rule === 'confirm-or-drop')),
    ).toHaveLength(Number(count))
  })

  test('what another rule requires stays required beside being asked about', () => {
    expect(the('dowel', MANUAL)!.level).toBe('required')
    expect(the('dowel', MANUAL)!.why.map((reason) => reason.rule)).toEqual([
      'confirm-or-drop',
      'hardware',
    ])
  })
})

describe('must still work', () => {
  test.each([
    'air-conditioning',
    'steering-assist',
    'brake-assist',
    'cruise',
    'gauges',
    'four-wheel-drive',
    'power-take-off',
    'range-indicator',
    'emissions-equipment',
    'heater',
  ])('%s is kept from the recipient when the brief says so, and not otherwise', (kind) => {
    expect(the(kind, { ...MANUAL, [`keep.${kind}`]: true })).toMatchObject({
      keep: true,
      level: 'confirm',
    })
    expect(the(kind, { ...MANUAL, [`keep.${kind}`]: false })).toBeUndefined()
    expect(the(kind, MANUAL)).toBeUndefined()
  })

  test('refrigerant and steering carry their cautions', () => {
    expect(
      the('air-conditioning', { ...MANUAL, 'keep.air-conditioning': true })!.cautions.join(),
    ).toContain('licensed')
    expect(
      the('steering-assist', { ...MANUAL, 'keep.steering-assist': true })!.cautions.join(),
    ).toContain('full travel')
  })
})

describe('papers and fluids', () => {
  test.each([
    [{}, 'confirm', 'confirm'],
    [{ 'law.inspection': true }, 'confirm', 'required'],
    [{ 'stopper.papers': 'no' }, 'required', 'confirm'],
    [{ 'stopper.papers': 'unknown' }, 'required', 'confirm'],
    [{ 'stopper.papers': 'yes' }, 'confirm', 'confirm'],
    [{ 'stopper.law': 'no' }, 'confirm', 'required'],
    [{ 'stopper.law': 'unknown', 'stopper.papers': 'no' }, 'required', 'required'],
  ] as const)('answered %o, papers are %s and the inspection %s', (answers, papers, inspection) => {
    expect([
      the('papers', { ...MANUAL, ...answers })!.level,
      the('inspection', { ...MANUAL, ...answers })!.level,
    ]).toEqual([papers, inspection])
  })

  test('oils and coolant follow from what is put in; the hot system keeps its caution', () => {
    for (const kind of ['engine-oil', 'gearbox-oil', 'coolant'])
      expect(kinds(MANUAL)).toContain(kind)
    expect(kinds({ 'transmission.part': 't' })).not.toContain('engine-oil')
    expect(the('coolant', MANUAL)!.cautions.join()).toContain('hot')
  })
})

describe('every rule', () => {
  test.each(RULES.map((rule) => [rule.id, rule] as const))(
    '%s adds only kinds it declares, each a kind that exists',
    (_, rule) => {
      for (const kind of rule.adds) expect(Object.hasOwn(PART_KINDS, kind), kind).toBe(true)
      for (const values of [
        MANUAL,
        AUTOMATIC,
        { ...MANUAL, 'keep.heater': true, 'face.bolts': 6, 'flange.bolts': 6 } as const,
      ])
        for (const need of rule.run({
          facts: new Facts(facts(values)),
          joints: [],
          has: () => true,
        })) {
          expect(rule.adds, `${rule.id} adds ${need.kind}`).toContain(need.kind)
          expect(need.why.length).toBeGreaterThan(0)
        }
    },
  )

  test('each kind a rule may add has a price and hour range, so a first answer leaves nothing out', () => {
    const without = [...new Set(RULES.flatMap((rule) => rule.adds))].filter(
      (kind) => kind !== 'work' && !Object.hasOwn(RANGES, kind),
    )
    expect(without.map(kindWords)).toEqual([])
  })
})
