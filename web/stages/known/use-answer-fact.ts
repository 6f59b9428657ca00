import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { useJustSaid } from '../../api/just-said.ts'
import { usePerson } from '../../api/person.ts'

/** Answers questions of a build, from wherever they are asked: shown at once, kept, and the list follows. */
export function useAnswerFact(build: string): {
  shown: (key: string, stored: string | null) => string | null
  answer: (key: string, value: string) => void
} {
  const person = usePerson()
  const said = useJustSaid<string | null>()
  return {
    shown: said.shown,
    answer: (key, value) =>
      void said.say(key, value, () =>
        act(
          () =>
            call('POST /builds/{id}/facts', {
              params: { id: build },
              body: { key, value, by: person.name },
            }),
          'Answer kept: the list follows.',
        ),
      ),
  }
}
