import { useEffect, useRef } from 'react'
import type { PartLine } from '../../../contract/answers/planning.ts'
import { refresh } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo, useToday } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Form } from '../../components/form.tsx'
import { Photos } from '../../components/photos/photos.tsx'
import { Age, STANDING_WORDS } from '../../components/standing.tsx'
import {
  Button,
  ButtonLink,
  Caution,
  Folded,
  GradeWord,
  Money,
  SheetHead,
} from '../../components/ui.tsx'
import { usePageKey } from '../../components/use-page-key.ts'
import { FoundOut } from './found-out.tsx'
import { NumberOfLine } from './number-of-line.tsx'
import { WhyChain } from './why-chain.tsx'
import { LEVELS, numberWords, STATE_WORDS } from './words.ts'

const STEPS = [
  ['order', 'Ordered'],
  ['receive', 'Received'],
  ['fit', 'Fitted'],
  ['return', 'Sent back'],
  ['postpone', 'Later'],
] as const

/** How far a line is, by what people say of it. */
function Progress({ build, line }: { build: string; line: PartLine }) {
  if (line.state === 'blocker') return null
  return (
    <div className="flex flex-wrap gap-2">
      {STEPS.filter(([step]) => line.sort !== 'task' || step === 'fit' || step === 'postpone').map(
        ([step, words]) => {
          const held = line.decisions.find((one) => one.act === step)
          return (
            <Button
              key={step}
              tone={held ? 'main' : 'plain'}
              aria-pressed={held !== undefined}
              onClick={() =>
                void (held
                  ? removeWithUndo(
                      'DELETE /builds/{id}/decisions/{decision}',
                      { params: { id: build, decision: held.id } },
                      `No longer: ${words.toLowerCase()}.`,
                    )
                  : act(
                      () =>
                        call('POST /builds/{id}/decisions', {
                          params: { id: build },
                          body: {
                            needId: line.id,
                            act: step,
                            priceMinor: line.costMinor ?? line.estimateMinor,
                          },
                        }),
                      `${line.words}: ${words.toLowerCase()}.`,
                    ))
              }
            >
              {line.sort === 'task' && step === 'fit' ? 'Done' : words}
            </Button>
          )
        },
      )}
      {line.kind.startsWith('own:') && (
        <Button
          onClick={() =>
            void removeWithUndo(
              'DELETE /builds/{id}/lines/{line}',
              { params: { id: build, line: line.kind.slice('own:'.length) } },
              `${line.words} is off the list.`,
            )
          }
        >
          Take it off the list
        </Button>
      )}
    </div>
  )
}

/** That what is planned for a line is here: of which batch, and since when. */
function Came({ build, line }: { build: string; line: PartLine }) {
  const { name } = usePerson()
  if (line.sort !== 'part' || line.state === 'fitted' || (!line.source?.partId && !line.wants))
    return null
  if (line.state === 'here')
    return (
      <p>
        <ButtonLink tone="quiet" to={`/builds/${build}/arrivals`}>
          Measure what came
        </ButtonLink>
      </p>
    )
  return (
    <Folded words="It came">
      <Form
        id={`came-${build}-${line.id}`}
        columns={2}
        fields={[
          { name: 'batch', label: 'Batch, as marked', type: 'text' },
          { name: 'day', label: 'When', type: 'text', hint: 'Such as 2026-03-14; blank is today' },
        ]}
        initial={{}}
        action="It is here"
        submit={async ({ batch, day }) => {
          await act(
            () =>
              call('POST /builds/{id}/arrivals', {
                params: { id: build },
                body: { needId: line.id, batch, day: day || null, saidBy: name || null },
              }),
            `${line.words} is here. Measure it before it cannot go back.`,
          )
        }}
      />
    </Folded>
  )
}

/** Who sees to a line, and what is to be known of it. */
function GivenTo({ build, line }: { build: string; line: PartLine }) {
  const { given } = line
  return (
    <Folded
      words={
        given
          ? [given.to && `Given to ${given.to}`, given.note].filter(Boolean).join(': ')
          : 'Give it to somebody, or note something'
      }
    >
      <Form
        id={`given-${build}-${line.id}`}
        columns={1}
        fields={[
          { name: 'source', label: 'Given to', type: 'text' },
          { name: 'note', label: 'Note', type: 'area' },
        ]}
        initial={{ source: given?.to ?? '', note: given?.note ?? '' }}
        action="Keep"
        submit={async ({ source, note }) => {
          await call('POST /builds/{id}/decisions', {
            params: { id: build },
            body: { needId: line.id, act: 'assign', source, note },
          })
          await refresh()
        }}
      />
    </Folded>
  )
}

