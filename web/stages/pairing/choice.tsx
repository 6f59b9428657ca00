import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { Choice as ChoiceAnswer } from '../../../contract/answers/choice.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, useBuild } from '../../api/hooks.ts'
import { Button, ButtonLink, Money } from '../../components/ui.tsx'

type Reasons = NonNullable<ChoiceAnswer['reasons']>

const useChoice = (build: string) =>
  useAnswer('GET /builds/{id}/choice', { params: { id: build } }).data

/** That another pairing would be chosen now, with the difference; told once, until it was seen. */
export function ChangedChoice({ build }: { build: string }) {
  const changed = useChoice(build)?.changed
  const currency = useBuild(build).data?.build.currency ?? 'EUR'
  if (!changed) return null
  const { winner, was, now, savesMinor } = changed
  const { engineId, transmissionId, transferId } = winner
  return (
    <section
      aria-label="Another would be chosen now"
      className="mx-4 my-2 border-l-[3px] border-rule pl-2.5 print:hidden"
    >
      <p className="font-bold">
        {savesMinor === null ? (
          `${now.name} is out now: ${now.out}. ${winner.name} would be chosen.`
        ) : (
          <>
            {winner.name} now comes out <Money minor={savesMinor} currency={currency} whole />{' '}
            better than {now.name}.
          </>
        )}
      </p>
      <p>
        When it was chosen {now.name} came to <Money minor={was.minor} currency={currency} whole />{' '}
        with {was.open} not measured
        {now.minor !== null && (
          <>
            , now to <Money minor={now.minor} currency={currency} whole /> with {now.open}
          </>
        )}
        ; {winner.name} comes to <Money minor={winner.minor} currency={currency} whole />.{' '}
        <ButtonLink
          tone="quiet"
          to={`/builds/${build}/compare?pick=${encodeURIComponent(
            [now, winner]
              .map((one) =>
                [one.engineId, one.transmissionId, ...(one.transferId ? [one.transferId] : [])]
                  .map(encodeURIComponent)
                  .join(':'),
              )
              .join(','),
          )}`}
        >
          Compare them
        </ButtonLink>{' '}
        <Button
          tone="quiet"
          onClick={() =>
            void act(
              () =>
                call('POST /builds/{id}/choice/seen', {
                  params: { id: build },
                  body: { engineId, transmissionId, transferId },
                }),
              'It is not told again.',
            )
          }
        >
          Seen
        </Button>
      </p>
    </section>
  )
}

/** Why the build's pairing was chosen: what it beat, what was not known; and the ways on from it. */
export function Choice({ build }: { build: string }) {
  const reasons = useChoice(build)?.reasons
  const header = useBuild(build).data?.build
  const navigate = useNavigate()
  if (!header) return null
  const branch = async (): Promise<void> => {
    const made = { id: '' }
    const isDone = await act(async () => {
      made.id = (
        await call('POST /builds/{id}/copy', {
          params: { id: build },
          body: { name: `${header.name}, other engine`, isBranch: true },
        })
      ).id
    }, `${header.name}, other engine: the same vehicle and brief. Choose its pairing.`)
    if (isDone) await navigate(`/builds/${made.id}/pairing`)
  }
  return (
    <section aria-label="Why it was chosen" className="flex flex-col gap-2">
      {reasons ? (
        <Why key={reasons.on} build={build} reasons={reasons} currency={header.currency} />
      ) : (
        <p>This is the build's pairing.</p>
      )}
      <p className="flex flex-wrap gap-x-3">
        <Button
          tone="quiet"
          onClick={() =>
            void act(
              () => call('DELETE /builds/{id}/pairing', { params: { id: build } }),
              'The choice is open again. Why it was chosen is kept.',
            )
          }
        >
          Reopen the choice
        </Button>
        <Button tone="quiet" onClick={() => void branch()}>
          Branch: other engine
        </Button>
        <ButtonLink tone="quiet" to={`/builds/${build}/against`}>
          Against another build
        </ButtonLink>
        <ButtonLink tone="quiet" to={`/builds/${build}/summary`}>
          For the owner
        </ButtonLink>
      </p>
    </section>
  )
}

function Why({
  build,
  reasons: { on, because, chosen, beat, unknown },
  currency,
}: {
  build: string
  reasons: Reasons
  currency: string
}) {
  const [words, type] = useState(because ?? '')
  const save = (): void => {
    if (words.trim() !== (because ?? ''))
      void act(
        () => call('POST /builds/{id}/choice', { params: { id: build }, body: { because: words } }),
        'Kept.',
      )
  }
  return (
    <>
      <p>
        This is the build's pairing, chosen on <span className="figure">{on}</span>
        {chosen.minor === null ? (
          `, though ${chosen.out}.`
        ) : (
          <>
            {' '}
            at <Money minor={chosen.minor} currency={currency} whole />
            {chosen.open > 0 && `, with ${chosen.open} not measured`}.
          </>
        )}
      </p>
      {beat.length > 0 && (
        <ul>
          {beat.map((one) => (
            <li key={one.name} className="flex gap-3 border-line border-b py-1">
              <span className="text-steel">before {one.name}</span>
              <span className="ml-auto shrink-0">
                <Money minor={one.minor} currency={currency} whole />
              </span>
            </li>
          ))}
        </ul>
      )}
      {unknown.length > 0 && (
        <p className="text-steel">
          Not known then: {unknown.slice(0, 4).join('; ')}
          {unknown.length > 4 && `; and ${unknown.length - 4} more`}.
        </p>
      )}
      <label className="flex flex-col gap-1">
        In your own words
        <textarea
          className="rounded border border-steel bg-paper px-2 py-1"
          rows={2}
          maxLength={2000}
          value={words}
          onChange={({ target }) => type(target.value)}
          onBlur={save}
        />
      </label>
    </>
  )
}
