import type { z } from 'zod'
import type { decisionInput } from '../../../contract/rows.ts'
import { takenBy } from '../../../core/sourcing/ids.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { ConflictError, MissingError, UnprocessableError } from '../../errors.ts'
import { issuerNamed } from '../numbers/number-claims.ts'
import { planBuild } from './planning.ts'

/** How a line stands where it is decided of. */
export interface LineStanding {
  /** What it rests on. */
  readonly rests: string
  /** The source the plan takes, where its number asks for somebody's name first. */
  readonly toTick: { readonly candidate: string; readonly words: string } | null
}

/** How a line of a build's list stands, dropped or folded or not; null where there is none of that id. */
export async function lineStanding(
  store: Store,
  buildId: string,
  needId: string,
): Promise<LineStanding | null> {
  const { needs, dropped, folded, plan, gathered } = await planBuild(store, buildId)
  const need = [...needs, ...dropped, ...folded].find(({ id }) => id === needId)
  if (!need) return null
  const line = plan?.detail.lines.find((one) => one.need === needId)
  const source = line && gathered.sources.get(takenBy(line))
  return {
    rests: need.rests,
    toTick: source?.tick
      ? { candidate: source.id, words: `${source.words}: by its number ${source.number.says}` }
      : null,
  }
}

type Input = Pick<z.output<typeof decisionInput>, 'needId' | 'act'> &
  Partial<z.output<typeof decisionInput>>

/** Drops a need, puts a price and a source on it, keeps the recipient's, or estimates it; one decision of each kind a need. @param standing how the line stands, where another thread knows */
export async function decide(
  store: Store,
  buildId: string,
  input: Input,
  standing = (): Promise<LineStanding | null> => lineStanding(store, buildId, input.needId),
): Promise<RowOf<'decision'>> {
  // Planned before, not inside: a transaction only checks and writes.
  const stands = await standing()
  if (stands === null)
    throw new MissingError(`There is no line "${input.needId}" in this build's parts list.`)
  return store.transaction(async (tx) => {
    await tx.get('build', buildId)
    await expectWhole(tx, buildId, input, stands)
    const held = (await tx.list('decision', { buildId, needId: input.needId, act: input.act }))[0]
    const values = {
      priceMinor: input.priceMinor ?? null,
      source: input.source ?? null,
      note: input.note ?? null,
      rests: stands.rests,
      issuerId:
        input.act === 'number' && input.issuer ? (await issuerNamed(tx, input.issuer)).id : null,
      number: input.act === 'number' ? (input.number ?? null) : null,
      candidate: input.act === 'tick' ? (input.candidate ?? null) : null,
    }
    return held
      ? tx.update('decision', held.id, held.version, values)
      : tx.insert('decision', { buildId, needId: input.needId, act: input.act, ...values })
  })
}

/** @throws ConflictError · UnprocessableError where a decision says too little, or comes too early */
async function expectWhole(
  tx: Store,
  buildId: string,
  { act, needId, priceMinor, issuer, number, candidate, source }: Input,
  { toTick }: LineStanding,
): Promise<void> {
  if ((act === 'price' || act === 'estimate') && priceMinor == null)
    throw new ConflictError('Type the price.')
  if (act === 'number' && !(issuer && number))
    throw new UnprocessableError('Say whose number it is, and which.', [
      { path: issuer ? 'number' : 'issuer', message: 'Type it.' },
    ])
  if (act === 'tick' && !(candidate && source?.trim()))
    throw new UnprocessableError('Say by name who says that it serves.', [
      { path: 'source', message: 'Type your name.' },
    ])
  if (act !== 'order' || !toTick) return
  const ticked = (await tx.list('decision', { buildId, needId, act: 'tick' }))[0]
  if (ticked?.candidate !== toTick.candidate)
    throw new ConflictError(
      `${toTick.words}. It is not ordered before somebody confirms by name that it serves: tick it first.`,
    )
}
