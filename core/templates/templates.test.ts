import { expect, test } from 'vitest'
import { tolerances } from '../joints/tolerances.ts'
import { buildFacts } from '../needs/build-facts.ts'
import { pairingFacts } from '../needs/from-pairing/pairing-facts.ts'
import { planNeeds } from '../needs/plan-needs.ts'
import { couplingSet } from '../pairing/coupling.ts'
import { runPairing } from '../pairing/pairing.ts'
import { type CompiledPart, compilePart, PORT_KINDS, type PortKindName } from '../ports/index.ts'
import { assumedOf, ofYear } from './by-age.ts'
import { PATTERN_FAMILIES } from './families.ts'
import { fromTemplate, TEMPLATES } from './index.ts'

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

const AGES = [1950, 1960, 1980, 1990, 2000, 2015]
test.each(
  TEMPLATES.flatMap((one) => [
    [one.id, one] as const,
    ...AGES.map((year) => [`${one.id} of ${year}`, ofYear(one, year)] as const),
  ]),
)('every value of %s is one its field takes, assumed, and a figure is wide', (_, template) => {
  for (const port of fromTemplate(template, 'p').ports) {
    const fields = PORT_KINDS[port.kind as PortKindName].fields as Record<
      string,
      {
        schema: { safeParse: (value: unknown) => { success: boolean } }
        range?: { isWhole?: true }
      }
    >
    for (const [name, claims] of Object.entries(port.claims))
      for (const claim of claims) {
        expect(fields[name]?.schema.safeParse(claim.value).success, `${port.kind}.${name}`).toBe(
          true,
        )
        expect(claim.grade).toBe('assumed')
        // How many cylinders a type has is what makes it that type.
        if (typeof claim.value === 'number' && !fields[name]!.range?.isWhole)
          expect(claim.plusMinus).toBeGreaterThan(0)
      }
  }
})

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

test('every pairing of templates gives a list whose lines are priced, and no fact is said of types that is not assumed', () => {
  for (const { train, result } of runs.slice(0, 60)) {
    const facts = buildFacts({
      said: {},
      brief: {},
      law: {},
      bench: {},
      donor: null,
      stoppers: {},
      mustWork: ['heater'],
      use: 'road',
      isSetBack: false,
      inspection: null,
      recipient: train.recipient,
      train,
      isRecipients: () => false,
      joints: result.joints,
      rooms: [],
      inserted: [],
      hasKit: false,
    })
    expect(facts['engine.injection']).toMatchObject({ isAssumed: true })
    const { needs } = planNeeds({
      facts,
      pairing: pairingFacts(train, result, () => undefined, {
        tolerances: tolerances(),
        recipients: new Set(),
      }),
      joints: result.joints,
    })
    expect(needs.length).toBeGreaterThan(60)
    const unpriced = needs.filter(
      ({ sort, eur, hours }) => sort === 'part' && eur[2] === 0 && hours[2] === 0,
    )
    expect(unpriced.map(({ kind }) => kind)).toEqual([])
  }
})

test('what goes by age follows the year of a type; what does not stays; a diesel never takes a spark', () => {
  const at = (id: string, year: number) =>
    Object.fromEntries(assumedOf(ofYear(TEMPLATES.find((one) => one.id === id)!, year)))
  const van = (year: number) => at('panel-van', year)
  expect(AGES.map((year) => van(year)['vehicle.volts'])).toEqual([
    'six',
    ...Array(5).fill('twelve'),
  ])
  expect(AGES.map((year) => van(year)['vehicle.supply'])).toEqual([
    'low',
    'low',
    'low',
    'high',
    'high',
    'high',
  ])
  expect(AGES.map((year) => van(year)['vehicle.lock'])).toEqual([
    'no',
    'no',
    'no',
    'no',
    'yes',
    'yes',
  ])
  for (const template of TEMPLATES) {
    const own = Object.fromEntries(assumedOf(template))
    const seen = AGES.map((year) => Object.fromEntries(assumedOf(ofYear(template, year))))
    for (const key of [
      'vehicle.layout',
      'vehicle.body',
      'engine.fuel',
      'engine.timing',
      'gearbox.output',
    ])
      for (const one of seen) expect(one[key], `${template.id} ${key}`).toBe(own[key])
    if (own['engine.fuel'] === 'diesel')
      for (const one of seen) {
        expect(one['engine.spark']).toBe('none')
        expect(['pump', 'rail']).toContain(one['engine.injection'])
      }
  }
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
