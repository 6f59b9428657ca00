import { expect, test } from 'vitest'
import { joinAnswers } from './sheet.ts'

const NOW = '2026-05-01T12:00:00.000Z'
const said = (value: string, at: string) => ({ value, at, by: 'Ida' })

test('an answer from the future counts as given now: a later one of somebody else still stands', () => {
  const ahead = joinAnswers({}, { bore: said('dry', '2031-01-01T00:00:00Z') }, NOW)
  expect(ahead.answers.bore!.at).toBe(NOW)
  const after = joinAnswers(
    ahead.answers,
    { bore: said('wet', '2026-05-01T12:00:01Z') },
    '2026-05-01T12:00:02.000Z',
  )
  expect([after.answers.bore!.value, after.passedOver]).toEqual(['wet', []])
})

test('an answer that does not stand is named; one that says the same is not', () => {
  const held = {
    bore: said('dry', '2026-05-01T11:00:00Z'),
    gear: said('yes', '2026-05-01T11:00:00Z'),
  }
  const { answers, passedOver } = joinAnswers(
    held,
    { bore: said('wet', '2026-05-01T10:00:00Z'), gear: said('yes', '2026-05-01T10:00:00Z') },
    NOW,
  )
  expect([answers, passedOver]).toEqual([held, ['bore']])
})

test('a key of every object there is stays a key', () => {
  const { answers } = joinAnswers(
    {},
    JSON.parse(
      `{"__proto__":${JSON.stringify(said('x', NOW))},"constructor":${JSON.stringify(said('y', NOW))}}`,
    ),
    NOW,
  )
  expect([
    Object.keys(answers).sort(),
    Object.getPrototypeOf(answers) === Object.prototype,
  ]).toEqual([['__proto__', 'constructor'], true])
})
