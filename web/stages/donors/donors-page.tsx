import { useMemo } from 'react'
import { useParams } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { useAnswer } from '../../api/answer.ts'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { ButtonLink, Empty, Loaded, Money, PageHead } from '../../components/ui.tsx'
import { type DonorTerm, donorColumns, donorTerms } from './donor-terms.tsx'
import { DonorWaterfalls } from './donor-waterfalls.tsx'

type View = Answer<'GET /builds/{id}/donors'>

/** Donors side by side: net cost with every term, what each yields here, what its sheet puts at risk. */
export function Component() {
  const { build = '' } = useParams()
  const view = useAnswer('GET /builds/{id}/donors', { params: { id: build } })
  return (
    <>
      <PageHead
        title="Donors"
        detail="Before money is spent: the sheet beside the vehicle, and what each really costs"
      >
        <HistoryButton entity="donor" title="donors" />
        <ButtonLink to="/catalogue/new/donor" tone="main">
          Add a donor
        </ButtonLink>
      </PageHead>
      <Loaded of={view} what="the donors">
        {(answer) =>
          answer.donors.length === 0 ? (
            <Empty
              like={LIKE.donors}
              action={<ButtonLink to="/catalogue/new/donor">Add a donor</ButtonLink>}
            >
              A donor is a vehicle, or a pulled engine, bought for its parts. Its price is the least
              of it: fetching, stripping, what is missing and what the rest sells for decide.
            </Empty>
          ) : (
            <Compared build={build} view={answer} />
          )
        }
      </Loaded>
    </>
  )
}

const keyOf = ({ id }: DonorTerm): string => id

function Compared({ build, view }: { build: string; view: View }) {
  const { currency, labourRateMinor } = view
  const donors = useMemo(
    () =>
      view.donors.toSorted(
        (p, q) =>
          Number(q.net !== null && q.net.uses.length > 0) -
            Number(p.net !== null && p.net.uses.length > 0) ||
          (p.net?.netMinor ?? 0) - (q.net?.netMinor ?? 0),
      ),
    [view.donors],
  )
  const terms = useMemo(() => donorTerms(donors, currency), [donors, currency])
  const columns = useMemo(() => donorColumns(donors, build), [donors, build])
  return (
    <div className="px-4 pb-12">
      <p className="pb-2 text-steel">
        Labour at <Money minor={labourRateMinor} currency={currency} /> an hour, from the brief.
        What the build needs is used; the rest is sold where a sale brings more than its hours cost.
      </p>
      <DonorWaterfalls donors={donors} currency={currency} />
      <div className="relative overflow-x-auto">
        <DataTable
          id="donor-terms"
          what="terms"
          isFixedOrder
          rows={terms}
          columns={columns}
          keyOf={keyOf}
        />
      </div>
    </div>
  )
}
