import type { ImportPreview } from '../../../contract/answers/catalogue.ts'
import type { Decimal } from '../../../core/quantity/units.ts'
import { NEEDED, OFFER_COLUMNS, type OfferColumn } from '../../../core/tables/offer-columns.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Check } from '../../components/fields/check.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { ButtonLink } from '../../components/ui.tsx'
import type { WantedField, Words } from './columns-form.tsx'
import { Asked, ImportFrame } from './import-frame.tsx'
import { type HowRead, useImport } from './use-import.ts'

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

interface Reading extends HowRead {
  /** All that its suppliers sell: what it does not name has ended. */
  readonly isWhole: boolean
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
  const suppliers = useAnswer('GET /suppliers').data?.items ?? []
  const issuers = useAnswer('GET /issuers').data?.items ?? []
  const importing = useImport<Reading, ImportPreview>({
    unread: UNREAD,
    look: (body, how) => call('POST /offers/preview', { query: asked(how), body }),
    take: async (body, how) => {
      await keep(how)
      await call('POST /offers/import', { query: asked(how), body })
    },
  })
  const { how, preview, done, change } = importing
  /** How this list was read is kept with the supplier that all of it is of. */
  const keep = async ({ columns, instead: { supplier: name, ...instead }, decimal }: Reading) => {
    const supplier = suppliers.find((one) => one.name === name)
    const offerList = { columns: columns ?? {}, instead, decimal }
    if (supplier && JSON.stringify(supplier.offerList) !== JSON.stringify(offerList))
      await call('PATCH /suppliers/{id}', {
        params: { id: supplier.id },
        body: { version: supplier.version, offerList },
      })
  }
  /** A supplier chosen for all rows brings how its list was read before, where the file has those heads. */
  const onColumns = (columns: Words, instead: Words): void => {
    const kept =
      instead.supplier !== undefined && instead.supplier !== how.instead.supplier
        ? suppliers.find(({ name }) => name === instead.supplier)?.offerList
        : null
    const heads = preview?.heads ?? []
    const isLike =
      kept &&
      Object.values(kept.columns).every((head) => head === undefined || heads.includes(head))
    change(
      isLike
        ? {
            columns: kept.columns,
            instead: { ...kept.instead, supplier: instead.supplier! },
            decimal: kept.decimal,
          }
        : { columns, instead },
    )
  }
  return (
    <ImportFrame
      kind="offers"
      title="Import offers"
      detail="CSV or a workbook; all rows are taken, or none"
      links={<ButtonLink to="/suppliers">Suppliers</ButtonLink>}
      intro={
        <p className="mb-3">
          A list as the supplier sends it, or rows copied from a spreadsheet: the first line names
          the columns, in any words and any order. Needed are whose number it is, the number, the
          price, its currency and whether tax is in it; what no column says is said once for all
          rows. Blank pack is 1, blank stock or days is not known.
        </p>
      }
      options={
        <>
          <Asked
            words="A comma in this file's prices"
            value={how.decimal}
            options={DECIMALS}
            onChange={(decimal) => change({ decimal })}
          />
          <div className="mt-3">
            <Check isChecked={how.isWhole} onChange={(isWhole) => change({ isWhole })}>
              It is all that its supplier sells: what it does not name has ended
            </Check>
          </div>
        </>
      }
      fields={offerFields(
        suppliers.map(({ name }) => name),
        issuers.map(({ name }) => name),
      )}
      importing={importing}
      onColumns={onColumns}
      next={
        done &&
        done.newPartCount > 0 && (
          <ButtonLink to="/catalogue?kind=unsorted">
            Set the kinds of {done.newPartCount} new {done.newPartCount === 1 ? 'part' : 'parts'}
          </ButtonLink>
        )
      }
    >
      {preview && { head: <Head preview={preview} />, foot: <Foot preview={preview} /> }}
    </ImportFrame>
  )
}

const Head = ({ preview }: { preview: ImportPreview }) => (
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
)

const Foot = ({ preview }: { preview: ImportPreview }) => (
  <>
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
  </>
)
