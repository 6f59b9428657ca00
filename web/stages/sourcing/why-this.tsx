import type { SourcingView } from '../../../contract/answers/planning.ts'
import { printMoney } from '../../../core/money/money.ts'
import { useToday } from '../../api/hooks.ts'
import { Age, STANDING_WORDS } from '../../components/standing.tsx'
import { Button, Money, SheetHead } from '../../components/ui.tsx'
import { numberWords } from '../parts/words.ts'
import { lock } from './lock.ts'

/** A line of the plan. */
export type Line = SourcingView['lines'][number]

/** What a line takes: of a kit or donor the piece alone, so that the rest stays free. */
export const sourceOf = ({ candidate, bundle, item }: Line) =>
  bundle ? { bundle, item } : { candidate }

/** What was chosen for a line, and what else there was. */
export function WhyThis({
  build,
  view,
  line,
  onLock,
  onClose,
}: {
  build: string
  view: SourcingView
  line: Line
  onLock: () => void
  onClose: () => void
}) {
  const today = useToday()
  const unit = line.bundle ? null : line.costMinor
  const whole = line.bundle
  const take = (rival: Line['rivals'][number]): Promise<boolean> =>
    lock(
      build,
      {
        way: 'in',
        ...(rival.bundle ? { bundle: rival.bundle, item: rival.item } : { candidate: rival.id }),
      },
      'Locked. Solve again to see what it costs.',
    )
  return (
    <aside aria-label={`Why this: ${line.words}`} className="flex flex-col gap-3">
      <SheetHead title={line.words} onClose={onClose} />
      <p>
        {line.source?.words}
        {line.source?.standing && `, ${STANDING_WORDS[line.source.standing]}`}
      </p>
      {line.source?.heardOn && (
        <p>
          Its price is <Age seenOn={line.source.heardOn} today={today} />.
        </p>
      )}
      <p className="text-steel">
        {line.bundle
          ? `It comes with ${line.bundleName}, whose price is counted once; on this line only its strip labour.`
          : `The plan as a whole is cheapest with it: a lower price elsewhere can cost a second shipping charge or lose a free-over.`}
      </p>
      {line.toProve.length > 0 && (
        <div className="border-l-[3px] border-unmeasured pl-2.5">
          <p className="font-bold">Not proven to fit. It waits for:</p>
          <ul className="max-h-[24vh] list-disc overflow-y-auto pl-5">
            {line.toProve.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <Button onClick={onLock}>Keep this</Button>
        <Button
          onClick={() =>
            void lock(build, { way: 'out', ...sourceOf(line) }, 'Left out. Solve again.')
          }
        >
          Leave this out
        </Button>
        {whole && (
          <Button
            onClick={() =>
              void lock(
                build,
                { way: 'out', bundle: whole },
                `${line.bundleName} is left out. Solve again.`,
              )
            }
          >
            Leave out all of {line.bundleName}
          </Button>
        )}
      </div>
      <h3 className="font-bold">What else there was</h3>
      {line.rivals.length === 0 && <p className="text-steel">Nothing else meets this line.</p>}
      <ul className="max-h-[46vh] overflow-y-auto">
        {line.rivals.map((rival) => (
          <li key={rival.id} className="border-b border-line py-1.5">
            <div className="flex gap-2">
              {rival.words}
              <span className="ml-auto">
                {rival.minor === null ? (
                  <span className="text-steel">in the bundle</span>
                ) : (
                  <Money minor={rival.minor} currency={view.currency} />
                )}
              </span>
            </div>
            <div className="flex items-center text-steel">
              {numberWords(rival.number)}
              {rival.minor !== null && unit !== null
                ? ` · ${rival.minor - unit >= 0 ? '+' : '−'}${printMoney(Math.abs(rival.minor - unit), view.currency)} by itself`
                : ''}
              <span className="ml-auto">
                <Button tone="quiet" onClick={() => void take(rival)}>
                  Take this
                </Button>
              </span>
            </div>
          </li>
        ))}
      </ul>
      {line.rivalCount > line.rivals.length && (
        <p className="text-steel">
          {line.rivalCount - line.rivals.length} more, none cheaper than the last shown.
        </p>
      )}
    </aside>
  )
}
