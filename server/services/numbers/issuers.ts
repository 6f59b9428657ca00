import type { z } from 'zod'
import type { issuerInput, rulePreviewInput } from '../../../contract/rows.ts'
import {
  checkRule,
  type NumberRule,
  readNumber,
  ruleOf,
} from '../../../core/identity/number-rule.ts'
import { previewRule } from '../../../core/identity/rule-preview.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { ConflictError, UnprocessableError } from '../../errors.ts'

/** What a number of an issuer is compared by. */
export const keyFor = (issuer: RowOf<'issuer'>, number: string): string =>
  readNumber(number, ruleOf(issuer)).key

/** @throws UnprocessableError for a rule that cannot be followed, with why */
function expectRule(rule: NumberRule): void {
  try {
    checkRule(rule)
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    throw new UnprocessableError(error.message, [{ path: 'rule', message: error.message }])
  }
}

export async function createIssuer(
  store: Store,
  input: z.infer<typeof issuerInput>,
): Promise<RowOf<'issuer'>> {
  expectRule(ruleOf(input))
  return store.insert('issuer', input)
}

/** Changes how an issuer writes its numbers, and reads every number of its parts and offers anew; two parts in one number change nothing. */
export async function updateIssuer(
  store: Store,
  id: string,
  version: number,
  patch: Record<string, unknown>,
): Promise<RowOf<'issuer'>> {
  return store.transaction(async (tx) => {
    const before = await tx.get('issuer', id)
    const issuer = await tx.update('issuer', id, version, patch)
    expectRule(ruleOf(issuer))
    const known = await catalogued(tx, id)
    const { blocked } = previewRule(
      known.map(({ number, partId }) => ({ number, part: partId })),
      ruleOf(before),
      ruleOf(issuer),
    )
    const [first] = blocked
    if (first)
      throw new ConflictError(
        `${first.numbers.map(({ number }) => number).join(' and ')} would be one number, ${first.key}, of two parts. Mend one of them, or leave the rule.`,
      )
    for (const table of KEYED)
      for (const row of await tx.list(table, { issuerId: id })) {
        const normalised = row.number === null ? null : keyFor(issuer, row.number)
        if (normalised !== row.normalised)
          await tx.update(table, row.id, row.version, { normalised })
      }
    return issuer
  })
}

/** Tables whose rows are found by what their numbers come to. */
const KEYED = [
  'partNumber',
  'supersessionNumber',
  'interchangeNumber',
  'application',
  'offer',
] as const

/** Numbers of an issuer in catalogues: those stamped or cast may stand on many parts. */
const catalogued = async (store: Store, issuerId: string): Promise<RowOf<'partNumber'>[]> =>
  (await store.list('partNumber', { issuerId, mark: 'catalogue' })).filter(
    ({ struckDay }) => struckDay === null,
  )

/** So many of each are told. */
const TOLD = 12

/** What a rule would make of the numbers there are; nothing is written. */
export async function previewIssuer(
  store: Store,
  id: string,
  next: z.infer<typeof rulePreviewInput>,
) {
  const issuer = await store.get('issuer', id)
  const rule = ruleOf(next)
  expectRule(rule)
  const known = await catalogued(store, id)
  const found = previewRule(
    known.map(({ number, partId }) => ({ number, part: partId })),
    ruleOf(issuer),
    rule,
  )
  const fits = known.filter(({ number }) => readNumber(number, rule).fitsShape).length
  return {
    of: known.length,
    fits,
    changedCount: found.changed.length,
    metCount: found.met.length,
    partedCount: found.parted.length,
    blockedCount: found.blocked.length,
    changed: found.changed.slice(0, TOLD),
    met: found.met.slice(0, TOLD),
    parted: found.parted.slice(0, TOLD),
    blocked: found.blocked.slice(0, TOLD),
  }
}
