import { expect, test } from 'vitest'
import { briefLimits } from './limits.ts'

const said = (answers: Record<string, string>) =>
  Object.fromEntries(Object.entries(answers).map(([id, value]) => [id, { value, at: '', by: '' }]))

test('limits are read as they were typed; what is not a figure limits nothing', () => {
  expect(
    briefLimits(
      said({ 'most-money': '4 500', 'most-hours': '120 h', 'bolt-in': 'yes', uncut: 'no' }),
      'EUR',
    ),
  ).toEqual({ money: 450_000, hours: 120, boltIn: true, uncut: false })
  expect(briefLimits(said({ 'most-money': 'plenty', 'most-hours': ' ' }), 'EUR')).toEqual({
    money: null,
    hours: null,
    boltIn: false,
    uncut: false,
  })
})
