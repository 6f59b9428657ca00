// @vitest-environment jsdom

import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, expect, test } from 'vitest'
import type { ListPreview } from '../../../contract/answers/catalogue.ts'
import { LIST_KINDS, LISTS } from '../../../core/tables/lists.ts'
import { choose } from '../../testing/choose.ts'
import { openPage } from '../../testing/open-page.tsx'
import { Component as Page } from './import-list-page.tsx'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const PREVIEW: ListPreview = {
  rows: 2,
  added: 2,
  updated: 0,
  unchanged: 0,
  notes: ['1 number stands on another part already: a conflict until one is struck out.'],
  bad: [],
  badCount: 0,
  heads: ['Brand', 'Article', 'Text'],
  columns: { issuer: 'Brand', number: 'Article' },
}
const open = (
  kind: string,
  preview: Partial<ListPreview> = {},
  others: Readonly<Record<string, unknown>> = {},
) =>
  openPage(Page, '/catalogue/import/:kind', `/catalogue/import/${kind}`, {
    ...others,
    '/lists/preview': { ...PREVIEW, ...preview },
    '/lists/import': { ...PREVIEW, ...preview },
  })
const paste = (text: string) =>
  fireEvent.change(screen.getByLabelText('or paste it here'), { target: { value: text } })

test('what is pasted is looked at first; columns are changed by hand, then all is taken in and can be undone', async () => {
  const sent = open('numbers')
  await screen.findByText(/Import: numbers of parts/)
  paste('Brand;Article;Text\nMLD;417.20;Disc\n')
  const preview = await screen.findByRole('region', { name: 'Preview' })
  expect(preview.textContent).toContain('2 to add')
  expect(preview.textContent).toContain('a conflict until one is struck out')
  await choose('Part', 'Text')
  await waitFor(() => expect(sent).toHaveLength(2))
  const asked = new URL(`http://x${sent[1]!.path}`).searchParams
  expect(JSON.parse(asked.get('columns')!)).toEqual({
    issuer: 'Brand',
    number: 'Article',
    part: 'Text',
  })
  fireEvent.click(within(preview).getByRole('button', { name: 'Import all' }))
  expect(await screen.findByText(/Imported: 2 added, 0 updated/)).toBeTruthy()
  expect(screen.getByRole('button', { name: 'Undo this import' })).toBeTruthy()
  const [kept, taken] = sent.slice(-2)
  expect(taken).toMatchObject({ body: 'Brand;Article;Text\nMLD;417.20;Disc\n' })
  expect(taken!.path).toContain('/lists/import')
  // How it was read is kept by its heads.
  expect(kept).toMatchObject({
    path: '/kept',
    body: {
      what: 'numbers',
      name: 'Article\tBrand\tText',
      value: { dates: 'ask', instead: '{}' },
    },
  })
})

test('a list with heads that were met before is read as it was then; what is kept and cannot be read is passed over', async () => {
  const kept = (columns: string) => ({
    items: [
      {
        id: 'k',
        version: 1,
        what: 'numbers',
        name: 'Article\tBrand\tText',
        value: { columns, instead: '{"mark":"cast"}', dates: 'dmy', decimal: 'ask' },
      },
    ],
  })
  const sent = open('numbers', {}, { '/kept': kept('{"part":"Text"}') })
  await screen.findByText(/Import: numbers of parts/)
  await waitFor(() => expect(screen.getByText(/A sample/)).toBeTruthy())
  paste('Brand;Article;Text\nMLD;417.20;Disc\n')
  await waitFor(() => expect(sent).toHaveLength(2))
  expect(sent[1]!.path).toContain('dates=dmy')
  expect(sent[1]!.path).toContain(encodeURIComponent('{"mark":"cast"}'))
  const dmy = screen.getByRole('radio', { name: '14/3/2026' })
  expect(dmy.getAttribute('aria-checked') ?? String((dmy as HTMLInputElement).checked)).toBe('true')
  cleanup()
  const again = open('numbers', {}, { '/kept': kept('{') })
  paste('Brand;Article;Text\nMLD;417.20;Disc\n')
  await screen.findByRole('region', { name: 'Preview' })
  expect(again).toHaveLength(1)
})

test('bad cells are listed and nothing can be taken in; what a date means is said and sent', async () => {
  const sent = open('supersessions', {
    badCount: 1,
    bad: [{ line: 2, column: 'since', message: 'Say above which comes first, day or month.' }],
  })
  paste('x')
  const preview = await screen.findByRole('region', { name: 'Preview' })
  expect(preview.textContent).toContain('1 cell is wrong')
  expect(within(preview).queryByRole('button', { name: 'Import all' })).toBeNull()
  expect(within(preview).getByRole('row', { name: /since/ }).textContent).toContain('day or month')
  fireEvent.click(screen.getByRole('radio', { name: '14/3/2026' }))
  await waitFor(() => expect(sent.at(-1)!.path).toContain('dates=dmy'))
})

test('a list that is refused whole says why, and what was pasted stays', async () => {
  openPage(Page, '/catalogue/import/:kind', '/catalogue/import/kits', {
    '/lists/preview': {
      type: 'about:blank',
      status: 422,
      title: 'Unprocessable',
      detail: 'The workbook cannot be opened. Save it anew, or as CSV.',
    },
  })
  paste('PK')
  expect((await screen.findByRole('alert')).textContent).toContain('Save it anew')
  expect((screen.getByLabelText('or paste it here') as HTMLTextAreaElement).value).toBe('PK')
})

test.each(LIST_KINDS)(
  'the page of %s offers its sample and all there are, and asks only what such a list can hold',
  async (kind) => {
    open(kind)
    await screen.findByText(LISTS[kind].says)
    expect(screen.getByRole('link', { name: 'A sample to begin from' }).getAttribute('href')).toBe(
      `/api/lists/sample.csv?list=${kind}`,
    )
    expect(screen.getByRole('link', { name: 'XLSX' }).getAttribute('href')).toBe(
      `/api/lists/all.xlsx?list=${kind}`,
    )
    const isPriced = kind === 'suppliers' || kind === 'kits'
    expect(screen.queryByText("A comma in this file's amounts") !== null).toBe(isPriced)
  },
)

test('a list of no such name says so', async () => {
  open('horses')
  expect(await screen.findByText(/There is no list called/)).toBeTruthy()
})
