import { INSTRUCTIONS, KIT_PILOTS } from '../../../core/kits/quality.ts'
import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import { PROCESSES } from '../../../core/ports/field.ts'
import { optionsOf } from '../../components/fields/select.tsx'
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
    { name: 'holeProcess', label: 'Holes are', type: 'select', options: optionsOf(PROCESSES) },
    { name: 'plateMaterial', label: 'Plate material', type: 'text' },
    { name: 'plateMm', label: 'Plate, mm', type: 'number' },
    { name: 'pieces', label: 'Plates in it', type: 'number', whole: true },
    { name: 'crankBolts', label: 'Crank bolts used', type: 'number', whole: true },
    {
      name: 'pilot',
      label: 'Pilot',
      type: 'select',
      options: optionsOf(KIT_PILOTS),
    },
    {
      name: 'hardwareClass',
      label: 'Bolts of class',
      type: 'text',
      hint: 'Such as 10.9',
    },
    {
      name: 'instructions',
      label: 'Instructions',
      type: 'select',
      options: optionsOf(INSTRUCTIONS),
    },
    { name: 'designYear', label: 'Designed in', type: 'number', whole: true },
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

/** What is typed of how good a kit is, as it is sent; null where nothing is. */
export function kitQualityOf(values: ValuesOf<ReturnType<typeof kitFields>>) {
  const {
    holeProcess,
    plateMaterial,
    plateMm,
    pieces,
    crankBolts,
    pilot,
    hardwareClass,
    instructions,
    designYear,
    ...rest
  } = values
  const said = {
    holeProcess,
    plateMaterial,
    plateMm,
    pieces,
    crankBolts,
    pilot,
    hardwareClass,
    instructions,
    designYear,
  }
  const isSaid = Object.values(said).some((one) => one !== null && one !== undefined)
  return { ...rest, quality: isSaid ? said : null }
}
