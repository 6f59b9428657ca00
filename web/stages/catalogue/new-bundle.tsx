import { useState } from 'react'
import { useNavigate } from 'react-router'
import { parseMoney } from '../../../core/money/money.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Form } from '../../components/form.tsx'
import type { FieldSpec, ValuesOf } from '../../components/form-values.ts'
import { PartPicker } from '../../components/part-picker.tsx'
import { Button, Caution, PageHead } from '../../components/ui.tsx'

interface Item {
  readonly partId: string
  readonly name: string
  readonly [typed: string]: string
}

const DONOR_COLUMNS = [
  { key: 'stripHours', label: 'Strip hours' },
  { key: 'sale', label: 'Sale price' },
  { key: 'chance', label: 'Chance, %' },
  { key: 'sellingHours', label: 'Selling hours' },
] as const

const currencyTyped = (values: Record<string, unknown>): string =>
  String(values.currency ?? 'EUR').toUpperCase()

const kitFields = (suppliers: readonly { value: string; words: string }[]) =>
  [
    { name: 'name', label: 'Name', type: 'text', required: true },
    { name: 'supplierId', label: 'Sold by', type: 'select', options: suppliers },
    { name: 'currency', label: 'Currency', type: 'text', required: true, upper: true },
    { name: 'priceMinor', label: 'Price', type: 'money', required: true, currency: currencyTyped },
    { name: 'taxIncluded', label: 'Price includes tax', type: 'check' },
    { name: 'weightG', label: 'Weight, g', type: 'number', whole: true },
    {
      name: 'omits',
      label: 'What it leaves out',
      type: 'text',
      hint: 'Dowels, hardware, gasket, instructions',
    },
    { name: 'note', label: 'Quality', type: 'text', hint: 'Process, material, hardware class' },
  ] as const satisfies readonly FieldSpec[]

const DONOR_FIELDS = [
  {
    name: 'name',
    label: 'Name',
    type: 'text',
    required: true,
    hint: 'Vehicle, year, why it is for sale',
  },
  { name: 'place', label: 'Where it stands', type: 'text' },
  { name: 'currency', label: 'Currency', type: 'text', required: true, upper: true },
  { name: 'priceMinor', label: 'Price', type: 'money', currency: currencyTyped },
  { name: 'fetchMinor', label: 'Fetching it', type: 'money', currency: currencyTyped },
  { name: 'repairMinor', label: 'Repair of what is used', type: 'money', currency: currencyTyped },
  {
    name: 'missingMinor',
    label: 'What is missing, bought singly',
    type: 'money',
    currency: currencyTyped,
  },
  { name: 'disposalMinor', label: 'Disposal of the hulk', type: 'money', currency: currencyTyped },
  {
    name: 'storageMinor',
    label: 'Storage and keeper fees',
    type: 'money',
    currency: currencyTyped,
  },
  { name: 'scrapMinor', label: 'Scrap brings', type: 'money', currency: currencyTyped },
  { name: 'note', label: 'Note', type: 'text' },
] as const satisfies readonly FieldSpec[]

