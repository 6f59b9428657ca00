import type { Value } from './column.ts'
import { saveFile } from './save-file.ts'

/** Characters a column is at least and at most wide. */
const WIDTH = { least: 8, most: 60 }

/** Hands over rows as an Office Open XML workbook (ISO/IEC 29500): figures as figures, words as words, never formulas. */
export async function saveXlsx(
  name: string,
  heads: readonly string[],
  rows: readonly (readonly Value[])[],
): Promise<void> {
  const { default: write } = await import('write-excel-file/browser')
  const sheet = await write(
    [
      heads.map((value) => ({ value, type: String, fontWeight: 'bold' as const })),
      ...rows.map((row) =>
        row.map((value) =>
          typeof value === 'number'
            ? { value, type: Number }
            : { value: value ?? '', type: String },
        ),
      ),
    ],
    {
      columns: heads.map((head, i) => ({
        width: Math.min(
          WIDTH.most,
          Math.max(
            WIDTH.least,
            head.length,
            ...rows.slice(0, 200).map((row) => String(row[i] ?? '').length),
          ),
        ),
      })),
      stickyRowsCount: 1,
    },
  ).toBlob()
  saveFile(`${name}.xlsx`, sheet)
}
