import { useState } from 'react'
import { useParams } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { fieldsOf, isPortKind } from '../../../core/ports/index.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { sentence } from '../../../core/quantity/plain-text.ts'
import { type CrawlPlace, inCrawlOrder } from '../../../core/recipient/crawl.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild } from '../../api/hooks.ts'
import { MeasureDialog } from '../../components/measuring/measure-dialog.tsx'
import { WorthOf } from '../../components/measuring/worth-of.tsx'
import { Button, ButtonLink, Caution, Empty, Loaded, PageHead } from '../../components/ui.tsx'

type Next = Answer<'GET /builds/{id}/measure-next'>
type Item = Next['items'][number]

const CAUTIONS: Partial<Record<CrawlPlace, string>> = {
  'Bay, from above':
    'Engine off and cold, battery off; nothing near a fan that may start by itself.',
  'Under the front':
    'On stands on hard floor or on its wheels on a pit: never under a vehicle held by a jack alone.',
  'Under the gearbox':
    'On stands on hard floor or on its wheels on a pit: never under a vehicle held by a jack alone.',
  'At the axle': 'Wheels chocked; nobody under it while it is moved.',
  'The engine': 'Never under a hanging engine; on a stand or blocked so that it cannot roll.',
  'The gearbox': 'Blocked so that it cannot roll; heavy ends are lifted by two.',
}

/** What to measure next as a card: in the order one crawls under, to print with boxes or to fill on a phone. */
export function Component() {
  const { build = '' } = useParams()
  const next = useAnswer('GET /builds/{id}/measure-next', { params: { id: build } })
  return (
    <Loaded of={next} what="what to measure next">
      {(data) =>
        data.items.length === 0 ? (
          <Empty action={<ButtonLink to={`/builds/${build}/pairing`}>To the pairings</ButtonLink>}>
            Nothing that is open would change the choice among the pairings in play, or what the
            cheapest of them costs.
          </Empty>
        ) : (
          <Card build={build} next={data} />
        )
      }
    </Loaded>
  )
}

function Card({ build, next }: { build: string; next: Next }) {
  const header = useBuild(build).data?.build
  const [recording, record] = useState<readonly Item[] | null>(null)
  const minutes = next.items.reduce((sum, one) => sum + one.minutes, 0)
  return (
    <>
      <PageHead
        title="Measure next"
        detail={
          <>
            {header?.name}, over {next.inPlay.length} pairings in play,{' '}
            <span className="figure">{minutes}</span> min in all
          </>
        }
      >
        <Button tone="main" onClick={() => record(next.items)}>
          Record them
        </Button>
        <Button onClick={() => window.print()}>Print</Button>
      </PageHead>
      <div className="max-w-3xl px-4 pb-16 text-[15px]">
        {inCrawlOrder(next.items).map(({ place, items }) => (
          <section key={place} aria-label={place} className="mb-6 break-inside-avoid">
            <h2 className="border-ink border-b pb-1 font-bold text-[16px]">{place}</h2>
            {CAUTIONS[place] && <Caution>{CAUTIONS[place]}</Caution>}
            {items.map((item) => (
              <Line
                key={`${item.port}.${item.field}`}
                item={item}
                currency={header?.currency ?? 'EUR'}
                onRecord={() => record([item])}
              />
            ))}
          </section>
        ))}
        <p className="hidden pt-6 print:block">
          Measured by ______________________ on ______________
        </p>
      </div>
      {recording && (
        <MeasureDialog
          build={build}
          title="What changes the choice"
          verdict={{ fields: recording, missing: recording, limits: [] }}
          isRanked
          onClose={() => record(null)}
        />
      )}
    </>
  )
}

/** How a field is found out, as its port says. */
const howOf = ({ port, field }: Item): string => {
  const kind = port.split('/')[1] ?? ''
  return isPortKind(kind) ? (fieldsOf(kind)[field]?.how ?? '') : ''
}

function Line({
  item,
  currency,
  onRecord,
}: {
  item: Item
  currency: string
  onRecord: () => void
}) {
  const how = howOf(item)
  return (
    <div className="grid grid-cols-[24px_minmax(0,1fr)_auto] items-start gap-3 border-line border-b py-2">
      <span aria-hidden className="mt-1 hidden size-4 border border-ink print:block" />
      <div className="col-start-2">
        <span className="font-semibold">{item.label}</span>, {item.partName}
        {how && <p className="text-steel">{sentence(how)}</p>}
        <p className="text-steel">
          {item.methods
            .map((id) => METHODS[id])
            .map(({ words, plusMinus }) => `${words}, ± ${plusMinus}`)
            .join('; ')}
          {item.methods.length > 0 && ' · '}
          <span className="figure">{item.minutes}</span> min ·{' '}
          <WorthOf next={item} currency={currency} />
        </p>
      </div>
      <Button
        className="min-h-11 print:hidden"
        aria-label={`Record ${item.label}`}
        onClick={onRecord}
      >
        Record
      </Button>
      <span className="hidden print:block">______________</span>
    </div>
  )
}
