import { useState } from 'react'
import { useParams } from 'react-router'
import type { RecipientView } from '../../../contract/answers/sheets.ts'
import { sentence } from '../../../core/quantity/plain-text.ts'
import {
  type Dimension,
  dimensionId,
  dimensionWords,
  VIEW_WORDS,
  VIEWS,
  type View,
} from '../../../core/recipient/dimensions.ts'
import { Select } from '../../components/fields/select.tsx'
import { QueueState } from '../../components/queue-state.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { RecipientDrawing } from '../../drawing/train/recipient-drawing.tsx'
import { DimensionInput } from './dimension-input.tsx'
import { dimensionsOf, methodWords, useMeasuring, useRecipient } from './measure.ts'

/** The recipient on its drawings: each field sits on the dimension it names. */
export function Component() {
  const { build = '' } = useParams()
  const recipient = useRecipient(build)
  return (
    <Loaded of={recipient} what="the recipient">
      {(view) =>
        view.recipient === null ? (
          <Empty
            action={<ButtonLink to={`/builds/${build}/brief`}>Say it in the brief</ButtonLink>}
          >
            Nothing can be measured before it is said which vehicle is converted.
          </Empty>
        ) : (
          <Drawings build={build} view={view} onKept={() => recipient.mutate()} />
        )
      }
    </Loaded>
  )
}

function Drawings({
  build,
  view,
  onKept,
}: {
  build: string
  view: RecipientView
  onKept: () => unknown
}) {
  const measuring = useMeasuring(build, view, onKept)
  const [drawn, setDrawn] = useState<View>('side')
  const [chosen, setChosen] = useState<Dimension | null>(null)
  const dimensions = dimensionsOf({ view: drawn })
  const open = dimensions.find((one) => chosen && dimensionId(one) === dimensionId(chosen)) ?? null
  const unknown = VIEWS.reduce(
    (sum, one) =>
      sum +
      dimensionsOf({ view: one }).filter((dimension) => measuring.shown(dimension).text === '')
        .length,
    0,
  )
  const keep = view.keep.split(/[\n,;]+/).filter((one) => one.trim() !== '')
  return (
    <>
      <PageHead
        title={`Recipient: ${view.recipient!.name}`}
        detail={unknown === 0 ? 'every dimension is known' : `${unknown} dimensions not measured`}
      >
        <ButtonLink to={`/builds/${build}/recipient/card`} tone="main">
          Measuring card
        </ButtonLink>
        <ButtonLink to={`/catalogue/parts/${encodeURIComponent(view.recipient!.id)}`}>
          All its measurements
        </ButtonLink>
      </PageHead>
      <QueueState
        waiting={measuring.waiting}
        fault={measuring.fault}
        passedOver={measuring.passedOver}
        kept="Each measurement is kept on the vehicle, with who took it and how."
      />
      <div role="tablist" aria-label="Drawings" className="flex flex-wrap gap-2 px-4 pb-2">
        {VIEWS.map((one) => (
          <Button
            key={one}
            role="tab"
            aria-selected={one === drawn}
            className={one === drawn ? 'border-accent! bg-chosen' : ''}
            onClick={() => setDrawn(one)}
          >
            {VIEW_WORDS[one]}
          </Button>
        ))}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-6 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div className="overflow-x-auto">
          <div className="min-w-[720px]">
            <RecipientDrawing train={view.train!} view={drawn} open={open}>
              {(dimension) => (
                <span title={dimensionWords(dimension).label}>
                  <DimensionInput
                    dimension={dimension}
                    measuring={measuring}
                    onFocus={() => setChosen(dimension)}
                    className="h-[26px] w-[76px] text-center text-[11.5px]"
                  />
                </span>
              )}
            </RecipientDrawing>
          </div>
          <p className="pt-1 text-steel">
            To scale, as far as it is measured: each field sits on the dimension it names. Dotted
            and dashed: not measured. On its tyres, at ride height, for every length under the
            vehicle.
          </p>
        </div>
        <aside className="flex flex-col gap-4">
          <section
            aria-label="The dimension"
            className="min-h-[150px] border-l-[3px] border-accent pl-3"
          >
            {open ? (
              <>
                <h2 className="font-bold">{dimensionWords(open).label}</h2>
                <p>{sentence(dimensionWords(open).how ?? '')}</p>
                <p className="figure">
                  {measuring.shown(open).text || 'not measured'}{' '}
                  <span className="text-steel">
                    {measuring.shown(open).text && measuring.shown(open).detail}
                  </span>
                </p>
                <label className="mt-1 block">
                  <span className="mb-0.5 block font-semibold">Taken with</span>
                  <Select
                    value={measuring.methodOf(open)}
                    options={methodWords(open).map((method) => ({
                      value: method.id,
                      words: `${method.words}, ± ${method.plusMinus} ${dimensionWords(open).unit}`,
                    }))}
                    onChange={(method) => measuring.setMethod(open, method)}
                  />
                </label>
                {measuring.faults[dimensionId(open)] && (
                  <p role="alert" className="mt-1 border-l-[3px] border-clash pl-2">
                    {measuring.faults[dimensionId(open)]}
                  </p>
                )}
              </>
            ) : (
              <p className="text-steel">
                Go to a field, and here stands how it is measured, with what, and how closely.
              </p>
            )}
          </section>
          <RoomList view={view} />
          <section aria-label="To be kept">
            <h2 className="font-bold">Only this chassis has</h2>
            {keep.length === 0 ? (
              <p className="text-steel">
                Nothing named yet. Name in the brief what must be kept, and it stands here.
              </p>
            ) : (
              <ul className="list-disc pl-5">
                {keep.map((one) => (
                  <li key={one}>{one.trim()}</li>
                ))}
              </ul>
            )}
          </section>
        </aside>
      </div>
    </>
  )
}

/** Room in bay and tunnel for the chosen train. */
export function RoomList({ view }: { view: RecipientView }) {
  const known = view.rooms.filter((room) => room.spareMm !== null)
  return (
    <section aria-label="Room for the train">
      <h2 className="font-bold">Room for the chosen train</h2>
      {known.length === 0 && (
        <p className="text-steel">
          Measure bay and tunnel, choose a pairing, and the room left stands here.
        </p>
      )}
      {known.map((room) => (
        <p
          key={room.id}
          className={`my-1 flex gap-3 border-l-[3px] pl-2.5 ${room.spareMm! < room.wantedMm ? 'border-clash' : 'border-fits'}`}
        >
          {room.words}
          <span className="figure ml-auto shrink-0">
            {Math.round(room.spareMm!)} mm
            <span className="text-steel">, {room.wantedMm} wanted</span>
          </span>
        </p>
      ))}
      {view.dropMm !== null && view.dropMm > 0 && (
        <p>
          The train goes down, or the body up, by{' '}
          <b className="figure">{Math.round(view.dropMm)} mm</b>.
        </p>
      )}
    </section>
  )
}
