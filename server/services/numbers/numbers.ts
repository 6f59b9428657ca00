import type { z } from 'zod'
import type { checkNumberRequest, normaliseRequest } from '../../../contract/numbers.ts'
import { checkNumber, type NumberVerdict } from '../../../core/identity/check-number.ts'
import type { WrittenNumber } from '../../../core/identity/claims.ts'
import { type NormalisedNumber, normalise } from '../../../core/identity/normalise.ts'
import { type NumberClaims, NumberIndex } from '../../../core/identity/number-index.ts'
import { checkRule } from '../../../core/identity/number-rule.ts'
import type { Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { shopDay } from '../shop/day.ts'
import { shopNumbers } from './shop-numbers.ts'

/** Whether numbers had serve for what is wanted, by the claims sent or by the shop's. @throws UnprocessableError saying what cannot be read */
export async function checkNumbers(
  store: Store,
  { catalogue, on, ...question }: z.infer<typeof checkNumberRequest>,
): Promise<NumberVerdict> {
  const day = on ?? (await shopDay(store))
  return told(async () => {
    const index = catalogue ? indexOf(catalogue) : await shopNumbers(store)
    const asked = { ...question, on: day }
    for (const one of [...(asked.want ?? []), ...asked.have]) expectsSomething(index, one)
    return checkNumber(index, asked)
  })
}

/** Numbers as their issuers' rules read them. @throws UnprocessableError for a rule that cannot be followed */
export const normaliseNumbers = (
  store: Store,
  { numbers, issuers }: z.infer<typeof normaliseRequest>,
): Promise<{ numbers: readonly NormalisedNumber[] }> =>
  told(async () => {
    const index = issuers ? indexOf({ issuers }) : await shopNumbers(store)
    return { numbers: numbers.map((one) => normalise(index, one)) }
  })

function indexOf(claims: NumberClaims): NumberIndex {
  for (const { rule } of claims.issuers ?? []) if (rule) checkRule(rule)
  return new NumberIndex(claims)
}

/** What the words of this house cannot follow is told as it is. */
async function told<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    if (error instanceof RangeError) throw new UnprocessableError(error.message)
    throw error
  }
}

function expectsSomething(index: NumberIndex, one: WrittenNumber): void {
  if (index.read(one).key === '')
    throw new UnprocessableError(
      `"${one.number}" has nothing left once what means nothing is dropped. Write the part number.`,
    )
}
