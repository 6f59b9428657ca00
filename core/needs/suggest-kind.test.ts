import { expect, test } from 'vitest'
import { CATALOGUE_KINDS } from './catalogue-kinds.ts'
import { suggestKind } from './suggest-kind.ts'

test('words tell a kind where they hold all of its words; the more words the surer; two as likely tell none', () => {
  expect(suggestKind('THERMOSTAT 82°, brass')).toBe('thermostat')
  expect(suggestKind('Oil filters, spin-on')).toBe('oil-filter')
  expect(suggestKind('Engine oil 10W-40')).toBe('engine-oil')
  expect(suggestKind('Something shiny')).toBeNull()
  expect(suggestKind('')).toBeNull()
})

test('most kinds are told by their own words', () => {
  const kinds = Object.entries(CATALOGUE_KINDS)
  const told = kinds.filter(([kind, words]) => suggestKind(words) === kind)
  const wrong = kinds.filter(([kind, words]) => ![kind, null].includes(suggestKind(words)))
  expect(told.length / kinds.length).toBeGreaterThan(0.9)
  expect(wrong).toEqual([])
})
