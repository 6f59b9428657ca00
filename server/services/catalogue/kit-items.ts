import type { z } from 'zod'
import type { kitInput } from '../../../contract/rows.ts'
import type { Store } from '../../database/store.ts'
import { keyFor } from '../numbers/issuers.ts'
import { addNumber, issuerNamed } from '../numbers/number-claims.ts'
import { createPart } from './parts.ts'

type Typed = z.output<typeof kitInput>['items'][number]
/** A piece of a kit as it is stored. */
export interface KitPiece {
  readonly partId: string
  readonly quantity: number
  readonly hadAgain: string | null
  readonly [column: string]: unknown
}

/**
 * Pieces of a kit by their parts: one named by kind and number is the part that bears that number, or a new one of that kind.
 * @throws UnprocessableError where nothing is left of a number
 */
export async function namedPieces(tx: Store, items: readonly Typed[]): Promise<KitPiece[]> {
  const pieces: KitPiece[] = []
  for (const item of items)
    pieces.push({
      partId: item.partId ?? (await partNumbered(tx, item)),
      quantity: item.quantity,
      hadAgain: item.hadAgain ?? null,
    })
  return pieces
}

async function partNumbered(tx: Store, { kind, issuer, number, words }: Typed): Promise<string> {
  const by = await issuerNamed(tx, issuer!)
  const [held] = (
    await tx.list('partNumber', { issuerId: by.id, normalised: keyFor(by, number!) })
  ).filter(({ mark, struckDay }) => mark === 'catalogue' && struckDay === null)
  if (held) return held.partId
  const part = await createPart(tx, { kind: kind!, name: words ?? `${issuer} ${number}` })
  await addNumber(tx, part.id, {
    issuer: issuer!,
    number: number!,
    mark: 'catalogue',
    grade: 'catalogue',
  })
  return part.id
}
