import { useRef, useState } from 'react'
import type { ImportPreview } from '../../../contract/answers/catalogue.ts'
import type { Decimal } from '../../../core/quantity/units.ts'
import { NEEDED, OFFER_COLUMNS, type OfferColumn } from '../../../core/tables/offer-columns.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { undoNewest } from '../../api/undo.ts'
import { Check } from '../../components/fields/check.tsx'
import { INPUT } from '../../components/fields/field.tsx'
import { Radios } from '../../components/fields/radios.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, PageHead } from '../../components/ui.tsx'
import { ColumnsForm, type WantedField, type Words } from './columns-form.tsx'
import { FilePicker, NothingWrong, WhichList } from './list-parts.tsx'

const DECIMALS: readonly { readonly value: Decimal; readonly words: string }[] = [
  { value: 'ask', words: 'ask when a price can be read two ways' },
  { value: 'comma', words: 'is the decimal mark: 286,50' },
  { value: 'point', words: 'marks thousands: 1,286.50' },
]

const MOVES: readonly Column<ImportPreview['moves'][number]>[] = [
  { id: 'line', head: 'Line', align: 'right', value: ({ line }) => line },
  { id: 'number', head: 'Number', className: 'figure', value: ({ number }) => number },
  moneyColumn(
    'from',
    'Asked before',
    ({ fromMinor }) => fromMinor,
    ({ fromCurrency }) => fromCurrency,
  ),
  moneyColumn(
    'to',
    'Asked now',
    ({ toMinor }) => toMinor,
    ({ toCurrency }) => toCurrency,
  ),
]

/** A file that was chosen, or text that was pasted. */
interface Source {
  readonly text: string
  readonly file: File | null
}
const bodyOf = ({ text, file }: Source): Blob | null =>
  file ?? (text.trim() === '' ? null : new Blob([text]))

/** How a list is read. */
interface Reading {
  /** All that its suppliers sell: what it does not name has ended. */
  readonly isWhole: boolean
  /** As suggested, where nobody chose. */
  readonly columns: Words | null
  readonly instead: Words
  readonly decimal: Decimal
}
const UNREAD: Reading = { columns: null, instead: {}, decimal: 'ask', isWhole: false }

const asked = ({ columns, instead, decimal, isWhole }: Reading) => ({
  decimal,
  ...(isWhole ? { whole: 'true' as const } : {}),
  columns: columns === null ? undefined : JSON.stringify(columns),
  instead: JSON.stringify(instead),
})

const LABELS: Readonly<Record<OfferColumn, string>> = {
  supplier: 'Supplier',
  issuer: 'Whose number it is',
  number: 'Part number',
  description: 'Words',
  price: 'Price',
  currency: 'Currency',
  taxIncluded: 'Tax included',
  pack: 'Pieces in a pack',
  stock: 'In stock',
  leadDays: 'Days to deliver',
  condition: 'Condition',
  standing: 'Standing: announced, trial, shipping, ended',
}
const offerFields = (
  suppliers: readonly string[],
  issuers: readonly string[],
): readonly WantedField[] =>
  OFFER_COLUMNS.map((name) => ({
    name,
    label: LABELS[name],
    isNeeded: NEEDED.includes(name),
    among:
      name === 'taxIncluded'
        ? 'yes or no'
        : name === 'supplier'
          ? suppliers
          : name === 'issuer'
            ? issuers
            : undefined,
  }))

