import { useState } from 'react'
import { Link } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Row, Rows } from '../../components/rows.tsx'
import { StrikeForm } from '../../components/strike-form.tsx'
import { Button, ButtonLink, Empty, GradeWord, Loaded, PageHead } from '../../components/ui.tsx'

type Conflict = Answer<'GET /number-conflicts'>['items'][number]

/** Claims on numbers that cannot all be so: what is claimed, by whom, and what hangs on it; one of them is struck out. */
export function Component() {
  const conflicts = useAnswer('GET /number-conflicts')
  return (
    <>
      <PageHead
        title="Numbers in conflict"
        detail="Claims that cannot all be so, and what hangs on them"
      >
        <ButtonLink to="/catalogue">Catalogue</ButtonLink>
      </PageHead>
      <div className="max-w-4xl px-4 pb-12">
        <Loaded of={conflicts} what="the conflicts">
          {({ items }) =>
            items.length === 0 ? (
              <Empty>
                No two claims on a number contradict each other: no catalogue number on two parts,
                no supersessions in a circle, nothing that is said to fit and not to fit.
              </Empty>
            ) : (
              items.map((one) => <OneConflict key={one.claims[0]?.id} conflict={one} />)
            )
          }
        </Loaded>
      </div>
    </>
  )
}

function OneConflict({ conflict: { words, claims, parts, hangs } }: { conflict: Conflict }) {
  return (
    <section className="border-b border-line py-3">
      <h2 className="font-bold">{words}</h2>
      <Rows label="Claims">
        {claims.map((claim) => (
          <Claim key={claim.id} claim={claim} />
        ))}
      </Rows>
      {parts.length > 0 && (
        <p className="pt-1">
          Parts:{' '}
          {parts.map(({ id, name }, i) => (
            <span key={id}>
              {i > 0 && ', '}
              <Link
                className="text-accent underline"
                to={`/catalogue/parts/${encodeURIComponent(id)}`}
              >
                {name}
              </Link>
            </span>
          ))}
        </p>
      )}
      <p className="text-steel">
        {hangs.length > 0
          ? `Hangs on it: ${hangs.map(({ name, as }) => `${name} (${as.join(', ')})`).join('; ')}`
          : 'No build stands on it.'}
      </p>
    </section>
  )
}

function Claim({ claim }: { claim: Conflict['claims'][number] }) {
  const [isAsking, setAsking] = useState(false)
  return (
    <Row
      end={
        <Button
          tone="quiet"
          aria-label={`Strike out: ${claim.words}`}
          onClick={() => setAsking(!isAsking)}
        >
          Strike out
        </Button>
      }
      below={
        isAsking && (
          <StrikeForm
            like="read wrong, another variant, a doubtful list"
            strike={(why, by) =>
              call('POST /number-claims/{id}/strike', {
                params: { id: claim.id },
                body: { table: claim.table, version: claim.version, why, by },
              })
            }
            onDone={() => setAsking(false)}
          />
        )
      }
    >
      <span>{claim.words}</span>
      <span className="text-steel">
        <GradeWord grade={claim.grade} /> {[claim.saidBy, claim.source].filter(Boolean).join(', ')}
      </span>
    </Row>
  )
}
