import { stringify } from 'csv-stringify/sync'
import { minorDigits } from '../../core/money/money.ts'
import { unformula } from '../../core/quantity/plain-text.ts'
import type { partsList } from '../services/planning/parts-list.ts'

/** The parts list as RFC 4180 CSV. */
export function partsCsv(list: Awaited<ReturnType<typeof partsList>>): string {
  const currency = String(list.currency)
  const amount = (minor: number | null): string =>
    minor === null ? '' : (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency))
  const rows = list.lines.map((line) => [
    line.group,
    line.words,
    line.quantity,
    line.level,
    line.state,
    line.waits,
    line.source?.source ?? '',
    line.source?.words ?? '',
    line.source?.numberShown ?? '',
    line.source?.number.says ?? '',
    line.source?.evidence ?? '',
    amount(line.costMinor ?? line.estimateMinor),
    currency,
    line.why.map((reason) => reason.words).join(' | '),
    line.stage,
    line.sort,
    line.outcome,
    line.supply,
    ...(line.price ?? [null, null, null]).map((minor) =>
      amount(minor === null ? null : Math.round(minor)),
    ),
    line.time[1].toFixed(2),
  ])
  return stringify(
    [
      [
        'place',
        'line',
        'quantity',
        'level',
        'state',
        'waitsFor',
        'source',
        'from',
        'number',
        'numberSays',
        'evidence',
        'cost',
        'currency',
        'why',
        'stage',
        'sort',
        'outcome',
        'supply',
        'low',
        'likely',
        'high',
        'hours',
      ],
      ...rows.map((row) => row.map((cell) => (typeof cell === 'string' ? unformula(cell) : cell))),
    ],
    { record_delimiter: '\r\n' },
  )
}
