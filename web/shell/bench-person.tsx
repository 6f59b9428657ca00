import { useId } from 'react'
import { Link } from 'react-router'
import { useAnswer } from '../api/answer.ts'
import { setPerson, usePerson } from '../api/person.ts'

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
      <select
        id={id}
        value={people.some((person) => person.id === here.id) ? here.id! : ''}
        onChange={(event) =>
          setPerson(people.find((person) => person.id === event.target.value) ?? null)
        }
        className="w-full rounded border border-steel bg-ground px-1 py-0.5"
      >
        <option value="">Not said</option>
        {people.map((person) => (
          <option key={person.id} value={person.id}>
            {person.name}
          </option>
        ))}
      </select>
    </>
  )
}