/** Typing a kit with its contents, or a donor with what it yields. Blank amounts and hours are 0. */
export function NewBundle({ kind }: { kind: 'kit' | 'donor' }) {
  const draft = `draft:items:${kind}`
  const [items, setAll] = useState<Item[]>(() => JSON.parse(localStorage.getItem(draft) ?? '[]'))
  const suppliers = useAnswer('GET /suppliers').data?.items ?? []
  const navigate = useNavigate()
  const setItems = (next: Item[]): void => {
    setAll(next)
    localStorage.setItem(draft, JSON.stringify(next))
  }
  const edit = (index: number, key: string, value: string): void =>
    setItems(items.map((item, i) => (i === index ? { ...item, [key]: value } : item)))
  const itemsOf = (currency: string) => {
    const figure = (text: string | undefined, label: string, name: string): number => {
      if (!text?.trim()) return 0
      const value = Number(text.replace(',', '.'))
      if (!(value >= 0))
        throw new RangeError(`${name}, ${label.toLowerCase()}: "${text}" is not a figure.`)
      return value
    }
    return items.map((item) => ({
      held: { partId: item.partId, quantity: item.quantity?.trim() ? Number(item.quantity) : 1 },
      yields: () => ({
        stripHours: figure(item.stripHours, 'Strip hours', item.name),
        saleMinor: item.sale?.trim() ? parseMoney(item.sale, currency) : 0,
        chance: figure(item.chance, 'Chance', item.name) / 100,
        sellingHours: figure(item.sellingHours, 'Selling hours', item.name),
      }),
    }))
  }
  const saveKit = (values: ValuesOf<ReturnType<typeof kitFields>>) =>
    call('POST /kits', {
      body: { ...values, items: itemsOf(values.currency).map(({ held }) => held) },
    })
  const saveDonor = async (values: ValuesOf<typeof DONOR_FIELDS>) =>
    call('POST /donors', {
      body: {
        ...values,
        priceMinor: values.priceMinor ?? 0,
        fetchMinor: values.fetchMinor ?? 0,
        repairMinor: values.repairMinor ?? 0,
        missingMinor: values.missingMinor ?? 0,
        disposalMinor: values.disposalMinor ?? 0,
        storageMinor: values.storageMinor ?? 0,
        scrapMinor: values.scrapMinor ?? 0,
        items: itemsOf(values.currency).map(({ held, yields }) => ({ ...held, ...yields() })),
      },
    })
  const saved = async (saving: Promise<unknown>): Promise<void> => {
    await saving.catch(asFault)
    localStorage.removeItem(draft)
    await refresh()
    navigate(`/catalogue?tab=${kind}s`)
  }
  const contents = (
    <>
      <h2 className="mb-2 mt-6 font-bold">{kind === 'kit' ? 'What is in it' : 'What it yields'}</h2>
      {items.length > 0 && (
        <table className="mb-3 w-full">
          <thead>
            <tr className="border-b border-ink">
              <th className="py-1">Part</th>
              <th>Number off</th>
              {kind === 'donor' &&
                DONOR_COLUMNS.map(({ key, label }) => <th key={key}>{label}</th>)}
              <th aria-label="Actions" />
            </tr>
          </thead>
          <tbody>
            {items.map((item, index) => (
              <tr key={item.partId} className="border-b border-line">
                <td className="py-1">{item.name}</td>
                {[
                  { key: 'quantity', label: 'Number off' },
                  ...(kind === 'donor' ? DONOR_COLUMNS : []),
                ].map(({ key, label }) => (
                  <td key={key} className="pr-2">
                    <input
                      aria-label={`${label}, ${item.name}`}
                      value={item[key] ?? ''}
                      placeholder={key === 'quantity' ? '1' : '0'}
                      onChange={(event) => edit(index, key, event.target.value)}
                      className="figure w-20 rounded border border-steel bg-ground px-1.5 py-1 text-right"
                    />
                  </td>
                ))}
                <td>
                  <Button
                    tone="quiet"
                    onClick={() => setItems(items.filter((_, i) => i !== index))}
                  >
                    Take out
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <PartPicker
        label="Put a part in"
        onPick={(part) =>
          !items.some((item) => item.partId === part.id) &&
          setItems([...items, { partId: part.id, name: part.name }])
        }
      />
    </>
  )
  return (
    <>
      <PageHead
        title={`Add a ${kind}`}
        detail={
          kind === 'kit'
            ? 'Searched as its parts, bought as one'
            : 'Each item is used, sold or scrapped'
        }
      />
      <div className="px-4 pb-12">
        {kind === 'donor' && (
          <Caution>
            Papers before money: ownership, engine number, lien. Work near airbags, fuel and
            refrigerant is for trained or licensed people.
          </Caution>
        )}
        {kind === 'kit' ? (
          <Form
            id="new-kit"
            fields={kitFields(suppliers.map((one) => ({ value: one.id, words: one.name })))}
            initial={{ currency: 'EUR', taxIncluded: true }}
            action="Add the kit"
            submit={(values) => saved(saveKit(values))}
          >
            {contents}
          </Form>
        ) : (
          <Form
            id="new-donor"
            fields={DONOR_FIELDS}
            initial={{ currency: 'EUR' }}
            action="Add the donor"
            submit={(values) => saved(saveDonor(values))}
          >
            {contents}
          </Form>
        )}
      </div>
    </>
  )
}

/** Faults found while reading the items stand under the form like the server's. */
async function asFault(error: unknown): Promise<never> {
  const { ApiProblem } = await import('../../api/client.ts')
  throw error instanceof RangeError ? new ApiProblem(422, error.message) : error
}