/** One line: why it is here, what dropping it does, where it can come from, and a price of one's own. */
export function LineSheet({
  build,
  line,
  follows,
  lines,
  currency,
  onDrop,
  onClose,
}: {
  build: string
  line: PartLine
  /** Lines that stand because this one does. */
  follows: readonly PartLine[]
  /** The whole list. */
  lines: readonly PartLine[]
  currency: string
  onDrop: () => void
  onClose: () => void
}) {
  const today = useToday()
  const sheet = useRef<HTMLElement>(null)
  // Below the list on a narrow screen: it is brought into sight.
  useEffect(() => {
    if (matchMedia('(max-width: 1000px)').matches) sheet.current?.scrollIntoView({ block: 'start' })
  }, [])
  usePageKey('w', () => document.getElementById('why')?.scrollIntoView())
  const isSettled = line.keep && (line.candidates[0]?.confirm.length ?? 0) === 0
  const keep = line.decisions.find((decision) => decision.act === 'keep')
  return (
    <aside
      ref={sheet}
      aria-label={`Line: ${line.words}`}
      className="flex flex-col gap-4 overflow-y-auto border-l border-line bg-ground px-4 py-3 max-[1000px]:border-l-0 max-[1000px]:border-t"
    >
      <SheetHead
        title={line.words}
        detail={`${LEVELS[line.level]} · ${STATE_WORDS[line.state]} · ${line.quantity} off${line.waits === 'nothing' ? '' : ` · order after ${line.waits}`}`}
        onClose={onClose}
      />
      <Photos of={{ buildId: build, spot: `line:${line.id}` }} what={line.words} />
      <section id="why">
        <h3 className="font-bold">Why is this here?</h3>
        <WhyChain build={build} line={line} lines={lines} />
        {line.wantsName && line.wantsName !== line.words && (
          <p className="pt-1">Wanted: {line.wantsName}, or one with equal ports.</p>
        )}
        {line.conflict && <p className="border-l-[3px] border-clash pl-2.5">{line.conflict}</p>}
      </section>
      {line.aside && (
        <p className="border-l-[3px] border-unmeasured pl-2.5">
          {line.aside} Decide again, or leave it on the list.
        </p>
      )}
      <FoundOut build={build} line={line} />
      {follows.length > 0 && (
        <section>
          <h3 className="font-bold">What hangs on it</h3>
          {follows.map((one) => (
            <p key={one.id} className="border-b border-line py-1">
              {one.words} <span className="text-steel">{one.why[0]?.words}</span>
            </p>
          ))}
        </section>
      )}
      {line.state !== 'blocker' && (
        <p className="text-steel">
          {line.price && line.costMinor === null && (
            <>
              <Money minor={Math.round(line.price[0])} currency={currency} whole /> to{' '}
              <Money minor={Math.round(line.price[2])} currency={currency} whole />, likely{' '}
              <Money minor={Math.round(line.price[1])} currency={currency} whole />.{' '}
            </>
          )}
          {line.time[2] > 0 &&
            `${line.time[0].toFixed(1)} to ${line.time[2].toFixed(1)} h, at ${line.stage}.`}
        </p>
      )}
      {line.cautions.map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
      <div className="flex flex-wrap gap-2">
        <Button onClick={onDrop}>Drop this line</Button>
        {!line.task && line.state !== 'blocker' && !keep && !isSettled && (
          <Button
            onClick={() =>
              void act(
                () =>
                  call('POST /builds/{id}/decisions', {
                    params: { id: build },
                    body: { needId: line.id, act: 'keep' },
                  }),
                'It stays.',
              )
            }
          >
            {line.keep ? 'Seen: it stays' : "Keep the recipient's"}
          </Button>
        )}
        {keep && (
          <Button
            onClick={() =>
              void removeWithUndo(
                'DELETE /builds/{id}/decisions/{decision}',
                { params: { id: build, decision: keep.id } },
                'No longer kept.',
              )
            }
          >
            No longer keep
          </Button>
        )}
      </div>
      {line.state === 'blocker' && !line.decisions.some(({ act: done }) => done === 'confirm') && (
        <Form
          id={`accept-${build}-${line.id}`}
          columns={1}
          fields={[
            {
              name: 'note',
              label: 'Accepted all the same: by whom, and why',
              type: 'area',
              required: true,
              hint: 'It stays on the list, and no longer stops the build',
            },
          ]}
          initial={{}}
          action="Accept it"
          submit={async ({ note }) => {
            await call('POST /builds/{id}/decisions', {
              params: { id: build },
              body: { needId: line.id, act: 'confirm', note },
            })
            await refresh()
          }}
        />
      )}
      {line.decisions
        .filter(({ act: done, note }) => done === 'confirm' && note)
        .map(({ id, note }) => (
          <p key={id}>Accepted: {note}</p>
        ))}
      <Progress build={build} line={line} />
      <Came build={build} line={line} />
      <GivenTo build={build} line={line} />
      <p className="text-steel">
        Dropping leaves a decision that stays when the list is made anew. What it was for is then
        yours to see to.
      </p>
      {!line.task && line.state !== 'blocker' && <NumberOfLine build={build} line={line} />}
      {!line.task && line.state !== 'blocker' && (
        <section>
          <h3 className="mb-1 font-bold">Where it can come from</h3>
          {line.candidates.length === 0 && (
            <p className="text-steel">
              Nothing in the catalogue meets it. Type a price and where from, below.
            </p>
          )}
          <ul className="max-h-64 overflow-y-auto">
            {line.candidates.slice(0, 40).map((candidate) => (
              <li key={candidate.id} className="border-b border-line py-1">
                {candidate.words}
                {candidate.id === line.source?.id && <b> · in the plan</b>}
                <div className="text-steel">
                  {numberWords(candidate.number)} · <GradeWord grade={candidate.evidence} />
                  {candidate.confirm.length > 0
                    ? ` · confirm ${candidate.confirm.slice(0, 2).join(', ').toLowerCase()}`
                    : ''}
                  {candidate.leadDays ? ` · ${candidate.leadDays} days` : ''}
                  {candidate.standing ? ` · ${STANDING_WORDS[candidate.standing]}` : ''}
                  {candidate.heardOn ? (
                    <>
                      {' '}
                      · price <Age seenOn={candidate.heardOn} today={today} />
                    </>
                  ) : null}
                </div>
              </li>
            ))}
          </ul>
        </section>
      )}
      {!line.task && line.state !== 'blocker' && (
        <section>
          <h3 className="mb-2 font-bold">A price of your own</h3>
          {line.decisions
            .filter((decision) => decision.act === 'price' || decision.act === 'estimate')
            .map((decision) => (
              <p key={decision.id} className="mb-2 flex items-center gap-2">
                {decision.act === 'price' ? 'Source typed' : 'Estimate'}:{' '}
                <Money minor={decision.priceMinor} currency={currency} /> {decision.source}
                <Button
                  tone="quiet"
                  onClick={() =>
                    void removeWithUndo(
                      'DELETE /builds/{id}/decisions/{decision}',
                      { params: { id: build, decision: decision.id } },
                      'Taken off.',
                    )
                  }
                >
                  Take off
                </Button>
              </p>
            ))}
          {!line.decisions.some((decision) => decision.act === 'price') && (
            <p className="mb-2">
              <Button
                onClick={() =>
                  void act(
                    () =>
                      call('POST /builds/{id}/decisions', {
                        params: { id: build },
                        body: { needId: line.id, act: 'price', priceMinor: 0, source: 'We own it' },
                      }),
                    'Ours: it costs this build nothing.',
                  )
                }
              >
                We own it
              </Button>
              <span className="block pt-1 text-steel">
                Or put on below what it would fetch, from “We own it”.
              </span>
            </p>
          )}
          <Form
            id={`price-${build}-${line.id}`}
            columns={1}
            fields={[
              {
                name: 'priceMinor',
                label: `Price for all ${line.quantity}`,
                type: 'money',
                currency,
                required: true,
              },
              {
                name: 'source',
                label: 'From',
                type: 'text',
                hint: 'Who sells or makes it. Left blank, it counts as an estimate only',
              },
            ]}
            initial={{}}
            action="Put the price on"
            submit={async ({ priceMinor, source }) => {
              await call('POST /builds/{id}/decisions', {
                params: { id: build },
                body: {
                  needId: line.id,
                  act: source ? 'price' : 'estimate',
                  priceMinor,
                  source,
                },
              })
              await refresh()
            }}
          />
        </section>
      )}
    </aside>
  )
}
