import { useBuildSheet } from '../../api/build-sheet.ts'
import { Caution, Folded } from '../../components/ui.tsx'

/** A caution is named by its joint and its first words, so that another wording is shown again. */
const idOf = (joint: string, words: string): string => `${joint}:${words.slice(0, 80)}`

/** Cautions of a joint, each shown until somebody ticks it as seen; ticked ones stay to be read, folded. */
export function Cautions({
  build,
  joint,
  cautions,
}: {
  build: string
  joint: string
  cautions: readonly string[]
}) {
  const { answers, say } = useBuildSheet(build, 'cautions')
  const answerOf = (words: string) => answers[idOf(joint, words)]
  const isSeen = (words: string): boolean => answerOf(words)?.value === 'seen'
  const seen = cautions.filter(isSeen)
  return (
    <>
      {cautions
        .filter((words) => !isSeen(words))
        .map((words) => (
          <Caution key={words}>
            {words}
            <label className="mt-1 flex items-center gap-1.5 text-steel print:hidden">
              <input
                type="checkbox"
                checked={false}
                onChange={() => say(idOf(joint, words), 'seen')}
                className="size-4 accent-(--color-accent)"
              />
              Seen
            </label>
          </Caution>
        ))}
      {seen.length > 0 && (
        <Folded
          words={`${seen.length} ${seen.length === 1 ? 'caution' : 'cautions'} seen${answerOf(seen[0]!)?.by ? ` by ${answerOf(seen[0]!)!.by}` : ''}`}
        >
          {seen.map((words) => (
            <p key={words} className="my-1 border-l-[3px] border-line pl-2.5">
              {words}{' '}
              <button
                type="button"
                className="text-accent underline print:hidden"
                onClick={() => say(idOf(joint, words), '')}
              >
                Show again
              </button>
            </p>
          ))}
        </Folded>
      )}
    </>
  )
}
