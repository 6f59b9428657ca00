import { type ReactNode, useState } from 'react'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { readWhere, WhereFault, type WhereText } from '../../../core/identity/where-text.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import { useAnswer } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { write } from '../../api/hooks.ts'
import { personNow } from '../../api/person.ts'
import { Form } from '../../components/form.tsx'
import type { FieldSpec } from '../../components/form-values.ts'
import { Folded } from '../../components/ui.tsx'

const MARKS = [
  { value: 'catalogue', words: 'in a catalogue, a list or on its box' },
  { value: 'stamped', words: 'stamped into the part' },
  { value: 'cast', words: 'cast in the part' },
] as const

/** How far it is believed, and who says so. */
const SAID = [
  {
    name: 'grade',
    label: 'How well it is known',
    type: 'select',
    required: true,
    options: GRADES.map((grade) => ({ value: grade, words: grade })),
  },
  { name: 'source', label: 'From', type: 'text', hint: 'Which list, letter, listing or part' },
] as const satisfies readonly FieldSpec[]

/** Where it holds: blank restricts nothing. */
const WHERE = [
  { name: 'vehicle', label: 'Vehicle family', type: 'text' },
  { name: 'engine', label: 'Engine family', type: 'text' },
  {
    name: 'engineGenerations',
    label: 'Engine generations',
    type: 'text',
    hint: 'With | between: 2nd|3rd',
  },
  { name: 'transmission', label: 'Gearbox family', type: 'text' },
  { name: 'from', label: 'Built from', type: 'text', hint: '1992, 1992-03 or 1992-03-15' },
  { name: 'to', label: 'Built to', type: 'text' },
  {
    name: 'conditions',
    label: 'Only where',
    type: 'text',
    hint: 'As gearbox=manual; crankTeeth>=36',
  },
  { name: 'do', label: 'To be done with it', type: 'text' },
] as const satisfies readonly FieldSpec[]
type Typed = Readonly<Record<string, unknown>>

/** Where a claim holds, as it was typed. @throws ApiProblem at the field that cannot be read */
function scopeOf(values: Typed) {
  const text: WhereText = Object.fromEntries(
    WHERE.flatMap(({ name }) => {
      const typed = values[name]
      return typeof typed === 'string' && typed !== '' ? [[name, typed]] : []
    }),
  )
  try {
    return readWhere(text)
  } catch (error) {
    if (!(error instanceof WhereFault)) throw error
    throw new ApiProblem(422, error.message, [{ path: error.column, message: error.message }])
  }
}
const saidBy = (): { by: string | null } => ({ by: personNow()?.name ?? null })

