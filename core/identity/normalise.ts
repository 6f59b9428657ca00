import { isGtin } from './check-digit.ts'
import type { WrittenNumber } from './claims.ts'
import type { NumberIndex } from './number-index.ts'
import { type FoundSuffix, readNumber } from './number-rule.ts'
import { readVin } from './vin.ts'

/** A number as its issuer's rule reads it, with what is noted of it. */
export interface NormalisedNumber {
  readonly key: string
  readonly core: string
  readonly suffixes: readonly FoundSuffix[]
  readonly fitsShape: boolean
  /** A check digit is noted, never refused or mended. */
  readonly check: 'ok' | 'fails' | 'none'
  readonly notes: readonly string[]
  readonly didYouMean: readonly WrittenNumber[]
  /** Of a chassis number, where it says one. */
  readonly modelYears?: readonly number[]
}

/** One number read by the rule of its issuer among those of an index; `gtin` and `vin` are known to everybody. */
export function normalise(index: NumberIndex, { issuer, number }: WrittenNumber): NormalisedNumber {
  const rule = index.rule(issuer)
  const { key, core, suffixes, fitsShape, plain } = readNumber(number, rule)
  const didYouMean =
    index.find(issuer, key) === null
      ? index.lookAlikes(issuer, key).map((node) => ({ issuer, number: node.spelled }))
      : []
  const read = { key, core, suffixes, didYouMean }
  if (issuer === 'vin') {
    const vin = readVin(key)
    return {
      ...read,
      fitsShape: vin.isVin,
      check: vin.check,
      notes: vin.notes,
      ...(vin.modelYears.length > 0 ? { modelYears: vin.modelYears } : {}),
    }
  }
  const isRight = rule.check === 'gtin' ? isGtin(suffixes.length > 0 ? core : plain) : null
  return {
    ...read,
    fitsShape,
    check: isRight === null ? 'none' : isRight ? 'ok' : 'fails',
    notes: [
      ...(fitsShape ? [] : ["not this issuer's shape"]),
      ...(isRight === false ? ['its check digit is not right'] : []),
    ],
  }
}
