import type { z } from 'zod'
import type { checkNumberRequest, normaliseRequest } from '../../contract/numbers.ts'
import { checkNumber, type NumberVerdict } from '../../core/identity/check-number.ts'
import type { NumberClaim, WrittenNumber } from '../../core/identity/claims.ts'
import { type NormalisedNumber, normalise } from '../../core/identity/normalise.ts'
import { type NumberClaims, NumberIndex } from '../../core/identity/number-index.ts'
import { checkRule } from '../../core/identity/number-rule.ts'
import { onChange } from '../database/changes.ts'
import type { Store } from '../database/store.ts'
import { UnprocessableError } from '../errors.ts'
import { shopDay } from './day.ts'
import { ruleOf } from './issuers.ts'
import { supersessionClaim } from './number-claims.ts'

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

const shops = new WeakMap<object, { index: Promise<NumberIndex> | null; epoch: number }>()
const TABLES = ['issuer', 'partNumber', 'supersession']

/** Every number of the shop, put together once until one of them changes. */
export function shopNumbers(store: Store): Promise<NumberIndex> {
  if (store.inTransaction) return readShop(store)
  let held = shops.get(store.root)
  if (!held) {
    const fresh = { index: null as Promise<NumberIndex> | null, epoch: store.epoch }
    shops.set(store.root, (held = fresh))
    onChange(store.root, ({ packed: { tables } }) => {
      if (tables.some((table) => TABLES.includes(table))) fresh.index = null
    })
  }
  if (!held.index || held.epoch !== store.epoch) {
    const index = readShop(store)
    held.index = index
    held.epoch = store.epoch
    const kept = held
    index.catch(() => {
      if (kept.index === index) kept.index = null
    })
  }
  return held.index
}

async function readShop(store: Store): Promise<NumberIndex> {
  const [issuers, numbers, supersessions] = await Promise.all([
    store.read('issuer'),
    store.read('partNumber'),
    store.read('supersession'),
  ])
  const nameOf = new Map(issuers.map(({ id, name }) => [id, name]))
  const named = (id: string): string => nameOf.get(id) ?? id
  return new NumberIndex({
    issuers: issuers.map((row) => ({ id: row.name, rule: ruleOf(row) })),
    numbers: numbers.map(
      ({ id, partId, issuerId, number }): NumberClaim => ({
        id,
        part: partId,
        issuer: named(issuerId),
        number,
        grade: 'catalogue',
      }),
    ),
    supersessions: supersessions.map((row) => supersessionClaim(row, named(row.issuerId))),
  })
}
