import { type NumberRule, readNumber } from './number-rule.ts'

/** How a number found has to do with what was typed, the closest first. */
export const NUMBER_MATCHES = [
  'equal',
  'begins',
  'look-alike',
  'zeros',
  'suffix',
  'holds',
  'one edit',
] as const
export type NumberMatch = (typeof NUMBER_MATCHES)[number]

/** Fewest characters of a key that are looked for in each way. */
export const LEAST: Readonly<Record<NumberMatch, number>> = {
  equal: 1,
  begins: 3,
  'look-alike': 1,
  zeros: 1,
  suffix: 1,
  holds: 4,
  'one edit': 5,
}

export interface KnownIssuer {
  readonly id: string
  readonly name: string
  readonly rule: NumberRule
}

/** What was typed, as numbers of issuers: by key, which issuers read it so. */
export type Readings = ReadonlyMap<string, ReadonlySet<string>>

/** Most words of a pasted line that are read as numbers. */
const MOST_WORDS = 24
/** Most words that one number is written in. */
const JOINED = 4
const DIGIT = /\d/

/** An issuer named before or after, and what is left; all issuers where none is. */
function issuersOf(
  typed: string,
  issuers: readonly KnownIssuer[],
): { text: string; of: readonly KnownIssuer[] } {
  const plain = typed.toLowerCase()
  for (const one of issuers) {
    const name = one.name.toLowerCase()
    if (plain.length <= name.length) continue
    const rest = plain.startsWith(name)
      ? typed.slice(name.length)
      : plain.endsWith(name)
        ? typed.slice(0, -name.length)
        : null
    // A name that runs on into letters is another word.
    if (
      rest !== null &&
      DIGIT.test(rest) &&
      !/^\p{L}|\p{L}$/u.test(plain.startsWith(name) ? rest.slice(0, 1) : rest.slice(-1))
    )
      return { text: rest.trim(), of: [one] }
  }
  return { text: typed, of: issuers }
}

function read(text: string, issuers: readonly KnownIssuer[], into: Map<string, Set<string>>): void {
  const keys = new Map<string, string>()
  for (const { id, rule } of issuers) {
    const words = ruleWords(rule)
    let key = keys.get(words)
    if (key === undefined) keys.set(words, (key = readNumber(text, rule).key))
    if (key === '') continue
    const held = into.get(key)
    if (held) held.add(id)
    else into.set(key, new Set([id]))
  }
}

const told = new WeakMap<NumberRule, string>()
/** One rule as one word: most issuers write alike, and are read once. */
function ruleWords(rule: NumberRule): string {
  let words = told.get(rule)
  if (words === undefined) told.set(rule, (words = JSON.stringify(rule)))
  return words
}

/** What was typed as one number; an issuer before or after it counts. */
export function readWhole(typed: string, issuers: readonly KnownIssuer[]): Readings {
  const into = new Map<string, Set<string>>()
  const { text, of } = issuersOf(typed.trim(), issuers)
  read(text, of, into)
  if (of.length === 1) read(typed.trim(), issuers, into)
  return into
}

/** Every number a pasted line may hold: words with a digit, alone and joined with their neighbours. */
export function readLine(typed: string, issuers: readonly KnownIssuer[]): Readings {
  const words = typed.trim().split(/\s+/).slice(0, MOST_WORDS)
  const into = new Map<string, Set<string>>()
  for (let from = 0; from < words.length; from++)
    for (let to = from + 1; to <= Math.min(words.length, from + JOINED); to++) {
      const text = words
        .slice(from, to)
        .join(' ')
        .replace(/^[("'#:;,]+|[)"'.:;,]+$/g, '')
      if (!DIGIT.test(text)) continue
      const { text: rest, of } = issuersOf(text, issuers)
      read(rest, of, into)
      if (of.length === 1) read(text, issuers, into)
    }
  return into
}
