import type { ListRow } from '../../../documents/list-rows.ts'
import type { Desk, ListReader } from './list-reading.ts'

/** What fits what: the same number with the same where is said once. */
export class ApplicationsReader implements ListReader {
  readonly #seen = new Set<string>()

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    const read = rows.flatMap((row) => {
      const number = desk.numbered(row.line, row.cells.issuer!, row.cells.number!)
      const fits = desk.oneOf(row, 'fits', ['yes', 'no'])
      const said = desk.said(row)
      const scope = desk.where(row)
      if (!number || !fits || !said || scope === false) return []
      if (!scope || Object.values(scope.targets ?? {}).every((one) => one === undefined)) {
        desk.fault(
          row.line,
          'vehicle',
          'Say what it fits: a family of vehicle, engine or transmission.',
        )
        return []
      }
      return [{ number, fits, said, scope }]
    })
    const known = new Set<string>()
    for (const issuerId of new Set(read.map(({ number }) => number.issuerId)))
      for (const row of await desk.store.readIn(
        'application',
        'normalised',
        [
          ...new Set(
            read
              .map(({ number }) => number)
              .filter((one) => one.issuerId === issuerId)
              .map(({ normalised }) => normalised),
          ),
        ],
        { issuerId },
      ))
        if (row.struckDay === null)
          known.add(keyOf(row.issuerId, row.normalised, row.fits, row.scope))
    for (const { number, fits, said, scope } of read) {
      const key = keyOf(number.issuerId, number.normalised, fits, scope)
      if (known.has(key) || this.#seen.has(key)) {
        desk.counts.unchanged++
        continue
      }
      this.#seen.add(key)
      desk.insert('application', { ...number, fits, scope, ...said })
      desk.counts.added++
    }
  }

  async end(): Promise<void> {}
}

/** The same whatever order the fields of a where were written in. */
const keyOf = (issuerId: string, normalised: string, fits: string, scope: unknown): string =>
  `${issuerId} ${normalised} ${fits} ${inOrder(scope)}`
const inOrder = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) =>
    typeof one === 'object' && one !== null && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([p], [q]) => (p < q ? -1 : 1)))
      : one,
  )
