// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import { strFromU8, unzipSync } from 'fflate'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { type Column, compare, holds, textOf } from './column.ts'
import { moneyColumn } from './columns.tsx'
import { DataTable } from './data-table.tsx'

interface Piece {
  readonly id: string
  readonly name: string
  readonly minor: number | null
  readonly note: string | null
}
const PIECES: readonly Piece[] = [
  { id: 'a', name: 'Bolt M10', minor: 890, note: '=1+1' },
  { id: 'b', name: 'bolt M8', minor: 110, note: null },
  { id: 'c', name: 'Disc', minor: null, note: 'lined anew' },
]
const COLUMNS: readonly Column<Piece>[] = [
  { id: 'name', head: 'Name', isFixed: true, value: (one) => one.name },
  moneyColumn(
    'price',
    'Price',
    (one) => one.minor,
    () => 'EUR',
  ),
  { id: 'note', head: 'Note', isAside: true, value: (one) => one.note },
  { id: 'actions', head: 'Actions', isActions: true, value: () => null, cell: () => <b>act</b> },
]

beforeEach(() => localStorage.clear())
afterEach(() => {
  cleanup()
  vi.restoreAllMocks()
})

function open(at = '/', props: Partial<Parameters<typeof DataTable<Piece>>[0]> = {}) {
  const router = createMemoryRouter(
    [
      {
        path: '*',
        element: (
          <DataTable
            id="pieces"
            what="pieces"
            isMain
            rows={PIECES}
            columns={COLUMNS}
            keyOf={(one) => one.id}
            {...props}
          />
        ),
      },
    ],
    { initialEntries: [at] },
  )
  render(<RouterProvider router={router} />)
  return router
}
const names = (): (string | null)[] =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0]!.textContent)

test('a head puts the rows in order and says so; the other way, then as they came; what is not known is last', () => {
  const router = open()
  expect(names()).toEqual(['Bolt M10', 'bolt M8', 'Disc'])
  const head = screen.getByRole('columnheader', { name: 'Price' })
  fireEvent.click(within(head).getByRole('button'))
  expect([names(), head.getAttribute('aria-sort'), router.state.location.search]).toEqual([
    ['bolt M8', 'Bolt M10', 'Disc'],
    'ascending',
    '?sort=price',
  ])
  fireEvent.click(within(head).getByRole('button'))
  expect([names(), head.getAttribute('aria-sort'), router.state.location.search]).toEqual([
    ['Bolt M10', 'bolt M8', 'Disc'],
    'descending',
    '?sort=-price',
  ])
  fireEvent.click(within(head).getByRole('button'))
  expect([names(), head.getAttribute('aria-sort'), router.state.location.search]).toEqual([
    ['Bolt M10', 'bolt M8', 'Disc'],
    null,
    '',
  ])
  expect(within(screen.getByRole('columnheader', { name: 'Actions' })).queryByRole('button')).toBe(
    null,
  )
})

test('text is put in order as people do: figures in it by size, small and large letters alike', () => {
  expect(['M10', 'm8', 'Alder', 'M9'].sort(compare)).toEqual(['Alder', 'm8', 'M9', 'M10'])
  expect([10, 9, 100].sort(compare)).toEqual([9, 10, 100])
})

test('a search keeps rows that hold every word, in columns that are not shown too, and stands in the address', () => {
  const router = open()
  fireEvent.change(screen.getByRole('searchbox'), { target: { value: 'anew disc' } })
  expect([names(), router.state.location.search]).toEqual([['Disc'], '?filter=anew+disc'])
  expect(screen.getByRole('status').textContent).toBe('1 of 3 pieces')
  fireEvent.change(screen.getByRole('searchbox'), { target: { value: 'nothing like it' } })
  expect(screen.getByText('Nothing here holds “nothing like it”.')).toBeTruthy()
  expect(holds(textOf(['Bolt M10', null, 8.9]), 'm10 8.9')).toBe(true)
})

test('a link opens it as it was: put in order and searched; a column nobody knows is left out', () => {
  open('/?sort=-name&filter=bolt')
  expect(names()).toEqual(['Bolt M10', 'bolt M8'])
  cleanup()
  open('/?sort=nowhere')
  expect(names()).toEqual(['Bolt M10', 'bolt M8', 'Disc'])
})

