import { unformula } from '../../../core/quantity/plain-text.ts'
import type { Value } from './column.ts'
import { saveFile } from './save-file.ts'

/** Hands over rows as an RFC 4180 file. */
export async function saveCsv(
  name: string,
  heads: readonly string[],
  rows: readonly (readonly Value[])[],
): Promise<void> {
  const { stringify } = await import('csv-stringify/browser/esm/sync')
  const cells = rows.map((row) =>
    row.map((value) => (typeof value === 'string' ? unformula(value) : (value ?? ''))),
  )
  saveFile(
    `${name}.csv`,
    new Blob([stringify([heads, ...cells])], { type: 'text/csv;charset=utf-8' }),
  )
}
