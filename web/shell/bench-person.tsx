import { useId } from 'react'
import { Link } from 'react-router'
import { useAnswer } from '../api/answer.ts'
import { setPerson, usePerson } from '../api/person.ts'
import { Select } from '../components/fields/select.tsx'

/** Who is at the bench: measurements and changes carry this name. */
export function BenchPerson() {
  const id = useId()
  const people = useAnswer('GET /people').data?.items ?? []
  const here = usePerson()
  if (people.length === 0)
    return (
      <Link to="/safekeeping" className="text-accent underline underline-offset-2">
        Who works here?
      </Link>
    )
  return (
    <>
      <label htmlFor={id} className="text-steel">
        At the bench
      </label>
      <Select
        id={id}
        value={people.some((person) => person.id === here.id) ? here.id! : ''}
        options={people.map((person) => ({ value: person.id, words: person.name }))}
        nothing="Not said"
        onChange={(chosen) => setPerson(people.find(({ id }) => id === chosen) ?? null)}
        className="py-0.5!"
      />
    </>
  )
}