test('columns are chosen and kept in this browser; the one that names the row stays', async () => {
  open()
  expect(screen.queryByRole('columnheader', { name: 'Note' })).toBe(null)
  fireEvent.keyDown(screen.getByRole('button', { name: 'Columns' }), { key: 'Enter' })
  const items = screen.getAllByRole('menuitemcheckbox').map((one) => one.textContent)
  expect(items.map((text) => text?.replace('×', ''))).toEqual(['Price', 'Note'])
  fireEvent.click(screen.getByRole('menuitemcheckbox', { name: 'Note' }))
  await waitFor(() => expect(screen.getByText('lined anew')).toBeTruthy())
  cleanup()
  open()
  expect(screen.getByRole('columnheader', { name: 'Note' })).toBeTruthy()
})

test('arrow keys walk the rows, Enter opens one; a click does, beside its own buttons', () => {
  const opened: string[] = []
  open('/', { onOpen: (one) => opened.push(one.id) })
  const rows = screen.getAllByRole('row').slice(1)
  rows[0]!.focus()
  fireEvent.keyDown(rows[0]!, { key: 'ArrowDown' })
  expect(document.activeElement).toBe(rows[1])
  fireEvent.keyDown(rows[1]!, { key: 'Enter' })
  fireEvent.keyDown(rows[1]!, { key: 'PageUp' })
  expect(document.activeElement).toBe(rows[0])
  fireEvent.click(within(rows[2]!).getByText('Disc'))
  expect(opened).toEqual(['b', 'c'])
})

test('the file holds what is shown, in its order, and no cell that a spreadsheet would run', async () => {
  const written: Blob[] = []
  URL.createObjectURL = (blob) => written.push(blob as Blob).toString()
  URL.revokeObjectURL = () => undefined
  const clicked = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined)
  localStorage.setItem('columns:pieces', JSON.stringify({ note: true }))
  open('/?sort=price&filter=bolt')
  fireEvent.click(screen.getByRole('button', { name: 'Save as CSV' }))
  await waitFor(() => expect(clicked).toHaveBeenCalled())
  const reader = new FileReader()
  const read = new Promise((done) => reader.addEventListener('load', done))
  reader.readAsText(written[0]!)
  await read
  expect(reader.result).toBe("Name,Price,Note\nbolt M8,1.1,\nBolt M10,8.9,'=1+1\n")
})

test('a workbook holds figures as figures and words that look like sums as words, under their groups', async () => {
  const written: Blob[] = []
  URL.createObjectURL = (blob) => written.push(blob as Blob).toString()
  URL.revokeObjectURL = () => undefined
  const clicked = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined)
  localStorage.setItem('columns:pieces', JSON.stringify({ note: true }))
  open('/', { groupOf: ({ minor }) => (minor === null ? 'Open' : 'Priced') })
  fireEvent.click(screen.getByRole('button', { name: 'Save as XLSX' }))
  await waitFor(() => expect(clicked).toHaveBeenCalled())
  const reader = new FileReader()
  const read = new Promise((done) => reader.addEventListener('load', done))
  reader.readAsArrayBuffer(written[0]!)
  await read
  const files = unzipSync(new Uint8Array(reader.result as ArrayBuffer))
  const sheet = strFromU8(files['xl/worksheets/sheet1.xml']!)
  const words = [...strFromU8(files['xl/sharedStrings.xml']!).matchAll(/<t[^>]*>([^<]*)</g)].map(
    ([, text]) => text,
  )
  expect(words).toEqual(expect.arrayContaining(['Group', 'Priced', 'Open', 'Bolt M10', '=1+1']))
  expect(sheet).toContain('<v>8.9</v>')
  expect(sheet).not.toContain('<f>')
})

test('folded rows are shown where one searches or sorts', () => {
  const isFolded = (one: Piece): boolean => one.id === 'b'
  open('/', { isFolded })
  expect(names()).toEqual(['Bolt M10', 'Disc'])
  cleanup()
  open('/?filter=m8', { isFolded })
  expect(names()).toEqual(['bolt M8'])
  cleanup()
  open('/?sort=name', { isFolded })
  expect(names()).toEqual(['bolt M8', 'Bolt M10', 'Disc'])
})

test('rows that are not all here are not put in order as if they were, and are searched elsewhere', () => {
  const asked: string[] = []
  open('/?sort=-name', {
    isPartial: true,
    search: { words: 'bol', onSearch: (words) => asked.push(words) },
  })
  expect(names()).toEqual(['Bolt M10', 'bolt M8', 'Disc'])
  expect(screen.queryByRole('button', { name: 'Name' })).toBe(null)
  fireEvent.change(screen.getByRole('searchbox'), { target: { value: 'bolt' } })
  expect(asked).toEqual(['bolt'])
  expect(screen.getByRole('status').textContent).toBe('first 3 pieces')
})
