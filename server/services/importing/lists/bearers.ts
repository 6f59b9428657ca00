import { groupBy } from '../../../../core/group.ts'
import type { RowOf, Store } from '../../../database/store.ts'

interface Key {
  readonly issuerId: string
  readonly normalised: string
}
const keyOf = ({ issuerId, normalised }: Key): string => `${issuerId} ${normalised}`

/** Which parts bear which numbers, of those asked for. */
export class Bearers {
  readonly #store: Store
  readonly #rows = new Map<string, RowOf<'partNumber'>[]>()

  constructor(store: Store) {
    this.#store = store
  }

  async load(numbers: readonly Key[]): Promise<void> {
    for (const [issuerId, own] of groupBy(numbers, (one) => one.issuerId))
      for (const row of await this.#store.readIn(
        'partNumber',
        'normalised',
        [...new Set(own.map(({ normalised }) => normalised))],
        { issuerId },
      ))
        if (row.struckDay === null)
          this.#rows.set(keyOf(row), [...(this.#rows.get(keyOf(row)) ?? []), row])
  }

  /** All claims of a number that stand. */
  all(number: Key): readonly RowOf<'partNumber'>[] {
    return this.#rows.get(keyOf(number)) ?? []
  }

  /** The part that bears it in a catalogue, else any that does. */
  of(number: Key): RowOf<'partNumber'> | undefined {
    const rows = this.all(number)
    return rows.find(({ mark }) => mark === 'catalogue') ?? rows[0]
  }
}
