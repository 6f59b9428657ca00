import { type ReactNode, useState } from 'react'
import { Link } from 'react-router'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import type { NumberClaimTable } from '../../../contract/number-inputs.ts'
import { whereWords } from '../../../core/identity/where-text.ts'
import { call } from '../../api/client.ts'
import { Row, Rows } from '../../components/rows.tsx'
import { StrikeForm } from '../../components/strike-form.tsx'
import { Button } from '../../components/ui.tsx'
import { NumberMap } from '../../drawing/number-map.tsx'
import { NumberForms } from './number-forms.tsx'

type Said = Pick<
  PartDetail['numbers'][number],
  | 'id'
  | 'version'
  | 'grade'
  | 'source'
  | 'saidBy'
  | 'day'
  | 'scope'
  | 'photoId'
  | 'struckDay'
  | 'struckBy'
  | 'struckWhy'
>

const BACK = {
  yes: '; the old serves still',
  no: '; the old no longer serves for the new',
  unsaid: '; whether the old serves is not said',
} as const
const MARKS = { catalogue: '', stamped: 'stamped', cast: 'cast' } as const

/** Numbers of the part, and everything that is said of them: each with who says so, and what became of it. */
export function Numbers({ part }: { part: PartDetail }) {
  const { numbers, supersessions, interchanges, applications } = part
  const all = (side: readonly { issuer: string; number: string; quantity: number }[]): string =>
    side
      .map(
        ({ issuer, number, quantity }) =>
          `${quantity > 1 ? `${quantity} × ` : ''}${issuer} ${number}`,
      )
      .join(' and ')
  return (
    <section aria-label="Part numbers">
      <h2 className="mb-1 font-bold">Part numbers</h2>
      {numbers.length === 0 && (
        <p className="text-steel">
          It has none yet. Read one off the part or its box: lines that want it find its sources by
          it.
        </p>
      )}
      <Rows label="Part numbers">
        {numbers.map((one) => (
          <ClaimRow
            key={one.id}
            table="partNumber"
            claim={one}
            name={`${one.issuer} ${one.number}`}
          >
            <span className="figure">
              {one.issuer} {one.number}
            </span>
            {one.mark !== 'catalogue' && (
              <span>{MARKS[one.mark]}: others of its kind may bear it</span>
            )}
            {!one.struckDay &&
              one.alsoOn.map((other) => (
                <span key={other.id} className={other.mark === one.mark ? 'font-semibold' : ''}>
                  also on{' '}
                  <Link
                    className="text-accent underline"
                    to={`/catalogue/parts/${encodeURIComponent(other.id)}`}
                  >
                    {other.name}
                  </Link>
                </span>
              ))}
          </ClaimRow>
        ))}
      </Rows>
      <Drawn part={part} />
      {supersessions.length > 0 && <h3 className="mt-3 font-semibold">Replaced</h3>}
      <Rows label="Supersessions">
        {supersessions.map((one) => (
          <ClaimRow key={one.id} table="supersession" claim={one} name={all(one.old)}>
            <span>
              <span className="figure">{all(one.old)}</span> replaced by{' '}
              <span className="figure">{all(one.new)}</span>
              {BACK[one.back]}
              {one.since && `, since ${one.since}`}
              {one.until && `, until ${one.until}`}
            </span>
          </ClaimRow>
        ))}
      </Rows>
      {interchanges.length > 0 && <h3 className="mt-3 font-semibold">Interchange</h3>}
      <Rows label="Interchange">
        {interchanges.map((one) => (
          <ClaimRow
            key={one.id}
            table="interchange"
            claim={one}
            name={one.members.map(({ number }) => number).join(', ')}
          >
            <span>
              <span className="figure">
                {one.members.map(({ issuer, number }) => `${issuer} ${number}`).join(', ')}
              </span>{' '}
              {one.serves === 'yes' ? 'serve for one another' : 'do not serve for one another'}
            </span>
          </ClaimRow>
        ))}
      </Rows>
      {applications.length > 0 && <h3 className="mt-3 font-semibold">What it is listed for</h3>}
      <Rows label="Applications">
        {applications.map((one) => (
          <ClaimRow
            key={one.id}
            table="application"
            claim={one}
            name={`${one.number} for ${whereWords(one.scope)}`}
          >
            <span>
              <span className="figure">{one.number}</span>{' '}
              {one.fits === 'yes' ? 'fits' : <b>does not fit</b>}
            </span>
          </ClaimRow>
        ))}
      </Rows>
      <NumberForms part={part} />
    </section>
  )
}