/** Forms for what is said of the numbers of a part. */
export function NumberForms({ part }: { part: PartDetail }) {
  const [brought, setBrought] = useState<Brought>(null)
  const told = (by: string): ReactNode => brought?.by === by && <Told words={brought.words} />
  const photos = useAnswer('GET /photos', { query: { partId: part.id } }).data?.items ?? []
  const photo = {
    name: 'photoId',
    label: 'Photo it is read from',
    type: 'select',
    hint: 'One of those of this part; add it there first',
    options: photos.map(({ id, note, takenAt }, i) => ({
      value: id,
      words: note ?? takenAt ?? `Photo ${i + 1}`,
    })),
  } as const
  const [first] = part.numbers
  const own = { issuer: first?.issuer ?? '', number: first?.number ?? '' }
  return (
    <>
      <Folded words="Add a number">
        <Form
          id={`number-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'number', label: 'Number', type: 'text', required: true },
            {
              name: 'mark',
              label: 'Where it was read',
              type: 'select',
              required: true,
              options: MARKS,
              hint: 'A stamped or cast number may stand on many parts: it asks for a second look',
            },
            ...SAID,
            ...(photos.length > 0 ? [photo] : []),
            {
              name: 'isSo',
              label: 'Another part bears it too, and it is so',
              type: 'check',
              hint: 'It is a conflict until one of the two is struck out',
            },
          ]}
          initial={{ issuer: own.issuer, mark: 'catalogue', grade: 'catalogue' }}
          action="Add number"
          submit={(values) =>
            write(async () => {
              const added = await call('POST /parts/{id}/numbers', {
                params: { id: part.id },
                body: { ...values, ...saidBy() },
              })
              const words = [`${values.number} is a number of ${part.name} now.`, ...added.changed]
              setBrought({ by: 'number', words })
              return added
            })
          }
        />
        {told('number')}
      </Folded>
      <Folded words="Add a supersession">
        <Form
          id={`supersession-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'old', label: 'Old number', type: 'text', required: true },
            {
              name: 'new',
              label: 'New number',
              type: 'text',
              required: true,
              hint: 'Several with | between: it was split',
            },
            {
              name: 'back',
              label: 'Does the old serve for the new?',
              type: 'select',
              required: true,
              options: [
                { value: 'unsaid', words: 'nobody says' },
                { value: 'yes', words: 'yes' },
                { value: 'no', words: 'no' },
              ],
            },
            { name: 'since', label: 'Since', type: 'text', hint: '2004, 2004-03 or 2004-03-15' },
            ...SAID,
            ...(photos.length > 0 ? [photo] : []),
          ]}
          initial={{ issuer: own.issuer, old: own.number, back: 'unsaid', grade: 'catalogue' }}
          action="Add supersession"
          submit={({ issuer, old, new: next, since, ...rest }) =>
            write(async () => {
              const added = await call('POST /supersessions', {
                body: {
                  ...rest,
                  since: since || null,
                  old: numbersIn(issuer, old),
                  new: numbersIn(issuer, next),
                  ...saidBy(),
                },
              })
              setBrought({
                by: 'supersession',
                words: [`${old} is replaced by ${next} now.`, ...added.changed],
              })
              return added
            })
          }
        />
        {told('supersession')}
      </Folded>
      <Folded words="Add what it interchanges with">
        <Form
          id={`interchange-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer of the other', type: 'text', required: true },
            { name: 'number', label: 'The other number', type: 'text', required: true },
            {
              name: 'serves',
              label: 'Do they serve for one another?',
              type: 'select',
              required: true,
              options: [
                { value: 'yes', words: 'yes' },
                { value: 'no', words: 'no, whatever is said elsewhere' },
              ],
            },
            ...SAID,
            ...(photos.length > 0 ? [photo] : []),
            ...WHERE,
          ]}
          initial={{ serves: 'yes', grade: 'heard' }}
          action="Add interchange"
          submit={({ issuer, number, serves, grade, source, photoId, ...values }) =>
            write(async () => {
              const added = await call('POST /interchanges', {
                body: {
                  members: [own, { issuer, number }],
                  serves,
                  grade,
                  source,
                  photoId,
                  scope: scopeOf(values),
                  ...saidBy(),
                },
              })
              setBrought({
                by: 'interchange',
                words: [
                  `${own.number} and ${number} ${serves === 'yes' ? 'serve' : 'do not serve'} for one another now.`,
                  ...added.changed,
                ],
              })
              return added
            })
          }
        />
        {told('interchange')}
      </Folded>
      <Folded words="Add what it fits">
        <Form
          id={`application-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'number', label: 'Number', type: 'text', required: true },
            {
              name: 'fits',
              label: 'Does it fit?',
              type: 'select',
              required: true,
              options: [
                { value: 'yes', words: 'it fits' },
                { value: 'no', words: 'it does not fit' },
              ],
            },
            ...SAID,
            ...(photos.length > 0 ? [photo] : []),
            ...WHERE,
          ]}
          initial={{ ...own, fits: 'yes', grade: 'catalogue' }}
          action="Add what it fits"
          submit={({ issuer, number, fits, grade, source, photoId, ...values }) =>
            write(async () => {
              const added = await call('POST /applications', {
                body: {
                  issuer,
                  number,
                  fits,
                  grade,
                  source,
                  photoId,
                  scope: scopeOf(values),
                  ...saidBy(),
                },
              })
              setBrought({
                by: 'application',
                words: [`${number} is listed now.`, ...added.changed],
              })
              return added
            })
          }
        />
        {told('application')}
      </Folded>
    </>
  )
}

/** What was added last, by which form, and what it brings along. */
type Brought = { readonly by: string; readonly words: readonly string[] } | null

const Told = ({ words }: { words: readonly string[] }) => (
  <p role="status" className="my-2 border-l-[3px] border-accent pl-2.5">
    {words.join(' ')}
  </p>
)

const numbersIn = (issuer: string, typed: string) =>
  typed
    .split('|')
    .map((number) => number.trim())
    .filter((number) => number !== '')
    .map((number) => ({ issuer, number }))
