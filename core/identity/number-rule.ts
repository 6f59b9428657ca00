import { fitsPattern, literalsOf, patternLengths } from './pattern.ts'

/** Kinds of suffix; by default those of grade and side decide what a number is, the others only how it looks or comes. */
export const SUFFIX_KINDS = [
  'grade',
  'side',
  'colour',
  'finish',
  'revision',
  'region',
  'pack',
  'condition',
] as const
export type SuffixKind = (typeof SUFFIX_KINDS)[number]
const DECIDING: ReadonlySet<string> = new Set(['grade', 'side'])

/** What may stand behind the core of a number. */
export interface SuffixRule {
  readonly kind: SuffixKind
  readonly shapes: readonly string[]
  readonly decides?: boolean | undefined
}

/** How an issuer writes its numbers. In a shape `#` is a digit, `@` a letter A–Z, `*` either, the rest itself. */
export interface NumberRule {
  /** a to z are read as A to Z. */
  readonly upper: boolean
  /** Characters that mean nothing. */
  readonly noise: string
  readonly prefixes: readonly string[]
  readonly zeros: 'keep' | 'drop' | { readonly pad: number }
  readonly shapes: readonly string[]
  readonly suffixes: readonly SuffixRule[]
  readonly check: 'none' | 'gtin'
}

export const DEFAULT_RULE: NumberRule = {
  upper: true,
  noise: ' .-',
  prefixes: [],
  zeros: 'keep',
  shapes: [],
  suffixes: [],
  check: 'none',
}

/** A suffix as it was found. */
export interface FoundSuffix {
  readonly kind: SuffixKind
  readonly text: string
  readonly decides: boolean
}

/** A number taken apart. */
export interface ReadNumber {
  /** What two numbers of an issuer are compared by. */
  readonly key: string
  readonly core: string
  readonly suffixes: readonly FoundSuffix[]
  /** Whether it has a shape of its issuer; true where the issuer has none. */
  readonly fitsShape: boolean
  /** As it is before zeros are dropped or filled: what a check digit is of. */
  readonly plain: string
}

/** A rule that cannot be followed is refused. @throws RangeError saying what and why */
export function checkRule(rule: NumberRule): void {
  if (rule.suffixes.length > 0 && rule.shapes.length === 0)
    throw new RangeError(
      'Suffixes need a shape before them: say how the number itself is written, or leave the suffixes out.',
    )
  const spelled: readonly (readonly [what: string, text: string])[] = [
    ...rule.prefixes.map((text) => ['prefix', text] as const),
    ...rule.shapes.map((text) => ['shape', literalsOf(text)] as const),
    ...rule.suffixes.flatMap(({ shapes }) =>
      shapes.map((text) => ['suffix', literalsOf(text)] as const),
    ),
  ]
  for (const [what, text] of spelled)
    for (const char of text)
      if (rule.noise.includes(char))
        throw new RangeError(
          `"${char}" is noise and is dropped, so that no number can hold it in a ${what}: take it out of one of the two.`,
        )
  const empty = [...rule.prefixes, ...rule.shapes, ...rule.suffixes.flatMap(({ shapes }) => shapes)]
  if (empty.includes(''))
    throw new RangeError('A prefix, shape or suffix holds nothing: take it out.')
  if (typeof rule.zeros === 'object' && !(Number.isInteger(rule.zeros.pad) && rule.zeros.pad > 0))
    throw new RangeError('Zeros are filled up to a whole number of digits, 1 at least.')
}

/**
 * A number as its issuer's rule reads it: characters made alike, prefix, zeros, then the longest core of a shape whose rest is
 * suffixes in the order of the rule, each once at most, the earlier ones as long as they can be. Without a parse all of it is
 * core. O and 0, I and 1 are never merged. Common practice, no published source; characters by Unicode NFKC.
 */
