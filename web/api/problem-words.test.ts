import { readdirSync, readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import type { z } from 'zod'
import { SUBJECTS } from '../../contract/operations/index.ts'
import { validationProblem } from '../../contract/problem.ts'
import { problemWords } from './problem-words.ts'

const UUID = '0198c5f2-1111-7222-8333-444455556666'
/** A stored name, an id, or what a schema library says by itself. */
const OF_A_PROGRAM =
  /\b[a-z]+[A-Z]\w*|[0-9a-f]{8}-[0-9a-f]{4}|\bInvalid\b|\bundefined\b|\bNaN\b|\[object|Zod/

const WRONG: readonly unknown[] = [
  {},
  null,
  7,
  { version: 'x', name: '', priceMinor: -1, currency: 'euros', id: 7, unknownField: true },
]

test('no refusal of any operation reads as a program writes it, whatever was sent', () => {
  let seen = 0
  for (const [name, operation] of Object.values(SUBJECTS).flatMap(Object.entries) as [
    string,
    { body?: z.ZodType; query?: z.ZodType },
  ][])
    for (const schema of [operation.body, operation.query])
      for (const wrong of WRONG) {
        const read = schema?.safeParse(wrong)
        if (!read || read.success) continue
        const { detail, errors } = problemWords(validationProblem(read.error.issues, 'json'))
        for (const said of [detail, ...errors.map(({ message }) => message)]) {
          seen++
          expect(said, name).not.toMatch(OF_A_PROGRAM)
          expect(said, name).toMatch(/[.?)]$/)
        }
      }
  expect(seen).toBeGreaterThan(300)
})

/** Every sentence the server refuses with, as it stands in its source; what is filled in is an id, a stored name or a number. */
function sentences(): string[] {
  const files = readdirSync('server', { recursive: true, encoding: 'utf8' }).filter(
    (file) => file.endsWith('.ts') && !file.includes('.test.'),
  )
  const found = files.flatMap((file) =>
    [
      ...readFileSync(`server/${file}`, 'utf8').matchAll(
        /new (?:Missing|Conflict|Unprocessable|Problem|TooManyTries)Error\(\s*(?:\d+,\s*)?(`[^`]*`|'[^']*')/g,
      ),
    ].map(([, text]) => text!.slice(1, -1)),
  )
  return found.flatMap((text) =>
    [UUID, 'likeForLikeMinor', '3'].map((filled) =>
      text.replace(/\$\{(?:[^{}]|\{[^{}]*\})*\}/g, filled),
    ),
  )
}

test('no sentence of the server reaches a person with ids, stored names or versions', () => {
  const all = sentences()
  expect(all.length).toBeGreaterThan(60)
  for (const detail of all) {
    const said = problemWords({ detail, errors: [{ path: 'items.0.saleMinor', message: detail }] })
    expect(said.detail).not.toMatch(OF_A_PROGRAM)
    expect(said.errors[0]!.message).not.toMatch(OF_A_PROGRAM)
    expect(said.detail).not.toMatch(/version \d/)
  }
})

test('where a fault is, is said by its name on the page; its path stays for the form', () => {
  expect(
    problemWords({
      detail: 'items.0.saleMinor: It is missing. (and 1 more)',
      errors: [{ path: 'items.0.saleMinor', message: 'It is missing.' }],
    }),
  ).toEqual({
    detail: 'Items, line 1, sale: It is missing. (and 1 more)',
    errors: [{ path: 'items.0.saleMinor', message: 'It is missing.' }],
  })
  expect(
    problemWords({
      detail: `There is no build with id ${UUID}. It may have been moved to the trash.`,
    }).detail,
  ).toBe('There is no build. It may have been moved to the trash.')
})
