import { useState } from 'react'
import type { JointDetail, PairingDetail } from '../../../contract/answers/pairings.ts'
import type { JointClaim as JointClaimRow } from '../../../contract/answers/rows.ts'
import { VERDICT_WORDS } from '../../../core/joints/words.ts'
import { effective } from '../../../core/pairing/order.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Button, GradeWord } from '../../components/ui.tsx'
import { Sentence } from './claim-sentence.tsx'

/** What people say of this joint as a whole, beside what is computed. */
export function JointClaims({ joint, pairing }: { joint: JointDetail; pairing: PairingDetail }) {
  const [saying, setSaying] = useState(false)
  return (
    <section aria-label="Said of this joint">
      {joint.answer && (
        <div className="border-l-[3px] border-accent pl-2.5">
          <b>Reads {VERDICT_WORDS[joint.answer.code].word.toLowerCase()} by what was said</b>,{' '}
          <GradeWord grade={joint.answer.evidence} />; computed:{' '}
          {VERDICT_WORDS[
            (joint.answer.run === 'closed' ? effective(joint) : joint.bare).code
          ].word.toLowerCase()}
          .
          <Said claim={joint.answer.claim} />
        </div>
      )}
      {joint.conflicts.map((claim) => (
        <div key={claim.id} className="border-l-[3px] border-clash pl-2.5">
          <b>A claim disagrees with what is computed.</b> The computed verdict stands; look at both:
          another variant, an altered part, or a measurement gone wrong.
          <Said claim={claim} />
        </div>
      ))}
      <Button tone="quiet" className="mt-1" onClick={() => setSaying(true)}>
        Say what is known of this joint as a whole
      </Button>
      {saying && (
        <Dialog
          open
          onOpenChange={() => setSaying(false)}
          title="What is known of it as a whole"
          size="wide"
        >
          <Sentence joint={joint} pairing={pairing} onDone={() => setSaying(false)} />
        </Dialog>
      )}
    </section>
  )
}

function Said({ claim }: { claim: JointClaimRow }) {
  return (
    <p>
      {claim.sentence || (claim.says === 'yes' ? 'They go together.' : 'They do not go together.')}{' '}
      <span className="text-steel">
        {[
          claim.source,
          claim.saidBy,
          claim.day,
          claim.distanceKm === null ? null : `${claim.distanceKm} km since`,
          claim.changes ? `changed: ${claim.changes}` : null,
          claim.known === null ? null : `${claim.known} such known`,
        ]
          .filter(Boolean)
          .join(', ')}
      </span>{' '}
      <Button
        tone="quiet"
        onClick={() =>
          void removeWithUndo(
            'DELETE /joint-claims/{id}',
            { params: { id: claim.id } },
            'That is taken off.',
          )
        }
      >
        Take it off
      </Button>
    </p>
  )
}
