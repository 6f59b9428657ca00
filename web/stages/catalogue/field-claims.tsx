import { useState } from 'react'
import type { FieldView } from '../../../contract/answers/catalogue.ts'
import { call } from '../../api/client.ts'
import { Row, Rows } from '../../components/rows.tsx'
import { StrikeForm } from '../../components/strike-form.tsx'
import { Button, Folded } from '../../components/ui.tsx'

type Claim = FieldView['claims'][number]

const whoSaid = ({ grade, saidBy, source, day }: Claim): string =>
  [grade, saidBy, source, day].filter(Boolean).join(', ')

/** Everything that was said of one field: what is leaned on, what is not and why, what is struck out. */
export function FieldClaims({ field: { label, claims } }: { field: FieldView }) {
  const [first] = claims
  if (!first) return null
  return (
    <>
      {claims.some(({ isImpossible, struckDay }) => isImpossible && !struckDay) && (
        <p className="border-l-[3px] border-rule pl-2 font-sans">
          One claim says what no part can have. It is kept and not used: record it anew, or strike
          it out.
        </p>
      )}
      <Folded words={claims.length === 1 ? whoSaid(first) : `${claims.length} claims`}>
        <div className="font-sans">
          <Rows label={`Claims on ${label}`}>
            {claims.map((claim) => (
              <OneClaim key={claim.id} claim={claim} label={label} />
            ))}
          </Rows>
        </div>
      </Folded>
    </>
  )
}

function OneClaim({ claim, label }: { claim: Claim; label: string }) {
  const [isAsking, setAsking] = useState(false)
  const isStruck = Boolean(claim.struckDay)
  return (
    <Row
      end={
        !isStruck && (
          <Button
            tone="quiet"
            aria-label={`Strike out ${claim.shown} of ${label}`}
            onClick={() => setAsking(!isAsking)}
          >
            Strike out
          </Button>
        )
      }
      below={
        isAsking &&
        !isStruck && (
          <StrikeForm
            strike={(why, by) =>
              call('POST /claims/{id}/strike', {
                params: { id: claim.id },
                body: { version: claim.version, why, by },
              })
            }
            onDone={() => setAsking(false)}
          />
        )
      }
    >
      <span className={isStruck ? 'figure line-through' : 'figure'}>{claim.shown}</span>
      <span className="text-steel">
        {whoSaid(claim)}
        {claim.used ? ' · leaned on' : claim.isImpossible ? ' · no part can have it' : ''}
      </span>
      {isStruck && (
        <span className="text-steel">
          struck out {claim.struckDay}
          {claim.struckBy ? ` by ${claim.struckBy}` : ''}: {claim.struckWhy}
        </span>
      )}
    </Row>
  )
}
