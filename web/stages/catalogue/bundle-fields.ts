import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import type { FieldSpec, ValuesOf } from '../../components/form-values.ts'
import { STANDING_OPTIONS } from '../../components/standing.tsx'

const currencyTyped = (values: Record<string, unknown>): string =>
  String(values.currency ?? 'EUR').toUpperCase()

/** What is typed of a kit. */
export const kitFields = (suppliers: readonly { value: string; words: string }[]) =>
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
    { name: 'standing', label: 'Standing', type: 'select', options: STANDING_OPTIONS },
  ] as const satisfies readonly FieldSpec[]

const KINDS_MISSED: readonly { value: string; words: string }[] = CATALOGUE_OPTIONS

/** What is typed of a donor; blank amounts are 0. */
export const DONOR_FIELDS = [
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
  {
    name: 'missingKind',
    label: 'What that is',
    type: 'select',
    options: KINDS_MISSED,
    hint: 'Where a build has a line of it, it is paid there and not here',
  },
  { name: 'disposalMinor', label: 'Disposal of the hulk', type: 'money', currency: currencyTyped },
  {
    name: 'storageMinor',
    label: 'Storage and keeper fees',
    type: 'money',
    currency: currencyTyped,
  },
  { name: 'scrapMinor', label: 'Scrap brings', type: 'money', currency: currencyTyped },
  { name: 'saleFee', label: 'Fee on each sale, %', type: 'percent', required: true },
  { name: 'note', label: 'Note', type: 'text' },
] as const satisfies readonly FieldSpec[]

/** A donor's amounts as they are sent. */
export const donorAmounts = (values: ValuesOf<typeof DONOR_FIELDS>) => ({
  ...values,
  priceMinor: values.priceMinor ?? 0,
  fetchMinor: values.fetchMinor ?? 0,
  repairMinor: values.repairMinor ?? 0,
  missingMinor: values.missingMinor ?? 0,
  disposalMinor: values.disposalMinor ?? 0,
  storageMinor: values.storageMinor ?? 0,
  scrapMinor: values.scrapMinor ?? 0,
})
