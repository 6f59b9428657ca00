import { TARGETS } from '../../../core/identity/claims.ts'
import { AskedFor } from '../../../core/identity/where.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import type { Store } from '../../database/store.ts'
import { askedTarget } from './asked-target.ts'
import { shopNumbers } from './shop-numbers.ts'

/** So many are told. */
const MOST = 300

/**
 * Numbers of what came with an engine, a gearbox or a vehicle, and those that are said to fit its family, or not to:
 * computers and their years, generation by generation, among them. Each with where it is said to hold, and how that stands
 * for this very part.
 * @throws MissingError
 */
export async function listedFor(store: Store, partId: string) {
  const part = await store.get('part', partId)
  const kind = TARGETS.find((one) => one === part.kind)
  const target = askedTarget(part)
  if (!kind || !target) return { items: [], total: 0 }
  const index = await shopNumbers(store)
  const asked = new AskedFor({ [kind]: target }, index.generations)
  const came = await store.list('part', { ownerId: partId })
  const parts = new Map(came.map((row) => [row.id, row]))
  const rows = [
    ...came.flatMap(({ id }) =>
      index.rowsOf(id).map((row) => ({ ...row, fits: true, isOwn: true, bearers: [id] })),
    ),
    ...[...index.listedFor(kind, target.family), ...index.deniedFor(kind, target.family)].map(
      (row) => ({
        ...row,
        isOwn: false,
        bearers: [...new Set(index.nodes[row.mention.at]!.parts.map((one) => one.part))],
      }),
    ),
  ]
  const others = rows.flatMap(({ bearers }) => bearers.filter((id) => !parts.has(id)))
  for (const row of await store.listIn('part', 'id', [...new Set(others)])) parts.set(row.id, row)
  const items = rows.map(({ id, mention, fits, isOwn, strength, where, bearers }) => {
    const { truth, open, todo } = asked.where(where)
    return {
      id,
      issuer: mention.issuer,
      number: mention.number,
      fits,
      isOwn,
      grade: GRADES[strength]!,
      stands: truth,
      open,
      todo,
      scope: where ?? null,
      parts: bearers.flatMap((one) => {
        const row = parts.get(one)
        return row ? [{ id: row.id, name: row.name, kind: row.kind }] : []
      }),
    }
  })
  const place = ({ parts: [first], number }: (typeof items)[number]): string =>
    `${first ? kindWords(first.kind) : '\uffff'} ${number}`
  return {
    items: items.sort((p, q) => (place(p) < place(q) ? -1 : 1)).slice(0, MOST),
    total: items.length,
  }
}
