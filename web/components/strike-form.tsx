import { useState } from 'react'
import { act } from '../api/hooks.ts'
import { usePerson } from '../api/person.ts'
import { Field, INPUT } from './fields/field.tsx'
import { Button } from './ui.tsx'

/** Why something that was said is struck out: it is kept, with this. */
export function StrikeForm({
  strike,
  onDone,
  like = 'a slip, another variant, a worn part',
}: {
  strike: (why: string, by: string | null) => Promise<unknown>
  onDone: () => void
  like?: string
}) {
  const person = usePerson()
  const [why, setWhy] = useState('')
  return (
    <form
      className="flex items-end gap-2 py-1.5"
      onSubmit={(event) => {
        event.preventDefault()
        void act(
          () => strike(why, person.name ?? null),
          'Struck out. It is kept, and not used.',
        ).then((isDone) => isDone && onDone())
      }}
    >
      <Field label="Why">
        {({ id }) => (
          <input
            id={id}
            value={why}
            placeholder={like}
            onChange={(event) => setWhy(event.target.value)}
            className={INPUT}
          />
        )}
      </Field>
      <Button type="submit">Strike out</Button>
    </form>
  )
}
