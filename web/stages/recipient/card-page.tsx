import { useParams } from 'react-router'
import type { RecipientView } from '../../../contract/answers/sheets.ts'
import { sentence } from '../../../core/quantity/plain-text.ts'
import {
  type Dimension,
  dimensionId,
  dimensionWords,
  PLACES,
  type Place,
} from '../../../core/recipient/dimensions.ts'
import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { Select } from '../../components/fields/select.tsx'
import { Photos } from '../../components/photos/photos.tsx'
import { QueueState } from '../../components/queue-state.tsx'
import { Button, ButtonLink, Caution, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { DimensionSketch } from '../../drawing/train/recipient-drawing.tsx'
import { DimensionInput } from './dimension-input.tsx'
import { dimensionsOf, type Measuring, methodWords, useMeasuring, useRecipient } from './measure.ts'

const CAUTIONS: Partial<Record<Place, string>> = {
  'Bay, from above':
    'Engine off and cold, battery off; nothing near a fan that may start by itself.',
  'Under the front':
    'On stands on hard floor or on its wheels on a pit: never under a vehicle held by a jack alone.',
  'At the axle':
    'Wheels chocked. Bump and droop are measured with the frame on stands, nobody under it while it is moved.',
}

/** The measuring card: in the order one goes round and crawls under; to print with boxes, or to fill on a phone. */
export function Component() {
  const { build = '' } = useParams()
  const recipient = useRecipient(build)
  return (
    <Loaded of={recipient} what="the card">
      {(view) =>
        view.recipient === null ? (
          <Empty
            action={<ButtonLink to={`/builds/${build}/brief`}>Say it in the brief</ButtonLink>}
          >
            Nothing can be measured before it is said which vehicle is converted.
          </Empty>
        ) : (
          <Card build={build} view={view} onKept={() => recipient.mutate()} />
        )
      }
    </Loaded>
  )
}

function Card({
  build,
  view,
  onKept,
}: {
  build: string
  view: RecipientView
  onKept: () => unknown
}) {
  const measuring = useMeasuring(build, view, onKept)
  return (
    <>
      <PageHead
        title={`Measuring card, ${view.recipient!.name}`}
        detail="in the order one crawls under it"
      >
        <Button onClick={() => window.print()}>Print</Button>
        <ButtonLink to={`/builds/${build}/recipient`}>Drawings</ButtonLink>
      </PageHead>
      <QueueState
        waiting={measuring.waiting}
        fault={measuring.fault}
        passedOver={measuring.passedOver}
        kept="Each measurement is kept as it is given; without a connection it waits here."
      />
      <div className="max-w-3xl px-4 pb-16 text-[15px]">
        <Photos of={{ buildId: build, spot: 'sheet:recipient' }} what="the recipient" />
        {PLACES.map((place) => (
          <section key={place} className="mb-6 break-inside-avoid">
            <h2 className="border-b border-ink pb-1 text-[16px] font-bold">{place}</h2>
            {CAUTIONS[place] && <Caution>{CAUTIONS[place]}</Caution>}
            {dimensionsOf({ place }).map((dimension) => (
              <Line
                key={dimensionId(dimension)}
                dimension={dimension}
                measuring={measuring}
                train={view.train!}
              />
            ))}
          </section>
        ))}
        <p className="hidden pt-6 print:block">
          Measured by ______________________ on ______________ odometer ______________
        </p>
      </div>
    </>
  )
}

function Line({
  dimension,
  measuring,
  train,
}: {
  dimension: Dimension
  measuring: Measuring
  train: TrainFigure
}) {
  const shown = measuring.shown(dimension)
  const fault = measuring.faults[dimensionId(dimension)]
  const methods = methodWords(dimension)
  const words = dimensionWords(dimension)
  return (
    <div className="grid grid-cols-[112px_minmax(0,1fr)_190px] items-start gap-3 border-b border-line py-2 max-[560px]:grid-cols-[84px_minmax(0,1fr)]">
      <DimensionSketch train={train} dimension={dimension} label={words.label} />
      <div>
        <span className="font-semibold">{words.label}</span>
        <p className="text-steel">{sentence(words.how ?? '')}</p>
        {fault && (
          <p role="alert" className="border-l-[3px] border-clash pl-2">
            {fault}
          </p>
        )}
      </div>
      <div className="max-[560px]:col-span-2">
        <DimensionInput
          dimension={dimension}
          measuring={measuring}
          className="h-11 w-full text-[17px] print:text-transparent!"
        />
        {methods.length > 1 ? (
          <Select
            aria-label={`${words.label}: taken with`}
            value={measuring.methodOf(dimension)}
            options={methods.map((method) => ({
              value: method.id,
              words: `${method.words}, ± ${method.plusMinus}`,
            }))}
            onChange={(method) => measuring.setMethod(dimension, method)}
            className="mt-1 text-[13px]"
          />
        ) : (
          <span className="block pt-1 text-[13px] text-steel">
            {methods[0]?.words}, ± {methods[0]?.plusMinus}
          </span>
        )}
        <span className="block text-[13px] text-steel print:hidden">{shown.detail}</span>
      </div>
    </div>
  )
}
