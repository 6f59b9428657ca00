import { expect, test } from 'vitest'
import { type Judgement, judge } from './judge.ts'
import { RecordSheet } from './record.ts'
import { compilePorts, port } from './samples.property.ts'
import { Tally } from './tally.ts'
import { BRIDGE, CLASH, CODES, type Limit, WORK } from './verdict.ts'

const LOW = { code: BRIDGE, words: 'low', pieces: ['plate'] } as const
const HIGH = { code: CLASH, words: 'high' } as const
const limit: Limit = { id: 'x', label: 'X', unit: 'mm', below: LOW, above: HIGH }
const damage: Limit = { ...limit, damage: true }
const judged = (one: Limit, value: number, pm = 0, low = 1, high = 3): Judgement & { name: string } => {
  const out: Judgement = { code: 0, outcome: null, outside: false, agreed: false, straddles: false }
  judge(one, value, pm, low, high, out)
  return { ...out, name: CODES[out.code]! }
}

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
  expect(judged(limit, value).name).toBe(name)
  expect(judged(limit, value, Infinity).name).toBe(name)
})

test.each([
  [2, 1, 'fits'],
  [2, 1.1, 'unmeasured'],
  [1.2, 0.3, 'unmeasured'],
  [0.8, 0.3, 'unmeasured'],
  [0.5, 0.3, 'bridge'],
  [4, 0.5, 'clash'],
  [2, Infinity, 'unmeasured'],
])('a damage limit at %d ± %d is %s: the whole interval decides', (value, pm, name) => {
  expect(judged(damage, value, pm).name).toBe(name)
})

test('a near miss has the milder outcome, a far one the harder', () => {
  const shim = { code: WORK, words: 'shim' } as const
  const near: Limit = { ...limit, near: { within: 3, outcome: shim } }
  expect([judged(near, 6).name, judged(near, 6.1).name, judged(near, -2).name, judged(near, -2.1).name]).toEqual(['work', 'clash', 'work', 'bridge'])
})

test('inputs named belong to the next limit only, on both sheets', () => {
  const ports = compilePorts(port('plate', { thicknessMm: 2 }, { pm: 0.1 }), port('spacer', {}))
  const plate = (ports[0] as any).thicknessMm
  const spacer = (ports[1] as any).thicknessMm
  for (const sheet of [new Tally(), new RecordSheet()]) {
    sheet.term(1, plate)
    expect([sheet.sum, sheet.allKnown]).toEqual([2, true])
    sheet.within(limit, 1, 3)
    sheet.term(1, spacer)
    expect(sheet.allKnown).toBe(false)
    sheet.within(limit, 1, 3)
    sheet.term(1, plate)
    sheet.within(limit, 1, 3)
  }
})

test('the record tells terms, margins, worst case, what is missing and what it leans to', () => {
  const ports = compilePorts(port('plate', { thicknessMm: 2 }, { pm: 0.1, grade: 'catalogue' }), port('spacer', {}))
  const sheet = new RecordSheet()
  sheet.term(1, (ports[0] as any).thicknessMm)
  sheet.within(damage, 1, 3)
  sheet.term(-1, (ports[1] as any).thicknessMm)
  sheet.within(limit, 1, 3)
  const verdict = sheet.verdict('x')
  expect(verdict).toMatchObject({ code: 'unmeasured', stated: 2, known: 1, agreed: 1, outside: 0, lean: 'likely', evidence: 'catalogue', minutes: 10 })
  expect(verdict.limits[0]).toMatchObject({ value: 2, plusMinus: 0.1, margin: 1, worstMargin: 0.9, low: 1, high: 3, terms: [{ sign: 1, value: 2, grade: 'catalogue' }] })
  expect(verdict.missing).toMatchObject([{ label: 'Thickness', methods: ['Micrometer or bore gauge', 'Caliper on the diameter'] }])
})

test('nothing the record says is NaN or Infinity: the wire carries null', () => {
  const sheet = new RecordSheet()
  sheet.term(1, (compilePorts(port('plate', { thicknessMm: 2 }))[0] as any).thicknessMm)
  sheet.within(limit, 1, Infinity)
  sheet.value(Number.NaN, Infinity)
  sheet.within(damage, Number.NaN, Infinity)
  sheet.show('nothing', Number.NaN, 'mm')
  const verdict = sheet.verdict('x')
  expect(JSON.parse(JSON.stringify(verdict))).toEqual(verdict)
  expect(verdict.shown).toEqual([])
})
