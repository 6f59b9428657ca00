import { useState } from 'react'
import type { ImportPreview } from '../../../contract/answers/catalogue.ts'
import type { Decimal } from '../../../core/quantity/units.ts'
import { refresh } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { INPUT } from '../../components/fields/field.tsx'
import { Radios } from '../../components/fields/radios.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, PageHead } from '../../components/ui.tsx'

const DECIMALS: readonly { readonly value: Decimal; readonly words: string }[] = [
  { value: 'ask', words: 'ask when a price can be read two ways' },
  { value: 'comma', words: 'is the decimal mark: 286,50' },
  { value: 'point', words: 'marks thousands: 1,286.50' },
]

/** A file that was chosen, or text that was pasted. */
const CELLS: readonly Column<ImportPreview['bad'][number]>[] = [
  { id: 'line', head: 'Line', align: 'right', value: (cell) => cell.line },
  { id: 'column', head: 'Column', className: 'figure', value: (cell) => cell.column },
  { id: 'message', head: 'What to do', value: (cell) => cell.message },
]

interface Source {
  readonly text: string
  readonly file: File | null
}
const bodyOf = ({ text, file }: Source): Blob | null =>
  file ?? (text.trim() === '' ? null : new Blob([text]))

/** Offers from CSV: preview first, then all or nothing. */
export function Component() {
  const [source, setSource] = useState<Source>({ text: '', file: null })
  const [preview, setPreview] = useState<ImportPreview | null>(null)
  const [said, setSaid] = useState('')
  const [decimal, setDecimal] = useState<Decimal>('ask')
  const run = async (work: () => Promise<void>): Promise<void> => {
    setSaid('')
    try {
      await work()
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      setSaid(error.message)
    }
  }
  const show = (next: Source, comma: Decimal = decimal): Promise<void> =>
    run(async () => {
      setSource(next)
      setDecimal(comma)
      setPreview(null)
      const body = bodyOf(next)
      if (body) setPreview(await call('POST /offers/preview', { query: { decimal: comma }, body }))
    })
  return (
    <>
      <PageHead
        title="Import offers"
        detail="CSV with commas, semicolons or tabs; all rows are taken, or none"
      >
        <ButtonLink to="/suppliers">Suppliers</ButtonLink>
      </PageHead>
      <div className="max-w-4xl px-4 pb-12">
        <p className="mb-3">
          The first line names the columns:{' '}
          <span className="figure">
            supplier, issuer, number, description, price, currency, taxIncluded, pack, stock,
            leadDays, condition
          </span>
          . With semicolons or tabs a price may have a decimal comma. Blank pack is 1, blank stock
          or leadDays is not known.
        </p>
        <label className="inline-flex cursor-pointer items-center rounded border border-ink bg-ground px-3 py-1.5 font-semibold focus-within:outline-2 focus-within:outline-accent hover:bg-bench">
          Choose a file
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0]
              event.target.value = ''
              if (file) void show({ text: '', file })
            }}
          />
        </label>
        <span className="ml-3 text-steel">{source.file?.name}</span>
        <div className="mt-3">
          <span className="font-semibold">A comma in this file's prices</span>
          <Radios
            label="A comma in this file's prices"
            value={decimal}
            options={DECIMALS}
            onChange={(chosen) => void show(source, chosen)}
          />
        </div>
        <label className="mt-4 block">
          <span className="mb-1 block font-semibold">or paste it here</span>
          <textarea
            value={source.text}
            onChange={(event) => void show({ text: event.target.value, file: null })}
            rows={7}
            className={`${INPUT} figure`}
          />
        </label>
        {said && (
          <p role="alert" className="my-3 border-l-[3px] border-clash pl-2.5">
            {said}
          </p>
        )}
        {preview && (
          <PreviewSheet
            preview={preview}
            onImport={() =>
              void run(async () => {
                const done = await call('POST /offers/import', {
                  query: { decimal },
                  body: bodyOf(source) ?? new Blob(),
                })
                await refresh()
                setSource({ text: '', file: null })
                setPreview(null)
                setSaid(
                  `Imported: ${done.added} added, ${done.updated} updated${done.unchanged > 0 ? `, ${done.unchanged} as they were` : ''}.`,
                )
              })
            }
          />
        )}
      </div>
    </>
  )
}

function PreviewSheet({ preview, onImport }: { preview: ImportPreview; onImport: () => void }) {
  return (
    <section aria-label="ImportPreview" className="mt-4">
      <p className="mb-2">
        <b>{preview.added} to add</b>, {preview.updated} to update,
        {preview.unchanged > 0 && ` ${preview.unchanged} as they are,`} {preview.newPartCount} new{' '}
        {preview.newPartCount === 1 ? 'part' : 'parts'} to sort
        {preview.newIssuers.length > 0 &&
          `; new issuers, with the default rule: ${preview.newIssuers.join(', ')}`}
        .
      </p>
      {preview.bad.length === 0 ? (
        <Button tone="main" onClick={onImport}>
          Import all
        </Button>
      ) : (
        <>
          <p className="border-l-[3px] border-clash pl-2.5" role="alert">
            {preview.badCount} {preview.badCount === 1 ? 'cell is' : 'cells are'} wrong
            {preview.badCount > preview.bad.length ? `, the first ${preview.bad.length} shown` : ''}
            . Nothing is imported until all are mended.
          </p>
          <DataTable
            id="bad-cells"
            what="cells to mend"
            rows={preview.bad}
            columns={CELLS}
            keyOf={(cell) => `${cell.line}${cell.column}${cell.message}`}
          />
        </>
      )}
      {preview.newParts.length > 0 && (
        <p className="mt-3 text-steel">
          New:{' '}
          {preview.newParts
            .slice(0, 12)
            .map((part) => `${part.issuer} ${part.number}`)
            .join(', ')}
          {preview.newPartCount > 12 ? ' …' : ''}. They wait as unsorted until their kind is set in
          Catalogue.
        </p>
      )}
    </section>
  )
}
