import { z } from 'zod'
import { list, range, words } from './basics.ts'
import { question } from './builds.ts'
import { ownLine } from './rows.ts'

const knownFact = z.strictObject({
  key: z.string(),
  words: z.string(),
  found: z.string().nullable(),
  values: words,
  value: z.string().nullable(),
  isAssumed: z.boolean(),
  /** Who or what says so. */
  from: z.string().nullable(),
  /** Typed by a person; else it is measured. */
  isAsked: z.boolean(),
  when: z.enum(['start', 'stopper']).nullable(),
})
/** What is known of a build, by whom it belongs to, and what to ask next. */
export const known = z
  .strictObject({
    pairing: z.string().nullable(),
    currency: z.string(),
    questions: list(question),
    owners: list(z.strictObject({ owner: z.string(), facts: list(knownFact) })),
  })
  .meta({ id: 'Known' })
export type KnownView = z.output<typeof known>
export type KnownFactView = z.output<typeof knownFact>
export type Question = z.output<typeof question>

export const answered = z
  .strictObject({ key: z.string(), value: z.string() })
  .meta({ id: 'Answered' })

const moved = z.strictObject({
  id: z.string(),
  words: z.string(),
  place: z.string(),
  sort: z.string(),
  why: z.string(),
})
const sums = z.strictObject({ likely: range, middleMinor: z.number(), hours: range })
/** What other answers would change. */
export const difference = z
  .strictObject({
    currency: z.string(),
    comes: list(moved),
    goes: list(moved),
    before: sums,
    after: sums,
  })
  .meta({ id: 'Difference' })
export type Difference = z.output<typeof difference>

export const ownLines = z.strictObject({ lines: list(ownLine) }).meta({ id: 'OwnLines' })
/** What a recipe would have added to each build. */
export const tried = z
  .strictObject({
    builds: list(z.strictObject({ id: z.string(), name: z.string(), adds: words })),
  })
  .meta({ id: 'Tried' })
