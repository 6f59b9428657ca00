import { jointNamed } from '../../../core/joints/index.ts'
import { VERDICT_WORDS } from '../../../core/joints/words.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { Button } from '../../components/ui.tsx'

/** Joints of the chosen pairing that a newer program judges otherwise from the same measurements, until they were seen. */
export function SinceUpgrade({ build }: { build: string }) {
  const asked = { params: { id: build } }
  const changed = useAnswer('GET /builds/{id}/judged', asked).data?.items ?? []
  if (changed.length === 0) return null
  return (
    <section
      aria-label="Since the upgrade"
      className="mx-4 my-2 border-l-[3px] border-rule pl-2.5 print:hidden"
    >
      <p className="font-bold">
        Since Junket was brought up to date, the chosen pairing reads otherwise from the same
        measurements:
      </p>
      <ul className="list-disc pl-5">
        {changed.map(({ joint, was, is }) => (
          <li key={joint}>
            {jointNamed(joint)?.title ?? joint}: {VERDICT_WORDS[is].word.toLowerCase()}, was{' '}
            {VERDICT_WORDS[was].word.toLowerCase()}
          </li>
        ))}
      </ul>
      <p>
        The newer checks look at more. Open each before anything is bought or cut; a plan made
        before is to be solved again.{' '}
        <Button
          tone="quiet"
          onClick={() =>
            void act(() => call('POST /builds/{id}/judged/seen', asked), 'It is not told again.')
          }
        >
          Seen
        </Button>
      </p>
    </section>
  )
}
