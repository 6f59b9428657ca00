import { lazy, Suspense } from 'react'
import type { TorqueStep } from '../../../core/pairing/torque-line.ts'
import type { Column } from '../table/column.ts'
import { DataTable } from '../table/data-table.tsx'

const TorqueBars = lazy(() => import('./torque-bars.tsx'))
const STEP_PX = 28

const round = (nm: number | null): number | null => (nm === null ? null : Math.round(nm))
const COLUMNS: readonly Column<TorqueStep>[] = [
  { id: 'part', head: 'Part', isFixed: true, value: ({ part }) => part },
  {
    id: 'arrives',
    head: 'Arrives, N·m',
    align: 'right',
    value: ({ demandNm }) => round(demandNm),
    cell: ({ demandNm, isCapped }) =>
      demandNm === null ? (
        'ratio not known'
      ) : (
        <>
          {round(demandNm)}
          {isCapped && <span className="block font-sans text-steel">all the tyres hold</span>}
        </>
      ),
  },
  {
    id: 'rated',
    head: 'Rated, N·m',
    align: 'right',
    value: ({ ratingNm }) => round(ratingNm),
    cell: ({ demandNm, ratingNm }) => (
      <>
        {round(ratingNm) ?? '?'}
        {demandNm !== null && ratingNm !== null && ratingNm < demandNm && (
          <span className="block border-l-[3px] border-clash pl-2 font-sans">
            less than arrives
          </span>
        )}
      </>
    ),
  },
]
const keyOf = ({ part }: TorqueStep): string => part

/** Torque part by part from engine to tyre: a chart, and the same as a table. */
export const TorqueLine = ({ steps }: { steps: readonly TorqueStep[] }) => (
  <section aria-label="Torque from engine to tyre, part by part">
    <div aria-hidden style={{ height: steps.length * STEP_PX }}>
      <Suspense fallback={null}>
        <TorqueBars steps={steps} />
      </Suspense>
    </div>
    <DataTable
      id="torque-line"
      what="parts"
      hasTools={false}
      isFixedOrder
      rows={steps}
      columns={COLUMNS}
      keyOf={keyOf}
    />
  </section>
)
