import { expect, test } from 'vitest'
import { NumberIndex } from '../identity/number-index.ts'
import { need } from '../needs/need.ts'
import { compilePart } from '../ports/index.ts'
import { NumbersAsked } from './numbers-asked.ts'
import { type KnownNumber, kindsListed, type NumbersOf, numberedPart } from './numbers-wanted.ts'

const listed = (number: string, grade: KnownNumber['grade'] = 'catalogue'): KnownNumber => ({
  issuer: 'KSN',
  number,
  mark: 'catalogue',
  grade,
})
const seal = need({ kind: 'rear-main-seal', place: 'crank', words: 'Rear main seal', why: [] })
const computer = need({
  kind: 'engine-computer',
  place: 'wiring',
  words: 'Engine computer',
  why: [],
})
const wick = { family: 'Kessarn Wick', generation: '2nd', grade: 'catalogue' } as const
const index = new NumberIndex({
  numbers: [
    { id: 'n1', part: 'own-seal', ...listed('1') },
    { id: 'n2', part: 'sold-seal', ...listed('2') },
    { id: 'n3', part: 'listed-seal', ...listed('3') },
  ],
  supersessions: [{ id: 's', old: [listed('1')], new: [listed('2')], grade: 'catalogue' }],
  applications: [
    {
      id: 'a',
      ...listed('3'),
      where: { targets: { engine: { family: 'kessarn wick' } } },
    },
  ],
})
const numbers = new Map([
  ['own-seal', [listed('1')]],
  ['sold-seal', [listed('2')]],
  ['listed-seal', [listed('3')]],
  ['unlisted', [listed('77')]],
  ['bare', []],
  ['own-computer', [listed('811D')]],
  ['computer-c', [listed('811C')]],
])
const market = {
  numbers,
  serving: index,
  issuers: new Map([['k', 'KSN']]),
  parts: {
    get: (id: string) =>
      compilePart({
        id,
        name: id,
        kind: id.includes('computer') ? 'engine-computer' : 'rear-main-seal',
        ports: [],
      }),
  },
}
const build = (more: Partial<NumbersOf> = {}): NumbersOf => ({
  own: [],
  application: { engine: wick },
  given: new Map(),
  ...more,
})
const asked = (more?: Partial<NumbersOf>) => new NumbersAsked(market, build(more), '2026-11-29')
const own = [
  { id: 'own-seal', kind: 'rear-main-seal', name: 'Own seal' },
  { id: 'own-computer', kind: 'engine-computer', name: 'Own computer' },
]

test('a line wants the numbers of what came with its engine, and what replaced them serves', () => {
  expect(numberedPart(seal, { own })).toBe('own-seal')
  expect(asked({ own }).of(seal, 'sold-seal')).toMatchObject({
    says: 'superseded by',
    plan: 'yes',
    of: 'Own seal',
    steps: [{ kind: 'superseded', from: ['KSN 1'], to: ['KSN 2'] }],
  })
  expect(asked({ own }).of(seal, 'unlisted')).toMatchObject({ says: 'not listed', plan: 'confirm' })
})

test('where nothing of its own has a number, what is listed for its engine speaks, for parts of that kind', () => {
  expect([...kindsListed(index, { engine: wick }, () => 'rear-main-seal')]).toEqual([
    'rear-main-seal',
  ])
  expect(asked().of(seal, 'listed-seal')).toMatchObject({ says: 'exact', of: null })
  expect(asked().of(seal, 'unlisted').says).toBe('not listed')
  expect(asked().of(computer, 'computer-c').says).toBe('no number wanted')
  expect(asked({ application: {} }).of(seal, 'listed-seal').says).toBe('no number wanted')
})

test('a number given by hand goes before all others; an offer is also what it is listed as', () => {
  const given = new Map([[seal.id, { issuer: 'KSN', number: '77' }]])
  expect(asked({ own, given }).of(seal, 'unlisted')).toMatchObject({
    says: 'exact',
    of: 'given by hand',
  })
  expect(asked({ own, given }).of(seal, 'sold-seal').says).toBe('not listed')
  expect(asked({ own, given }).of(seal, 'bare', { issuerId: 'k', number: '77' }).says).toBe('exact')
  expect(asked({ own, given }).of(seal, 'bare', { issuerId: null, number: '77' }).says).toBe(
    'not listed',
  )
})

test('a computer that is not on the list is not planned, whatever its ports say', () => {
  expect(asked({ own }).of(computer, 'own-computer').plan).toBe('yes')
  expect(asked({ own }).of(computer, 'computer-c')).toMatchObject({
    says: 'not listed',
    plan: 'no',
  })
})

test('what was read by hearsay is to be confirmed', () => {
  const heard = new NumbersAsked(
    { ...market, numbers: new Map([...numbers, ['sold-seal', [listed('2', 'heard')]]]) },
    build({ own }),
    '2026-11-29',
  )
  expect(heard.of(seal, 'sold-seal')).toMatchObject({ plan: 'confirm', evidence: 'heard' })
})