/** A supplier's list with whatever heads: its columns matched, a preview, then all or nothing. */
export function Component() {
  const [source, setSource] = useState<Source>({ text: '', file: null })
  const [reading, setReading] = useState<Reading>(UNREAD)
  const suppliers = useAnswer('GET /suppliers').data?.items ?? []
  const issuers = useAnswer('GET /issuers').data?.items ?? []
  const [preview, setPreview] = useState<ImportPreview | null>(null)
  const newest = useRef(0)
  const [said, setSaid] = useState('')
  const [done, setDone] = useState<{ words: string; newParts: number } | null>(null)
  const run = async (work: () => Promise<void>): Promise<void> => {
    setSaid('')
    try {
      await work()
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      setSaid(error.message)
    }
  }
  const show = (next: Source, how: Reading): Promise<void> =>
    run(async () => {
      setDone(null)
      setSource(next)
      setReading(how)
      const body = bodyOf(next)
      const turn = ++newest.current
      const found = body ? await call('POST /offers/preview', { query: asked(how), body }) : null
      // What was asked before may be answered after.
      if (turn === newest.current) setPreview(found)
    })
  /** A supplier chosen for all rows brings how its list was read before, where the file has those heads. */
  /** How this list was read is kept with the supplier that all of it is of. */
  const keep = async (columns: Words): Promise<void> => {
    const { supplier: name, ...instead } = reading.instead
    const supplier = suppliers.find((one) => one.name === name)
    const offerList = { columns, instead, decimal: reading.decimal }
    if (supplier && JSON.stringify(supplier.offerList) !== JSON.stringify(offerList))
      await call('PATCH /suppliers/{id}', {
        params: { id: supplier.id },
        body: { version: supplier.version, offerList },
      })
  }
  const change = (columns: Words, instead: Words): void => {
    const kept =
      instead.supplier !== undefined && instead.supplier !== reading.instead.supplier
        ? suppliers.find(({ name }) => name === instead.supplier)?.offerList
        : null
    const heads = preview?.heads ?? []
    const isLike =
      kept &&
      Object.values(kept.columns).every((head) => head === undefined || heads.includes(head))
    void show(
      source,
      isLike
        ? {
            columns: kept.columns,
            instead: { ...kept.instead, supplier: instead.supplier! },
            decimal: kept.decimal,
            isWhole: reading.isWhole,
          }
        : { ...reading, columns, instead },
    )
  }
  return (
    <>
      <PageHead title="Import offers" detail="CSV or a workbook; all rows are taken, or none">
        <ButtonLink to="/suppliers">Suppliers</ButtonLink>
      </PageHead>
      <div className="max-w-4xl px-4 pb-12">
        <WhichList kind="offers" />
        <p className="mb-3">
          A list as the supplier sends it, or rows copied from a spreadsheet: the first line names
          the columns, in any words and any order. Needed are whose number it is, the number, the
          price, its currency and whether tax is in it; what no column says is said once for all
          rows. Blank pack is 1, blank stock or days is not known.
        </p>
        <FilePicker onPick={(file) => void show({ text: '', file }, UNREAD)} />
        <span className="ml-3 text-steel">{source.file?.name}</span>
        <div className="mt-3">
          <span className="font-semibold">A comma in this file's prices</span>
          <Radios
            label="A comma in this file's prices"
            value={reading.decimal}
            options={DECIMALS}
            onChange={(chosen) => void show(source, { ...reading, decimal: chosen })}
          />
        </div>
        <div className="mt-3">
          <Check
            isChecked={reading.isWhole}
            onChange={(isWhole) => void show(source, { ...reading, isWhole })}
          >
            It is all that its supplier sells: what it does not name has ended
          </Check>
        </div>
        <label className="mt-4 block">
          <span className="mb-1 block font-semibold">or paste it here</span>
          <textarea
            value={source.text}
            onChange={(event) => void show({ text: event.target.value, file: null }, reading)}
            rows={7}
            className={`${INPUT} figure`}
          />
        </label>
        {said && (
          <p role="alert" className="my-3 border-l-[3px] border-clash pl-2.5">
            {said}
          </p>
        )}
        {done && (
          <p role="status" className="my-3">
            {done.words}{' '}
            <Button tone="quiet" onClick={() => void undoNewest().then(() => setDone(null))}>
              Undo this import
            </Button>{' '}
            {done.newParts > 0 && (
              <ButtonLink to="/catalogue?kind=unsorted">
                Set the kinds of {done.newParts} new {done.newParts === 1 ? 'part' : 'parts'}
              </ButtonLink>
            )}
          </p>
        )}
        {preview && preview.heads.length > 0 && (
          <ColumnsForm
            fields={offerFields(
              suppliers.map(({ name }) => name),
              issuers.map(({ name }) => name),
            )}
            heads={preview.heads}
            // What was just chosen, before it is answered.
            columns={reading.columns ?? preview.columns}
            instead={reading.instead}
            onChange={change}
          />
        )}
        {preview && (
          <PreviewSheet
            preview={preview}
            onImport={() =>
              void run(async () => {
                const how = { ...reading, columns: preview.columns }
                const body = bodyOf(source) ?? new Blob()
                const words = `Imported: ${preview.added} added, ${preview.updated} updated.`
                await keep(preview.columns)
                await call('POST /offers/import', { query: asked(how), body })
                await refresh()
                setSource({ text: '', file: null })
                setReading(UNREAD)
                setPreview(null)
                setDone({ words, newParts: preview.newPartCount })
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
        <b>{preview.added} to add</b>, {preview.updated} to update
        {preview.moved > 0 &&
          `, of ${preview.moved} ${preview.moved === 1 ? 'the price' : 'the prices'} moved`}
        {preview.gone > 0 && `, ${preview.gone} not named any more: ended`},
        {preview.unchanged > 0 && ` ${preview.unchanged} as they are,`} {preview.newPartCount} new{' '}
        {preview.newPartCount === 1 ? 'part' : 'parts'} to sort
        {preview.newIssuers.length > 0 &&
          `; new issuers, with the default rule: ${preview.newIssuers.join(', ')}`}
        .
      </p>
      <NothingWrong preview={preview} onImport={onImport} />
      {preview.moves.length > 0 && (
        <DataTable
          id="moved-prices"
          what="prices that moved"
          rows={preview.moves}
          columns={MOVES}
          keyOf={({ line }) => String(line)}
        />
      )}
      {preview.goneNames.length > 0 && (
        <p className="mt-3 text-steel">
          Ended: {preview.goneNames.slice(0, 12).join(', ')}
          {preview.gone > 12 ? ' …' : ''}.
        </p>
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
