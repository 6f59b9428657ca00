import { PassThrough } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import ExcelJS from 'exceljs'
import { expect, test } from 'vitest'
import { FileFault } from './file-fault.ts'
import { RecordFault } from './file-record.ts'
import { readOffersCsv } from './offers-csv.ts'
import { recordsOf } from './records.ts'

/** A workbook of one sheet. */
async function workbook(
  rows: readonly (readonly unknown[])[],
  before: readonly string[] = [],
): Promise<Buffer> {
  const book = new ExcelJS.Workbook()
  for (const name of before) book.addWorksheet(name)
  const sheet = book.addWorksheet('List')
  for (const row of rows) sheet.addRow([...row])
  return Buffer.from(await book.xlsx.writeBuffer())
}
async function cellsOf(bytes: Uint8Array): Promise<string[][]> {
  const all: string[][] = []
  for await (const { cells } of recordsOf(bytes, []).rows) all.push([...cells])
  return all
}

test('figures, days, yes and no, and words with styles come as they were meant', async () => {
  const bytes = await workbook([
    ['Price', 'Stock', 'Seen', 'Tax', 'Text'],
    [
      286.5,
      12,
      new Date(Date.UTC(2026, 2, 14)),
      true,
      { richText: [{ text: 'Clutch ' }, { text: 'disc' }] },
    ],
    [1.234, 0.1 + 0.2, null, false, '  kept  '],
    [],
    [1e21, -4, '', '', ''],
  ])
  expect(await cellsOf(bytes)).toEqual([
    ['Price', 'Stock', 'Seen', 'Tax', 'Text'],
    ['286.5', '12', '2026-03-14', 'yes', 'Clutch disc'],
    // A figure of a workbook is plain: nobody is asked whether 1.234 is a thousand.
    ['1.2340', '0.3', '', 'no', 'kept'],
    ['1e+21', '-4'],
  ])
})

test('a formula is never worked out: what was last shown stands; one that was never shown, and a fault, are told by line', async () => {
  const shown = await workbook([['a'], [{ formula: 'SUM(1,2)', result: 3 }]])
  expect(await cellsOf(shown)).toEqual([['a'], ['3']])
  const never = await workbook([['a'], [{ formula: 'HYPERLINK("http://x")' }]])
  await expect(cellsOf(never)).rejects.toThrow(/never worked out/)
  const fault = await workbook([['a'], ['b'], [{ error: '#REF!' }]])
  const told = await cellsOf(fault).catch((error: unknown) => error)
  expect(told).toBeInstanceOf(RecordFault)
  expect((told as RecordFault).line).toBe(3)
})

test('offers of a workbook are read like those of a file; short rows lack nothing but what is not said', async () => {
  const bytes = await workbook([
    ['supplier', 'issuer', 'number', 'price', 'currency', 'taxIncluded', 'pack', 'description'],
    ['Harbour', 'MLD', '417.20', 92, 'EUR', 'yes', 2, 'Disc'],
    ['Harbour', 'MLD', '417.21', 1.234, 'EUR', 'yes'],
    ['Harbour', 'MLD', '417.22', 'dear', 'EUR', 'yes', 1, ''],
  ])
  const rows = []
  const bad = []
  for await (const chunk of readOffersCsv(bytes)) {
    rows.push(...chunk.rows)
    bad.push(...chunk.bad)
  }
  expect(rows.map(({ number, priceMinor, pack }) => [number, priceMinor, pack])).toEqual([
    ['417.20', 9200, 2],
  ])
  // 1.234 has more decimals than the euro has; "dear" is no price.
  expect(bad.map(({ line, column }) => [line, column])).toEqual([
    [3, 'price'],
    [4, 'price'],
  ])
})

test('the first sheet that holds rows counts', async () => {
  expect(await cellsOf(await workbook([['a', 'b']], ['Empty', 'Empty too']))).toEqual([['a', 'b']])
})

test('what is packed and no workbook, cut short, or wider than any list is refused with what to do', async () => {
  const bytes = await workbook([['a'], ['b']])
  await expect(cellsOf(bytes.subarray(0, bytes.length - 40))).rejects.toBeInstanceOf(FileFault)
  const wide = await workbook([Array.from({ length: 250 }, (_, i) => `column ${i}`)])
  await expect(cellsOf(wide)).rejects.toThrow(/more than 200 cells/)
  const out = new PassThrough()
  const stream = new ExcelJS.stream.xlsx.WorkbookWriter({ stream: out })
  stream.addWorksheet('List').commit()
  await stream.commit()
  const renamed = Buffer.from(
    (await buffer(out)).toString('latin1').replaceAll('xl/workbook.xml', 'xl/notabook.xml'),
    'latin1',
  )
  await expect(cellsOf(renamed)).rejects.toThrow(/no workbook/)
})

test('a workbook that unpacks to more than is read is refused by its directory, before anything is inflated', async () => {
  const bytes = await workbook([['a'], ['b']])
  // The size of the first entry in the central directory, by its signature (APPNOTE 4.3.12): 24 bytes on.
  const at = bytes.indexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02]))
  const bomb = Buffer.from(bytes)
  bomb.writeUInt32LE(0xf0000000, at + 24)
  await expect(cellsOf(bomb)).rejects.toThrow(/larger than 400 MB/)
})
