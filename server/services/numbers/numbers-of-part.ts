import { groupBy } from '../../../core/group.ts'
import type { RowOf, Store } from '../../database/store.ts'

/** A number as it is compared: whose it is and what it comes to. */
export interface NumberKey {
  readonly issuerId: string
  readonly normalised: string
}
export const keyOf = ({ issuerId, normalised }: NumberKey): string => `${issuerId} ${normalised}`

/** Rows of a table that name one of these numbers. */
export async function rowsNaming<
  T extends 'partNumber' | 'supersessionNumber' | 'interchangeNumber' | 'application',
>(store: Store, table: T, keys: readonly NumberKey[]): Promise<RowOf<T>[]> {
  const found: RowOf<T>[] = []
  for (const [issuerId, own] of groupBy(keys, (one) => one.issuerId))
    found.push(
      ...(await store.readIn(table, 'normalised', [...new Set(own.map((one) => one.normalised))], {
        issuerId,
      })),
    )
  return found
}

/** What is said of numbers: supersessions and interchange with all their numbers, and what they are listed for. */
export async function saidOfNumbers(store: Store, keys: readonly NumberKey[]) {
  const [inSupersessions, inGroups, applications] = await Promise.all([
    rowsNaming(store, 'supersessionNumber', keys),
    rowsNaming(store, 'interchangeNumber', keys),
    rowsNaming(store, 'application', keys),
  ])
  const supersessionIds = [...new Set(inSupersessions.map((row) => row.supersessionId))]
  const groupIds = [...new Set(inGroups.map((row) => row.interchangeId))]
  const [supersessions, supersessionNumbers, interchanges, members] = await Promise.all([
    store.listIn('supersession', 'id', supersessionIds),
    store.listIn('supersessionNumber', 'supersessionId', supersessionIds),
    store.listIn('interchange', 'id', groupIds),
    store.listIn('interchangeNumber', 'interchangeId', groupIds),
  ])
  return { supersessions, supersessionNumbers, interchanges, members, applications }
}

/** Numbers of a part with who else bears them, and all that is said of them. */
export async function numbersOfPart(store: Store, partId: string) {
  const numbers = await store.list('partNumber', { partId })
  const said = await saidOfNumbers(store, numbers)
  const shared = (await rowsNaming(store, 'partNumber', numbers)).filter(
    (row) => row.partId !== partId && row.struckDay === null,
  )
  const [issuers, bearers] = await Promise.all([
    store.list('issuer'),
    store.listIn(
      'part',
      'id',
      shared.map((row) => row.partId),
    ),
  ])
  const issuerName = new Map(issuers.map((row) => [row.id, row.name]))
  const named = (one: NumberKey & { readonly number: string }) => ({
    issuer: issuerName.get(one.issuerId) ?? one.issuerId,
    number: one.number,
    key: keyOf(one),
  })
  const partName = new Map(bearers.map((row) => [row.id, row.name]))
  const ofSupersession = groupBy(said.supersessionNumbers, (row) => row.supersessionId)
  const ofGroup = groupBy(said.members, (row) => row.interchangeId)
  return {
    numbers: numbers.map((row) => ({
      ...row,
      issuer: issuerName.get(row.issuerId) ?? null,
      key: keyOf(row),
      alsoOn: shared.flatMap((other) =>
        keyOf(other) === keyOf(row)
          ? { id: other.partId, name: partName.get(other.partId) ?? other.partId, mark: other.mark }
          : [],
      ),
    })),
    supersessions: said.supersessions.map((row) => {
      const side = (which: 'old' | 'new') =>
        (ofSupersession.get(row.id) ?? []).flatMap((one) =>
          one.side === which ? { ...named(one), quantity: one.quantity } : [],
        )
      return { ...row, old: side('old'), new: side('new') }
    }),
    interchanges: said.interchanges.map((row) => ({
      ...row,
      members: (ofGroup.get(row.id) ?? []).map((one) => ({
        ...named(one),
        way: one.way,
        scope: one.scope,
      })),
    })),
    applications: said.applications.map((row) => ({
      ...row,
      issuer: issuerName.get(row.issuerId) ?? row.issuerId,
    })),
  }
}
