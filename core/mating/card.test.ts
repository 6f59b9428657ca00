import { expect, test } from 'vitest'
import { tolerances } from '../joints/tolerances.ts'
import { CLOCK } from '../mechanics/concentricity.ts'
import type { SheetAnswers } from '../sheets/sheet.ts'
import { isMatingQuestion, judgeMating, matingSteps } from './card.ts'

const say = (values: Record<string, string>): SheetAnswers =>
  Object.fromEntries(
    Object.entries(values).map(([id, value]) => [
      id,
      { value, at: '2026-01-01T10:00:00Z', by: 'Ida' },
    ]),
  )
const sweep = (of: string, x: number, y: number): Record<string, string> =>
  Object.fromEntries(
    CLOCK.map(({ degrees }, i) => [
      `${of}:${i}`,
      (-(
        x * Math.cos((degrees * Math.PI) / 180) +
        y * Math.sin((degrees * Math.PI) / 180)
      )).toFixed(4),
    ]),
  )
const judge = (values: Record<string, string>, isAutomatic = false) =>
  judgeMating(say(values), isAutomatic, tolerances())
const codes = (values: Record<string, string>, isAutomatic = false): string[] =>
  judge(values, isAutomatic).findings.map((finding) => finding.code)

// Common practice: bore ≤ 0.13 mm TIR good, ≤ 0.25 acceptable, beyond: offset dowels; face ≤ 0.15.
test.each([
  [0.06, 'good'],
  [0.12, 'acceptable'],
  [0.2, 'stop'],
])('a bore off by %d mm is %s', (off, code) => {
  expect(codes(sweep('bore', off, 0))).toEqual([code])
})

test('beyond what is acceptable it says which dowel, and which way its high side points', () => {
  const { correction, findings } = judge(sweep('bore', 0, 0.35))
  expect(correction!.dowelMm).toBeCloseTo(0.3556, 4)
  expect(correction!.degrees).toBeCloseTo(270, 1)
  expect(findings[0]!.words).toContain('0.36 mm with their high side at 270°')
})

test('seven readings are no sweep yet: nothing is said', () => {
  const { 'bore:7': _, ...seven } = sweep('bore', 0.3, 0)
  expect(judge(seven)).toMatchObject({ bore: null, correction: null, findings: [] })
})

test('a bore out of round is told apart from an offset', () => {
  const oval = Object.fromEntries(
    CLOCK.map(({ degrees }, i) => [
      `bore:${i}`,
      (0.1 * Math.cos((2 * degrees * Math.PI) / 180)).toFixed(4),
    ]),
  )
  expect(
    judge(oval)
      .findings.map((finding) => finding.words)
      .join(),
  ).toContain('is no offset')
})

test.each([
  [{ 'face:0': '0.2' }, 'stop'],
  [{ 'face:0': '0.1' }, 'good'],
])('a face with %o over the rest is %s', (one, code) => {
  const flat = Object.fromEntries(CLOCK.map((_, i) => [`face:${i}`, '0']))
  expect(codes({ ...flat, ...one })).toEqual([code])
})

test('what changed between before and after is a stop: something presses on the crank', () => {
  expect(
    codes({
      'float-before': '0.15',
      'float-after': '0.15',
      'torque-before': '22',
      'torque-after': '23',
    }),
  ).toEqual(['good', 'good'])
  expect(codes({ 'float-before': '0.15', 'float-after': '0.02' })).toEqual(['stop'])
  expect(codes({ 'torque-before': '16 lbf·ft', 'torque-after': '40 N·m' })).toEqual(['stop'])
  expect(codes({ 'float-before': '0.15' })).toEqual([])
})

// Common practice: 1.5–5 mm, equal at three pads within 0.5.
test.each([
  [['2.5', '2.6', '2.4'], ['good']],
  [['2.5', '3.2', '2.4'], ['stop']],
  [
    ['1', '1.1', '0.9'],
    ['good', 'stop', 'stop', 'stop'],
  ],
  [['2.5', '2.5'], []],
])('pull-ups of %j are judged %j', (pulls, expected) => {
  expect(codes(Object.fromEntries(pulls.map((pull, i) => [`pull-${i + 1}`, pull])), true)).toEqual(
    expected,
  )
  expect(codes(Object.fromEntries(pulls.map((pull, i) => [`pull-${i + 1}`, pull])), false)).toEqual(
    [],
  )
})

test('a no at the mating is a stop, with what it breaks', () => {
  expect(judge({ 'by-hand': 'no' }).findings).toEqual([
    { code: 'stop', words: expect.stringContaining('Drawn in by its bolts') },
  ])
  expect(judge({ home: 'no' }, true).findings[0]!.words).toContain('Pump lugs')
  expect(judge({ 'by-hand': 'yes', turns: 'yes' }).findings).toEqual([])
})

test('what cannot be read is said, not passed over', () => {
  expect(judge({ 'float-before': 'a bit', 'float-after': '0.1' }).findings).toEqual([
    { code: 'stop', words: expect.stringContaining('"a bit" cannot be read') },
  ])
})

test('a manual has no converter step; ids stand once; lifting and turning carry their cautions', () => {
  expect(matingSteps(false).some((step) => step.id === 'converter')).toBe(false)
  const ids = matingSteps(true).flatMap((step) => step.questions.map((question) => question.id))
  expect(new Set(ids).size).toBe(ids.length)
  for (const id of ids) expect(isMatingQuestion(id)).toBe(true)
  expect(isMatingQuestion('colour')).toBe(false)
  const cautions = matingSteps(true).flatMap((step) => step.cautions)
  for (const word of ['chocked', 'heavy', 'nobody under'])
    expect(
      cautions.some((caution) => caution.includes(word)),
      word,
    ).toBe(true)
})
