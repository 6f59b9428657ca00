import fc from 'fast-check'
import { expect, test } from 'vitest'
import { isSamePick, MOST_PICKED, readPicks, togglePick, writePicks } from './picked.ts'

const id = fc.string({ minLength: 1, maxLength: 12 })
const pair = fc.record({
  engineId: id,
  transmissionId: id,
  transferId: fc.option(id),
})
const pairs = fc.uniqueArray(pair, {
  maxLength: MOST_PICKED,
  comparator: isSamePick,
})

test('what is picked stands in the address and is read back, whatever its ids are made of', () => {
  fc.assert(
    fc.property(pairs, (picks) => {
      expect(readPicks(writePicks(picks))).toEqual(picks)
    }),
  )
})

test('picked again it is taken out; a fifth is not taken', () => {
  fc.assert(
    fc.property(pairs, pair, (picks, one) => {
      const next = togglePick(picks, one)
      if (picks.some((other) => isSamePick(other, one))) expect(next).toHaveLength(picks.length - 1)
      else if (picks.length < MOST_PICKED) expect(togglePick(next, one)).toEqual(picks)
      else expect(next).toEqual(picks)
    }),
  )
})

test('an address somebody mangled picks nothing that is no pair', () => {
  expect(readPicks('a,:b,c:,%E0:x,wick:box')).toEqual([
    { engineId: 'wick', transmissionId: 'box', transferId: null },
  ])
})
