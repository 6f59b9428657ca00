import { expect, test } from 'vitest'
import {
  DIRECTIONS,
  damageFault,
  faultOf,
  inputsOf,
  measuredLimits,
} from './directions.property.ts'
import { FACE_LIMITS, isCaught, mutants } from './mutants.property.ts'

test.each(DIRECTIONS.map((row) => [`${row[0]} ${row[1]} on ${row[2]}`, row] as const))(
  '%s: each input moves it the way it should, the window is as the notes have it, ± is whole',
  (_, row) => {
    expect(faultOf(row)).toBeNull()
  },
)

test('every limit with a window and every number it reads is covered', () => {
  // Where holes are searched the offset follows from all of them: the tests of joint 1 and of the search have it.
  const covered = new Set(
    DIRECTIONS.flatMap(([joint, limit, , inputs]) =>
      inputs.split(', ').map((input) => `${joint} ${limit} ${input.split(' ')[1]}`),
    ),
  )
  const declared = measuredLimits()
    .filter(([, limit]) => !FACE_LIMITS.has(limit))
    .flatMap(([joint, limit]) =>
      inputsOf(joint, limit).map((input) => `${joint} ${limit} ${input}`),
    )
  expect(declared.filter((one) => !covered.has(one))).toEqual([])
  expect([...covered].filter((one) => !declared.includes(one))).toEqual([])
})

test('what breaks something is judged at worst case, and nothing else', () => {
  expect(damageFault()).toBeNull()
})

// `npm run mutants` alters every limit; here a few of each kind, so that what would catch them is known to work.
test('a sign turned, an input dropped, an end moved and a sense forgotten are each caught', () => {
  const all = mutants()
  const kinds = [
    'term 2 turned',
    'term 1 dropped',
    'low end moved',
    'dropped',
    'forgotten',
    'turned',
  ]
  for (const kind of kinds) {
    const some = all.filter(({ words }) => words.includes(kind)).filter((_, i) => i % 7 === 0)
    expect(some.length).toBeGreaterThan(0)
    for (const mutant of some.slice(0, 4))
      expect([mutant.joint, mutant.limit, mutant.words, isCaught(mutant)]).toEqual([
        mutant.joint,
        mutant.limit,
        mutant.words,
        true,
      ])
  }
})
