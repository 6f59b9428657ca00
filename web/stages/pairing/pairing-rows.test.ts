import { expect, test } from 'vitest'
import type { PairingFigures, Pairings } from '../../../contract/answers/pairings.ts'
import { alikeIn } from './joint-cells.tsx'
import { narrow, readOnly, writeOnly } from './pairing-filters.ts'
import { leaningOf, openOf, pairingKey, rowsOf, withFigures } from './pairing-rows.ts'

const part = (id: string, at: Pairings['parts'][number]['at'], more: object = {}) => ({
  id,
  name: id,
  family: null,
  type: null,
  at,
  engine: null,
  gearbox: null,
  ...more,
})
const listed: Pairings = {
  school: 'keep',
  currency: 'EUR',
  euroMinor: 100,
  repairMinor: null,
  limits: { money: null, hours: null, boltIn: false, uncut: false },
  of: 3,
  joints: ['block-face', 'depth', 'pilot'],
  parts: [
    part('old', 'vehicle', { family: 'hob' }),
    part('new', 'donor', { family: 'wick' }),
    part('box', 'elsewhere', { type: 'manual' }),
    part('case', 'shelf'),
  ],
  rows: [
    {
      engine: 0,
      transmission: 2,
      transfer: null,
      chosen: true,
      codes: 'fff',
      grades: '335',
      leans: 'lll',
    },
    {
      engine: 1,
      transmission: 2,
      transfer: null,
      chosen: false,
      codes: 'bu-',
      grades: '31-',
      leans: 'dl-',
    },
    {
      engine: 1,
      transmission: 2,
      transfer: 3,
      chosen: false,
      codes: 'bcu',
      grades: '300',
      leans: 'ddd',
    },
  ],
}
const figures = (more: Partial<PairingFigures>): PairingFigures => ({
  engineId: 'new',
  transmissionId: 'box',
  transferId: null,
  codes: 'bu-',
  closed: 'fu-',
  grades: '31-',
  claimed: [],
  conflicting: ['depth'],
  open: 1,
  stoppers: 0,
  minutes: 6,
  hours: { low: 20, high: 40 },
  money: { low: 100_000, likely: 150_000, high: 200_000 },
  jointHours: 2,
  cuts: 0,
  makes: 0,
  piecesMinor: 9000,
  closedBy: ['plate'],
  marginNm: 4,
  massChangeKg: null,
  frontChangeKg: null,
  cruiseRpm: null,
  hillTopKmh: null,
  toHundredS: null,
  ...more,
})

test('a row reads its letters joint by joint; a dash is a joint that does not apply', () => {
  const [own, other, cased] = rowsOf(listed)
  expect(own!.joints.map(({ joint, code, evidence }) => [joint, code, evidence])).toEqual([
    ['block-face', 'fits', 'maker'],
    ['depth', 'fits', 'maker'],
    ['pilot', 'fits', 'fitted'],
  ])
  expect(other!.joints.map(({ joint }) => joint)).toEqual(['block-face', 'depth'])
  expect([openOf(other!), leaningOf(other!), leaningOf(cased!)]).toEqual([
    1,
    { likely: 1, doubtful: 0 },
    { likely: 0, doubtful: 1 },
  ])
  expect([other, cased].map((row) => pairingKey(row!))).toEqual(['new|box', 'new|box|case'])
})

test('with its figures a row knows what closes it and what is disputed; joined twice it is the same row', () => {
  const row = rowsOf(listed)[1]!
  const found = figures({})
  const joined = withFigures(row, found, listed.joints)
  expect(joined.joints.map(({ code, closed, conflicts }) => [code, closed, conflicts])).toEqual([
    ['bridge', 'fits', false],
    ['unmeasured', 'unmeasured', true],
  ])
  // Its leaning stays: figures say nothing of it.
  expect(joined.joints.map(({ lean }) => lean)).toEqual(['doubtful', 'likely'])
  expect(withFigures(row, found, listed.joints)).toBe(joined)
  expect(joined.promise).toBeLessThan(row.promise)
})

test('filters let through what holds, by joints at once and by figures once they are there', () => {
  const rows = rowsOf(listed)
  const keys = (only: string, more: object = {}, limit: number | null = null, of = rows) =>
    narrow(of, { only: readOnly(only), family: null, type: null, ...more }, limit).map(
      ({ key }) => key,
    )
  expect(keys('no-clash')).toEqual(['old|box', 'new|box'])
  expect([keys('own'), keys('donor')]).toEqual([['old|box'], ['new|box', 'new|box|case']])
  expect(keys('', { family: 'wick' })).toEqual(['new|box', 'new|box|case'])
  expect(keys('', { type: 'automatic' })).toEqual([])
  expect([keys('bolt-in'), keys('under', {}, 160_000)]).toEqual([[], []])
  const known = [rows[0]!, withFigures(rows[1]!, figures({}), listed.joints), rows[2]!]
  expect(keys('bolt-in', {}, null, known)).toEqual(['new|box'])
  expect([keys('under', {}, 160_000, known), keys('under', {}, 149_999, known)]).toEqual([
    ['new|box'],
    [],
  ])
  const welded = [withFigures(rows[1]!, figures({ makes: 1 }), listed.joints)]
  expect([keys('bolt-in', {}, null, welded), keys('closed', {}, null, welded)]).toEqual([
    [],
    ['new|box'],
  ])
  expect([readOnly('own,nonsense,closed'), writeOnly([]), writeOnly(['own'])]).toEqual([
    ['closed', 'own'],
    null,
    'own',
  ])
})

test('joints that read alike in every row are folded, others are not; of one row none is', () => {
  const rows = rowsOf(listed)
  expect([...alikeIn(rows)].filter((id) => listed.joints.includes(id))).toEqual([])
  const two = [rows[1]!, rows[2]!]
  expect(alikeIn(two).has('block-face')).toBe(true)
  expect(alikeIn(two).has('depth')).toBe(false)
  expect(alikeIn([rows[0]!]).size).toBe(0)
})