export function readNumber(number: string, rule: NumberRule = DEFAULT_RULE): ReadNumber {
  if (isPlainRule(rule) && PLAIN.test(number))
    return { key: number, core: number, suffixes: NONE, fitsShape: true, plain: number }
  const spelled = spell(number, rule)
  const plain = withoutPrefix(spelled, rule)
  const whole = zeroed(plain, rule)
  const parsed = parse(whole, rule)
  const { core, suffixes } = parsed ?? { core: whole, suffixes: [] }
  const key =
    suffixes.length === 0
      ? core
      : core + suffixes.map(({ text, decides }) => (decides ? `+${text}` : '')).join('')
  return { key, core, suffixes, fitsShape: parsed !== null || rule.shapes.length === 0, plain }
}

const NONE: readonly never[] = []
/** As most numbers are stored: nothing of them would change. */
const PLAIN = /^[A-Z0-9]+$/
const plainRules = new WeakMap<NumberRule, boolean>()
/** Whether a rule leaves capitals and digits as they are: what is a key is then read as itself. */
export function isPlainRule(rule: NumberRule): boolean {
  let held = plainRules.get(rule)
  if (held === undefined) {
    held =
      rule.prefixes.length + rule.shapes.length === 0 &&
      rule.zeros === 'keep' &&
      !/[A-Z0-9]/.test(rule.noise)
    plainRules.set(rule, held)
  }
  return held
}

const DASHES = /[\u2010-\u2015\u2212]/g

function spell(number: string, { upper, noise }: NumberRule): string {
  const plain = number.normalize('NFKC').replace(DASHES, '-').replace(/\s/g, ' ').trim()
  const cased = upper ? plain.replace(/[a-z]/g, (letter) => letter.toUpperCase()) : plain
  let left = ''
  for (const char of cased) if (!noise.includes(char)) left += char
  return left
}

function withoutPrefix(spelled: string, rule: NumberRule): string {
  const prefix = rule.prefixes
    .filter((one) => spelled.startsWith(one))
    .reduce((longest, one) => (one.length > longest.length ? one : longest), '')
  const rest = spelled.slice(prefix.length)
  if (prefix === '' || rest === '') return spelled
  if (rule.shapes.length === 0) return rest
  const reads = (text: string): boolean => parse(zeroed(text, rule), rule) !== null
  return reads(rest) && !reads(spelled) ? rest : spelled
}

function zeroed(text: string, { zeros }: NumberRule): string {
  if (zeros === 'keep') return text
  if (zeros === 'drop') return text.replace(/^0+(?=.)/s, '')
  return /^\d+$/.test(text) ? text.padStart(zeros.pad, '0') : text
}

function parse(
  text: string,
  rule: NumberRule,
): { readonly core: string; readonly suffixes: readonly FoundSuffix[] } | null {
  if (rule.shapes.length === 0) return null
  for (const length of patternLengths(rule.shapes)) {
    const core = text.slice(0, length)
    if (core.length < length || !rule.shapes.some((shape) => fitsPattern(core, shape))) continue
    const suffixes = suffixesOf(text.slice(length), rule.suffixes, 0)
    if (suffixes) return { core, suffixes }
  }
  return null
}

/** The rest as suffixes from a place of the rule on; null where it is none. */
function suffixesOf(
  rest: string,
  rules: readonly SuffixRule[],
  from: number,
): readonly FoundSuffix[] | null {
  if (rest === '') return []
  const rule = rules[from]
  if (!rule) return null
  for (const length of patternLengths(rule.shapes)) {
    const text = rest.slice(0, length)
    if (text.length < length || !rule.shapes.some((shape) => fitsPattern(text, shape))) continue
    const behind = suffixesOf(rest.slice(length), rules, from + 1)
    if (behind)
      return [
        { kind: rule.kind, text, decides: rule.decides ?? DECIDING.has(rule.kind) },
        ...behind,
      ]
  }
  return suffixesOf(rest, rules, from + 1)
}

/** What a row of an issuer says of how its numbers are written. */
export interface IssuerWrites {
  readonly upper: boolean
  readonly noise: string
  readonly rule?: Omit<NumberRule, 'upper' | 'noise'> | null | undefined
}

/** How an issuer writes its numbers, whole. */
export const ruleOf = ({ upper, noise, rule }: IssuerWrites): NumberRule => ({
  ...DEFAULT_RULE,
  ...rule,
  upper,
  noise,
})