/** What hangs together with the numbers of a part, as far as it stands: one box for a number in all its spellings. */
function Drawn({ part: { numbers, supersessions, interchanges } }: { part: PartDetail }) {
  const own = new Set(numbers.flatMap(({ key, struckDay }) => (struckDay ? [] : key)))
  const replaced = supersessions
    .filter(({ struckDay }) => !struckDay)
    .flatMap(({ old, new: next, back }) =>
      old.flatMap((from) =>
        next.map((to) => ({ from, to, isLevel: false, isBothWays: back === 'yes' })),
      ),
    )
  const level = interchanges
    .filter(({ struckDay, serves }) => !struckDay && serves === 'yes')
    .flatMap(({ members }) =>
      members.slice(1).map((to, i) => ({
        from: members[i]!,
        to,
        isLevel: true,
        isBothWays: members[i]!.way === 'both' && to.way === 'both',
      })),
    )
  const edges = [...replaced, ...level]
  if (edges.length === 0) return null
  const wordsOf = new Map(
    edges.flatMap(({ from, to }) =>
      [from, to].map(({ key, issuer, number }) => [key, `${issuer} ${number}`] as const),
    ),
  )
  return (
    <div className="my-2">
      <NumberMap
        nodes={[...wordsOf].map(([id, words]) => ({ id, words, isOwn: own.has(id) }))}
        edges={edges.map(({ from, to, ...how }) => ({ ...how, from: from.key, to: to.key }))}
        label={edges
          .map(
            ({ from, to, isLevel }) =>
              `${wordsOf.get(from.key)} ${isLevel ? 'stands for' : 'replaced by'} ${wordsOf.get(to.key)}`,
          )
          .join('; ')}
      />
      <p className="text-steel">
        Down: replaced by. {level.length > 0 && 'Dashed: one for the other. '}Filled: of this part.
      </p>
    </div>
  )
}

/** One claim: what it says, where it holds, who says so; struck out it stays to be read. */
function ClaimRow({
  table,
  claim,
  name,
  children,
}: {
  table: NumberClaimTable
  claim: Said
  name: string
  children: ReactNode
}) {
  const [isAsking, setAsking] = useState(false)
  const { grade, saidBy, source, day, photoId, scope, struckDay, struckBy, struckWhy } = claim
  const where = whereWords(scope)
  return (
    <Row
      end={
        !struckDay && (
          <Button
            tone="quiet"
            aria-label={`Strike out ${name}`}
            onClick={() => setAsking(!isAsking)}
          >
            Strike out
          </Button>
        )
      }
      below={
        isAsking &&
        !struckDay && (
          <StrikeForm
            like="read wrong, another variant, a doubtful list"
            strike={(why, by) =>
              call('POST /number-claims/{id}/strike', {
                params: { id: claim.id },
                body: { table, version: claim.version, why, by },
              })
            }
            onDone={() => setAsking(false)}
          />
        )
      }
    >
      <span className={struckDay ? 'flex flex-wrap gap-x-3 line-through' : 'contents'}>
        {children}
      </span>
      {where && <span>{where}</span>}
      {scope?.do?.map((one) => (
        <span key={one}>to do: {one}</span>
      ))}
      {photoId && (
        <a href={`/api/photos/${photoId}/image`} className="text-accent underline">
          photo
        </a>
      )}
      <span className="text-steel">{[grade, saidBy, source, day].filter(Boolean).join(', ')}</span>
      {struckDay && (
        <span className="text-steel">
          struck out {struckDay}
          {struckBy ? ` by ${struckBy}` : ''}: {struckWhy}
        </span>
      )}
    </Row>
  )
}
