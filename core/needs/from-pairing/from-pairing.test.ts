import { describe, expect, test } from 'vitest'
import { JOINTS } from '../../joints/index.ts'
import { isUnproved, stepsOf } from '../../joints/judging/declaration.ts'
import { FIXTURES } from '../fixtures/builds.property.ts'
import type { KnownFacts } from '../line-list.ts'
import { type Need, seeks } from '../need.ts'
import { planNeeds } from '../plan-needs.ts'
import type { Fact, FactKey } from './facts.ts'
import type { RuleInput } from './rule.ts'

const [roadster, van] = ['carburettor eight', 'worn van'].map(
  (name) => FIXTURES.find((one) => one.name.startsWith(name))!.facts,
) as [KnownFacts, KnownFacts]
type Said = Partial<Record<FactKey, Fact['value']>>
const MANUAL = { 'gearbox.type': 'manual', 'engine.part': 'e', 'transmission.part': 't' } as const
const AUTOMATIC = { ...MANUAL, 'gearbox.type': 'automatic' } as const
const plan = (said: Said, joints: RuleInput['joints'] = []): readonly Need[] =>
  planNeeds({
    facts: said['gearbox.type'] === 'automatic' ? roadster : van,
    pairing: Object.entries(said).map(([key, value]) => ({ key: key as FactKey, value: value! })),
    joints,
  }).needs
const the = (kind: string, said: Said): Need => plan(said).find((one) => seeks(one) === kind)!

test('each piece that a joint asks for is sought by a line, whichever gearbox it is', () => {
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
    for (const said of [MANUAL, AUTOMATIC]) {
      const bridged = {
        code: 'bridge',
        limits: [{ code: 'bridge', pieces: [piece], words: '' }],
        tasks: [],
      } as const
      const needs = plan(said, [{ joint: 'depth', bare: bridged }])
      expect([piece, needs.some((one) => seeks(one) === piece)]).toEqual([piece, true])
    }
})

test('every task of a joint is one line of its own, with its hours and what it asks', () => {
  const task = {
    id: 'cut-it',
    words: 'Cut',
    hours: 3,
    skills: ['weld'],
    reversible: false,
  } as const
  const needs = plan(MANUAL, [
    { joint: 'lever', bare: { code: 'work', limits: [], tasks: [task] } },
  ])
  expect(needs.filter(({ id }) => id === 'work/lever/cut-it')).toMatchObject([
    { sort: 'task', hours: [3, 3, 6], work: ['weld'] },
  ])
})

test('a joint that clashes stops the build; one whose clash has rows of its own is not said twice', () => {
  const clash = {
    code: 'clash',
    limits: [{ code: 'clash', words: 'Too wide', pieces: [] }],
    tasks: [],
  } as const
  const needs = plan(MANUAL, [
    { joint: 'lever', bare: clash },
    { joint: 'torque', bare: clash },
  ])
  expect(needs.filter(({ kind }) => kind === 'clash')).toMatchObject([
    { id: 'clash/lever/main', sort: 'blocker', why: [{ words: 'Too wide', joint: 'lever' }] },
  ])
})

describe('what the pairing says of lines', () => {
  test('the part it names is the one wanted, on the line that seeks its kind', () => {
    expect(the('disc', { ...MANUAL, 'coupling.disc': 'd7' })).toMatchObject({
      kind: 'new-disc',
      wants: 'd7',
    })
    expect(the('disc', MANUAL).wants).toBeUndefined()
  })

  test.each([
    [0, 6],
    [1, 12],
    [2, 18],
  ])('with %i plates between, six bell bolts become %i', (plates, bolts) => {
    const said = { ...MANUAL, 'face.bolts': 6, 'face.dowels': 2, 'face.plates': plates }
    expect(the('bell-bolt', said).quantity).toBe(bolts)
    expect(the('dowel', said).quantity).toBe(2 * (1 + plates))
  })

  test('flange bolts come by thread and length, as many as the crank has, with their caution', () => {
    const bolts = the('flange-bolt', {
      ...MANUAL,
      'flange.bolts': 8,
      'flange.thread': 'M10x1.25',
      'flange.lengthMm': 25,
    })
    expect(bolts).toMatchObject({ quantity: 8 })
    expect(bolts.constraints).toEqual(
      expect.arrayContaining([
        { port: 'flange-bolts', field: 'lengthMm', low: 24.5, high: 25.5 },
        { port: 'flange-bolts', field: 'thread', equals: 'M10x1.25' },
      ]),
    )
    expect(bolts.cautions.join()).toContain('kills')
  })

  test('bell bolts of a known thread say how tight and how deep, by what method, and yield to the maker', () => {
    const words = the('bell-bolt', { ...MANUAL, 'face.bolts': 6, 'face.thread': 'M10x1.5' })
      .why.map((reason) => reason.words)
      .join()
    for (const part of ['M10x1.5 8.8, dry: 50 N·m', 'K 0.2', '75 % of proof', 'unless the maker'])
      expect(words).toContain(part)
  })

  test('oil is told in litres and a propshaft by its length, and neither is another reason for a line', () => {
    const { facts } = FIXTURES.find(({ must }) => 'propshaft' in must)!
    const of = (kind: string, pairing: Parameters<typeof planNeeds>[0]['pairing']) =>
      planNeeds({ facts, pairing: pairing! }).needs.find(
        (one) => one.kind === kind && one.slot === 'main',
      )!
    const said = [
      { key: 'engine.oilL', value: 4.25 },
      { key: 'propshaft.lengthMm', value: 1238.4 },
    ] as const
    expect(of('engine-oil', said).words).toBe('Engine oil, about 4.3 L')
    expect(of('propshaft', said).words).toContain('about 1238 mm between joints')
    expect(of('propshaft', said).rests).toBe(of('propshaft', []).rests)
    expect(of('propshaft', []).words).toBe('Propshaft shortened or made')
  })

  test('a line that the build does not need stays out, whatever part came with the engine', () => {
    const kinds = plan({ ...AUTOMATIC, 'coupling.flywheel': 'f', 'coupling.disc': 'd' }).map(seeks)
    for (const kind of ['flywheel', 'disc', 'cover', 'release-bearing', 'pilot'])
      expect(kinds).not.toContain(kind)
  })
})
