import type { z } from 'zod'
import type { buildPatch } from '../../../contract/rows.ts'
import { convert, minorDigits, parseMoney } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { toRate } from '../shop/rate.ts'

/** Amounts of a build in its own currency. */
const AMOUNTS = ['labourRateMinor', 'likeForLikeMinor', 'leftoversMinor'] as const
/** Answers of its sheets that are amounts. */
const ASKED = ['most-money', 'value-now', 'value-repaired', 'value-after'] as const

/**
 * Changes the brief. Another currency converts every amount of the build at the newest rate, decisions and typed limits too;
 * an amount sent with it that is not what stood there is taken as typed in the new one. Plans were made in the old currency
 * and go.
 *
 * @throws UnprocessableError without a rate between the two
 */
export async function changeBuild(
  store: Store,
  id: string,
  { version, ...patch }: z.infer<typeof buildPatch>,
): Promise<RowOf<'build'>> {
  return store.transaction(async (tx) => {
    const before = await tx.get('build', id)
    if (patch.currency === undefined || patch.currency === before.currency)
      return tx.update('build', id, version, patch)
    const [from, to] = [before.currency, patch.currency]
    const rate = rateBetween((await tx.list('rate')).map(toRate), from, to)
    if (rate === null) {
      const message = `The amounts of this build are in ${from} and no rate to ${to} is known. Add one in Settings, then change the currency.`
      throw new UnprocessableError(message, [{ path: 'currency', message }])
    }
    const inNew = (minor: number): number => convert(minor, from, to, rate)
    const amounts = Object.fromEntries(
      AMOUNTS.flatMap((name) => {
        const [stood, sent] = [before[name] ?? null, patch[name]]
        return stood === null || (sent !== undefined && sent !== stood)
          ? []
          : [[name, inNew(stood)]]
      }),
    )
    for (const decision of await tx.list('decision', { buildId: id }))
      if (decision.priceMinor !== null && decision.priceMinor !== undefined)
        await tx.update('decision', decision.id, decision.version, {
          priceMinor: inNew(decision.priceMinor),
        })
    for (const sheet of await tx.list('buildSheet', { buildId: id })) {
      const answers = { ...sheet.answers }
      for (const name of ASKED) {
        const answer = answers[name]
        if (answer) answers[name] = { ...answer, value: typedIn(answer.value, from, to, inNew) }
      }
      await tx.update('buildSheet', sheet.id, sheet.version, { answers })
    }
    for (const plan of await tx.list('plan', { buildId: id })) {
      for (const line of await tx.list('planLine', { planId: plan.id }))
        await tx.unmake('planLine', line)
      await tx.unmake('plan', plan)
    }
    return tx.update('build', id, version, { ...patch, ...amounts })
  })
}

/** An amount as it would be typed in the other currency; what cannot be read stays as it is, and is said where it is used. */
function typedIn(
  typed: string,
  from: string,
  to: string,
  inNew: (minor: number) => number,
): string {
  try {
    const digits = minorDigits(to)
    return (inNew(parseMoney(typed, from)) / 10 ** digits).toFixed(digits)
  } catch {
    return typed
  }
}
