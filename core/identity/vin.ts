/** What a chassis number says of itself. */
export interface ReadVin {
  /** Seventeen characters without I, O and Q. */
  readonly isVin: boolean
  readonly check: 'ok' | 'fails' | 'none'
  /** Years its tenth character may stand for, the likelier first; empty where nobody promised that it says one. */
  readonly modelYears: readonly number[]
  readonly notes: readonly string[]
}

const LONG = 17
const VALUES: Readonly<Record<string, number>> = Object.fromEntries(
  (
    [
      ['ABCDEFGH', 1],
      ['JKLMN', 1],
      ['P', 7],
      ['R', 9],
      ['STUVWXYZ', 2],
    ] as const
  ).flatMap(([letters, from]) => [...letters].map((letter, i) => [letter, from + i])),
)
const WEIGHTS = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2]
const YEAR_LETTERS = 'ABCDEFGHJKLMNPRSTVWXY'
const YEARS_OF_LETTERS = 1980
const YEARS_OF_DIGITS = 2001
const AGAIN = 30

/**
 * A chassis number as ISO 3779 and 49 CFR 565 read it: seventeen characters without I, O and Q, fewer are a chassis number of
 * another kind. Where the first character is 1 to 5 its ninth is a check digit and its tenth the model year, which comes again
 * after 30 years: the later first where its seventh is a letter (light vehicles; from memory).
 *
 * @param vin upper case, without spaces
 */
export function readVin(vin: string): ReadVin {
  const none = { check: 'none', modelYears: [] } as const
  if (vin.length < LONG) return { isVin: false, ...none, notes: ['chassis number'] }
  if (vin.length > LONG)
    return { isVin: false, ...none, notes: [`${vin.length} characters: a VIN has ${LONG}`] }
  const wrong = [...new Set(vin.replace(/[A-HJ-NPR-Z0-9]/g, ''))]
  if (wrong.length > 0)
    return { isVin: false, ...none, notes: [`no VIN holds ${wrong.join(' or ')}`] }
  const isRight = checkDigit(vin) === vin[8]
  if (!/^[1-5]/.test(vin))
    return {
      isVin: true,
      ...none,
      notes: [
        `its ninth character ${isRight ? 'would be' : 'is not'} a check digit, which nobody asks for where it was made`,
      ],
    }
  return {
    isVin: true,
    check: isRight ? 'ok' : 'fails',
    modelYears: yearsOf(vin[9]!, /[A-Z]/.test(vin[6]!)),
    notes: isRight ? [] : [`its check digit should be ${checkDigit(vin)}`],
  }
}

function checkDigit(vin: string): string {
  const sum = [...vin].reduce(
    (total, char, i) => total + WEIGHTS[i]! * (VALUES[char] ?? Number(char)),
    0,
  )
  return sum % 11 === 10 ? 'X' : String(sum % 11)
}

function yearsOf(code: string, isLight: boolean): readonly number[] {
  const letter = YEAR_LETTERS.indexOf(code)
  const first =
    letter >= 0
      ? YEARS_OF_LETTERS + letter
      : /[1-9]/.test(code)
        ? YEARS_OF_DIGITS + Number(code) - 1
        : null
  if (first === null) return []
  return isLight ? [first + AGAIN, first] : [first, first + AGAIN]
}
