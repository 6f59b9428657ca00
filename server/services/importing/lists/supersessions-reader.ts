import type { RowOf } from '../../../database/store.ts'
import type { ListRow } from '../../../documents/list-rows.ts'
import type { Desk, ListReader, Numbered } from './list-reading.ts'

interface Side extends Numbered {
  readonly quantity: number
}
interface Set_ {
  readonly first: ListRow
  readonly old: Map<string, Side>
  readonly next: Map<string, Side>
  isBad: boolean
}

const keyOf = ({ issuerId, normalised }: Numbered): string => `${issuerId} ${normalised}`
const sideKey = (sides: Iterable<Side>): string =>
  [...sides]
    .map((one) => `${keyOf(one)} ${one.quantity}`)
    .sort()
    .join('|')

/** Supersessions: rows of one set are one split or one merge, rows without a set each their own. */
export class SupersessionsReader implements ListReader {
  readonly #sets = new Map<string, Set_>()

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    for (const row of rows) {
      const { line, cells } = row
      const key = cells.set === undefined ? `line ${line}` : `set ${cells.set}`
      const set = this.#sets.get(key) ?? {
        first: row,
        old: new Map(),
        next: new Map(),
        isBad: false,
      }
      this.#sets.set(key, set)
      const old = this.#side(row, desk, cells.issuer!, cells.old!, 'old')
      const next = this.#side(row, desk, cells.newIssuer ?? cells.issuer!, cells.new!, 'new')
      if (!old || !next) {
        set.isBad = true
        continue
      }
      set.old.set(keyOf(old), old)
      set.next.set(keyOf(next), next)
    }
  }

  async end(desk: Desk): Promise<void> {
    const sets = [...this.#sets.values()].flatMap((set) => {
      const { first, old, next } = set
      if (set.isBad) return []
      if (old.size > 1 && next.size > 1) {
        desk.fault(
          first.line,
          'set',
          'Several numbers by several is not one set: write one for each that is replaced, or for each that replaces.',
        )
        return []
      }
      const back = desk.oneOf(first, 'back', ['unsaid', 'yes', 'no'])
      const said = desk.said(first)
      const scope = desk.where(first)
      const since = this.#date(first, desk, 'since')
      const until = this.#date(first, desk, 'until')
      return back && said && scope !== false && since !== false && until !== false
        ? [{ set, values: { back, since, until, scope, ...said } }]
        : []
    })
    const known = await this.#known(
      desk,
      sets.flatMap(({ set }) => [...set.old.values()]),
    )
    for (const { set, values } of sets) {
      const key = JSON.stringify([sideKey(set.old.values()), sideKey(set.next.values())])
      if (known.has(key)) {
        desk.counts.unchanged++
        continue
      }
      known.add(key)
      const supersessionId = desk.insert('supersession', values)
      for (const [side, sides] of [
        ['old', set.old],
        ['new', set.next],
      ] as const)
        for (const one of sides.values())
          desk.insert('supersessionNumber', { supersessionId, side, ...one })
      desk.counts.added++
    }
  }

  #side(
    row: ListRow,
    desk: Desk,
    issuer: string,
    number: string,
    side: 'old' | 'new',
  ): Side | null {
    const read = desk.numbered(row.line, issuer, number, side)
    const quantity = desk.whole(row, `${side}Quantity`, 1, 1_000_000, 1)
    return read && quantity !== undefined ? { ...read, quantity } : null
  }

  #date(row: ListRow, desk: Desk, column: 'since' | 'until'): string | null | false {
    const text = row.cells[column]
    return text === undefined ? null : (desk.day(row.line, column, text) ?? false)
  }

  /** Supersessions that stand already, of these old numbers, by both their sides. */
  async #known(desk: Desk, old: readonly Side[]): Promise<Set<string>> {
    const ids = new Set<string>()
    const issuers = new Set(old.map(({ issuerId }) => issuerId))
    for (const issuerId of issuers)
      for (const row of await desk.store.readIn(
        'supersessionNumber',
        'normalised',
        [
          ...new Set(
            old.filter((one) => one.issuerId === issuerId).map(({ normalised }) => normalised),
          ),
        ],
        { issuerId },
      ))
        ids.add(row.supersessionId)
    const [rows, numbers] = await Promise.all([
      desk.store.readIn('supersession', 'id', [...ids]),
      desk.store.readIn('supersessionNumber', 'supersessionId', [...ids]),
    ])
    const standing = new Set(rows.filter(({ struckDay }) => struckDay === null).map(({ id }) => id))
    const sides = new Map<string, { old: Side[]; new: Side[] }>()
    for (const row of numbers as readonly RowOf<'supersessionNumber'>[]) {
      if (!standing.has(row.supersessionId)) continue
      const held = sides.get(row.supersessionId) ?? { old: [], new: [] }
      sides.set(row.supersessionId, held)
      held[row.side].push(row)
    }
    return new Set(
      [...sides.values()].map((one) => JSON.stringify([sideKey(one.old), sideKey(one.new)])),
    )
  }
}
