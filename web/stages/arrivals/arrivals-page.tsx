import { useMemo, useState } from 'react'
import { useParams } from 'react-router'
import type { Arrivals } from '../../../contract/answers/arrivals.ts'
import { METHODS, type MethodId } from '../../../core/quantity/methods.ts'
import { useAnswer } from '../../api/answer.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { ClaimForm } from '../../components/measuring/claim-form.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { Told } from './told.tsx'

type Arrival = Arrivals['arrivals'][number]
type Size = Arrival['sizes'][number]

/** A size by name, and at which face where a part has more than one. */
const sizeWords = ({ label, slot }: Size): string => (slot === 'main' ? label : `${label}, ${slot}`)

const isMethod = (one: string): one is MethodId => Object.hasOwn(METHODS, one)

/** What came for a build: measured before it is too late to send it back. */
export function Component() {
  const { build = '' } = useParams()
  const arrivals = useAnswer('GET /builds/{id}/arrivals', { params: { id: build } })
  return (
    <>
      <PageHead title="What came" detail="Measured in before it is too late to send it back">
        <ButtonLink to={`/builds/${build}/parts`}>Parts</ButtonLink>
      </PageHead>
      <Loaded of={arrivals} what="what came">
        {(found) => (
          <div className="px-4 pb-12">
            <Told told={found.told} />
            {found.arrivals.length === 0 ? (
              <Empty action={<ButtonLink to={`/builds/${build}/parts`}>Parts</ButtonLink>}>
                Nothing came yet. Open a line of the parts list and say that it is here, with its
                batch: the sizes that its joints lean on stand here then.
              </Empty>
            ) : (
              found.arrivals.map((arrival) => (
                <Came key={arrival.id} build={build} arrival={arrival} />
              ))
            )}
          </div>
        )}
      </Loaded>
    </>
  )
}

function Came({ build, arrival }: { build: string; arrival: Arrival }) {
  const [measuring, setMeasuring] = useState<Size | null>(null)
  const columns = useMemo(() => columnsOf(setMeasuring), [])
  return (
    <section aria-label={arrival.words} className="mb-8">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="font-bold">{arrival.words}</h2>
        <span>{arrival.partName}</span>
        <span className="text-steel">
          {[
            arrival.supplier,
            `came ${arrival.day}`,
            arrival.batch && `batch ${arrival.batch}`,
            arrival.rights &&
              (arrival.rights.daysLeft < 0
                ? `taken back until ${arrival.rights.until}: over`
                : `taken back until ${arrival.rights.until}, ${arrival.rights.daysLeft} days left`),
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
        <span className="ml-auto">
          <Button
            tone="quiet"
            aria-label={`${arrival.words} did not come`}
            onClick={() =>
              void removeWithUndo(
                'DELETE /builds/{id}/arrivals/{arrival}',
                { params: { id: build, arrival: arrival.id } },
                'Taken back. What was measured stays.',
              )
            }
          >
            It did not come
          </Button>
        </span>
      </div>
      {arrival.caution && (
        <p role="alert" className="my-2 border-l-[3px] border-clash pl-2.5">
          {arrival.caution}
        </p>
      )}
      {arrival.sizes.length === 0 ? (
        <p className="text-steel">No joint of this pairing leans on a size of it.</p>
      ) : (
        <DataTable
          id="critical-sizes"
          what="sizes"
          hasTools={false}
          isFixedOrder
          rows={arrival.sizes}
          columns={columns}
          keyOf={({ port, field }) => `${port}.${field}`}
        />
      )}
      {measuring && (
        <Dialog open onOpenChange={() => setMeasuring(null)} title="Measure what came">
          <ClaimForm
            build={build}
            field={{
              ...measuring,
              part: arrival.partId,
              partName: arrival.partName,
              methods: measuring.methods.filter(isMethod),
            }}
            onDone={() => setMeasuring(null)}
          />
        </Dialog>
      )}
    </section>
  )
}

const columnsOf = (measure: (size: Size) => void): readonly Column<Size>[] => [
  {
    id: 'size',
    head: 'Size',
    isFixed: true,
    value: sizeWords,
    cell: (size) => (
      <>
        {sizeWords(size)}
        <div className="text-steel">{size.joints.join(', ')}</div>
      </>
    ),
  },
  { id: 'window', head: 'May be', className: 'figure', value: ({ window }) => window },
  {
    id: 'said',
    head: 'Said',
    className: 'figure',
    value: ({ said }) => said,
  },
  {
    id: 'is',
    head: 'Measured',
    value: ({ is }) => is,
    cell: ({ is, isMiss, fails }) =>
      is === null ? (
        <span className="text-steel">not yet</span>
      ) : (
        <span className={isMiss ? 'block border-l-[3px] border-clash pl-2' : ''}>
          <span className="figure">{is}</span>
          {isMiss && <span className="block">{fails.join('; ') || 'not as said'}</span>}
        </span>
      ),
  },
  {
    id: 'actions',
    head: 'Actions',
    isActions: true,
    align: 'right',
    value: () => null,
    cell: (size) => (
      <Button tone="quiet" aria-label={`Measure ${sizeWords(size)}`} onClick={() => measure(size)}>
        Measure
      </Button>
    ),
  },
]
