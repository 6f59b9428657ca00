import { newId } from '../../database/new-id.ts'
import type { Row, RowOf, Store } from '../../database/store.ts'
import { partOf, shapeOf, type TableName } from '../../database/tables.ts'
import { rebuildPortValues } from '../catalogue/one-part.ts'

/** Not copied: what was bought or solved is bought and solved again, and what was noted at mating, or came, is of that train. */
const LEFT: ReadonlySet<TableName> = new Set(['plan', 'matingCard', 'photo', 'arrival'])

/**
 * Copies a build with all that was decided and typed for it, its own measurements among it; plans and photos stay behind.
 * @param name of the copy
 * @param isBranch a branch: the same vehicle and brief, its pairing to be chosen anew
 * @throws MissingError where there is no such build
 */
export async function copyBuild(
  store: Store,
  buildId: string,
  name: string,
  isBranch: boolean,
): Promise<RowOf<'build'>> {
  return store.transaction(async (tx) => {
    const build = await tx.get('build', buildId)
    const ids = new Map<string, string>([[build.id, newId()]])
    const rows: [TableName, Row][] = []
    const gather = async (table: TableName, owner: Row): Promise<void> => {
      for (const [owned, column] of shapeOf(table).owns ?? []) {
        if (LEFT.has(owned)) continue
        for (const row of await tx.list(owned, { [column]: owner.id })) {
          ids.set(row.id, newId())
          rows.push([owned, row])
          await gather(owned, row)
        }
      }
    }
    await gather('build', build)
    for (const [table, row] of [...rows])
      if (table === 'specimen')
        for (const claim of await tx.readIn('claim', 'specimenId', [row.id])) {
          ids.set(claim.id, newId())
          rows.push(['claim', claim])
        }
    const copied = (table: TableName, { version: _, ...row }: Row): Record<string, unknown> => {
      const columns = ['id', ...Object.keys(shapeOf(table).refs ?? {})]
      return Object.fromEntries(
        Object.entries(row).map(([column, value]) => [
          column,
          columns.includes(column) ? (ids.get(String(value)) ?? value) : value,
        ]),
      )
    }
    const made = await tx.insert('build', { ...copied('build', build), name })
    for (const [table, row] of rows)
      await tx.insert(table, {
        ...copied(table, row),
        ...(isBranch && table === 'pairing' ? { chosen: false, reasons: null } : {}),
      })
    const parts = rows.flatMap(([table, row]) =>
      table === 'claim' ? (partOf(table, row) ?? []) : [],
    )
    for (const part of new Set(parts)) await rebuildPortValues(tx, part)
    return made
  })
}
