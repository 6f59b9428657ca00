import fc from 'fast-check'
import { expect, test } from 'vitest'
import { mergeAnswers, type SheetAnswers } from '../sheets/sheet.ts'
import { questionOf, risksOf, SHEET_STEPS } from './sheet.ts'

const answers = fc.dictionary(
  fc.constantFrom('gear-1', 'hit-front', 'engine-number'),
  fc.record({
    value: fc.constantFrom('yes', 'no', 'W 1'),
    at: fc.constantFrom('2026-01-01T10:00:00Z', '2026-01-01T11:00:00Z', '2026-01-01T12:00:00Z'),
    by: fc.constant(null),
  }),
) as fc.Arbitrary<SheetAnswers>

test('two tablets may send in any order, and again: the later answer to each question stays, none is lost', () => {
  fc.assert(
    fc.property(answers, answers, (a, b) => {
      const one = mergeAnswers(a, b)
      expect(mergeAnswers(b, a)).toEqual(one)
      expect(mergeAnswers(one, b)).toEqual(one)
      expect(new Set(Object.keys(one))).toEqual(new Set([...Object.keys(a), ...Object.keys(b)]))
      for (const [id, { at }] of Object.entries(one))
        expect(at).toBe([a[id]?.at ?? '', b[id]?.at ?? ''].sort().at(-1))
    }),
  )
})

test('a hit, or a no, says what it puts at risk; an answer that is good or not given says nothing', () => {
  const at = '2026-01-01T10:00:00Z'
  const say = (value: string) => ({ value, at, by: null })
  expect(
    risksOf({
      'hit-rear': say('yes'),
      'gear-2': say('no'),
      'gear-3': say('yes'),
      'hit-left': say('no'),
    }).map((one) => one.question),
  ).toEqual(['gear-2', 'hit-rear'])
  expect(risksOf({})).toEqual([])
})

test('each question has its own id, and each caution stands once', () => {
  const ids = SHEET_STEPS.flatMap((step) => step.questions.map((question) => question.id))
  expect(new Set(ids).size).toBe(ids.length)
  for (const id of ids) expect(questionOf(id)?.id).toBe(id)
  const cautions = SHEET_STEPS.flatMap((step) => step.cautions)
  expect(new Set(cautions).size).toBe(cautions.length)
  for (const word of ['Fuel', 'jack', 'Airbags', 'Refrigerant'])
    expect(
      cautions.some((caution) => caution.includes(word)),
      word,
    ).toBe(true)
})
