import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { minorDigits } from '../../../core/money/money.ts'
import type { Column } from '../../components/table/column.ts'
import { Money } from '../../components/ui.tsx'

type View = Answer<'GET /builds/{id}/donors'>
type Donor = View['donors'][number]

/** A term of the comparison: what each donor says of it. */
export interface DonorTerm {
  readonly id: string
  readonly words: string
  /** As text, for a file and to be searched. */
  readonly text: (donor: Donor) => string
  readonly shown: (donor: Donor) => ReactNode
  readonly isTotal?: boolean
}

const HOW: readonly string[] = ['strip', 'selling', 'sale']

const listed = (
  id: string,
  words: string,
  of: (donor: Donor) => readonly string[],
  none: string,
  isBad = false,
): DonorTerm => ({
  id,
  words,
  text: (donor) => of(donor).join('; '),
  shown: (donor) =>
    of(donor).length === 0 ? (
      <span className="text-steel">{none}</span>
    ) : (
      of(donor).map((one) => (
        <div key={one} className={isBad ? 'my-0.5 border-l-[3px] border-clash pl-2' : ''}>
          {one}
        </div>
      ))
    ),
})

/** An amount as a file holds it; nothing where it is not known. */
const amount = (minor: number | undefined, currency: string): string =>
  minor === undefined ? '' : (minor / 10 ** minorDigits(currency)).toFixed(minorDigits(currency))

/** Every term of the net cost, the net cost, then what is used, sold, scrapped, at risk and not on it. */
export function donorTerms(donors: readonly Donor[], currency: string): readonly DonorTerm[] {
  const terms = donors.find((donor) => donor.net)?.net?.terms ?? []
  return [
    ...terms.map((term, index): DonorTerm => {
      const of = (donor: Donor) => donor.net?.terms[index]
      return {
        id: term.id,
        words: term.words,
        text: (donor) => amount(of(donor)?.minor, currency),
        shown: (donor) => {
          const own = of(donor)
          return (
            <div className="text-right">
              <Money minor={own?.minor || null} currency={currency} />
              {own && own.minor !== 0 && HOW.includes(term.id) && (
                <div className="text-[12px] text-steel">{own.how}</div>
              )}
            </div>
          )
        },
      }
    }),
    {
      id: 'net',
      words: 'Net cost',
      isTotal: true,
      text: (donor) => amount(donor.net?.netMinor, currency),
      shown: (donor) =>
        donor.net ? (
          <div className="text-right text-[15px] font-bold">
            <Money minor={donor.net.netMinor} currency={currency} />
          </div>
        ) : (
          `no exchange rate from ${donor.currency}: add one in Settings`
        ),
    },
    listed('uses', 'Used here', ({ net }) => net?.uses ?? [], 'nothing this build needs'),
    listed('sells', 'Sold on', ({ net }) => net?.sells ?? [], '–'),
    listed('scraps', 'To scrap', ({ net }) => net?.scraps ?? [], '–'),
    listed(
      'risks',
      'Put at risk',
      ({ risks }) => risks.map((one) => `${one.words}: ${one.risk}`),
      'nothing found, or not looked at',
      true,
    ),
    listed('absent', 'Not on it', ({ absent }) => absent, '–', true),
  ]
}

/** A column for each donor, its name leading to its sheet and to what was typed of it. */
export const donorColumns = (
  donors: readonly Donor[],
  build: string,
): readonly Column<DonorTerm>[] => [
  {
    id: 'term',
    head: 'Term',
    isFixed: true,
    className: 'sticky left-0 min-w-28 bg-paper',
    value: ({ words }) => words,
    cell: ({ words, isTotal }) => (isTotal ? <b>{words}</b> : words),
  },
  ...donors.map(
    (donor): Column<DonorTerm> => ({
      id: donor.id,
      head: donor.name,
      note: (
        <span className="block font-normal normal-case">
          {donor.place && <span className="block text-steel">{donor.place}</span>}
          <Link
            to={`/builds/${build}/donors/${donor.id}/sheet`}
            className="mr-3 text-accent underline underline-offset-2"
          >
            {donor.answered > 0 ? `${donor.answered} answered` : 'Fill the sheet'}
            <span className="sr-only"> of {donor.name}</span>
          </Link>
          <Link
            to={`/catalogue/donors/${donor.id}`}
            className="text-accent underline underline-offset-2"
          >
            Change<span className="sr-only"> {donor.name}</span>
          </Link>
        </span>
      ),
      className: 'min-w-48',
      value: (term) => term.text(donor),
      cell: (term) => term.shown(donor),
    }),
  ),
]
