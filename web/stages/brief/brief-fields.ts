import type { FieldSpec } from '../../components/form-values.ts'
import { USES } from './uses.ts'

const WHAT = 'What and why'
const MONEY = 'Money and limits'

/** What a brief asks of the swap itself, and of its money. */
export const briefFields = (currency: string) =>
  [
    { section: WHAT, name: 'name', label: 'Name', type: 'text', required: true, wide: true },
    {
      section: WHAT,
      name: 'recipientId',
      label: 'Recipient',
      type: 'part',
      kind: 'vehicle',
      hint: 'The vehicle being converted',
      wide: true,
    },
    {
      section: WHAT,
      name: 'why',
      label: 'Why',
      type: 'area',
      wide: true,
      hint: 'What failed, and what of its cause stays in the vehicle: it would kill the next engine too',
    },
    {
      section: WHAT,
      name: 'use',
      label: 'Use',
      type: 'select',
      options: USES,
      hint: 'Decides the torque factor',
    },
    {
      section: WHAT,
      name: 'school',
      label: 'Placement',
      type: 'select',
      required: true,
      options: [
        { value: 'keep', words: 'Keep the driveline where it is' },
        { value: 'set-back', words: 'Set the engine back' },
      ],
    },
    {
      section: MONEY,
      name: 'likeForLikeMinor',
      label: 'Like-for-like repair',
      type: 'money',
      currency,
      hint: 'What every swap is judged against',
    },
    {
      section: MONEY,
      name: 'leftoversMinor',
      label: 'The old engine and leftovers bring',
      type: 'money',
      currency,
      hint: 'Hoped for: it lowers the likely total, never the contingency',
    },
    {
      section: MONEY,
      name: 'labourRateMinor',
      label: 'Labour rate an hour',
      type: 'money',
      currency,
    },
    {
      section: MONEY,
      name: 'taxRate',
      label: 'Tax, %',
      type: 'percent',
      hint: 'Added where a price excludes it',
    },
    {
      section: MONEY,
      name: 'contingency',
      label: 'Contingency, %',
      type: 'percent',
      hint: 'Safe is likely plus this',
    },
    {
      section: MONEY,
      name: 'currency',
      label: 'Currency',
      type: 'text',
      required: true,
      upper: true,
    },
    {
      section: MONEY,
      name: 'maxSuppliers',
      label: 'Suppliers at most',
      type: 'number',
      whole: true,
      hint: 'Blank: no limit',
    },
    {
      section: MONEY,
      name: 'maxDonors',
      label: 'Donors at most',
      type: 'number',
      whole: true,
      hint: 'Floor space; blank: no limit',
    },
    {
      section: MONEY,
      name: 'inspection',
      label: 'An inspection or certificate is asked for here',
      type: 'check',
    },
  ] as const satisfies readonly FieldSpec[]
