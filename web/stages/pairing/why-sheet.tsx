import { useState } from 'react'
import type { JointDetail, PairingDetail } from '../../../contract/answers/pairings.ts'
import type { Verdict } from '../../../core/joints/verdict.ts'
import { VERDICT_WORDS } from '../../../core/joints/words.ts'
import { TorqueLine } from '../../components/charts/torque-line.tsx'
import { BELOW_DIALOGS } from '../../components/dialog.tsx'
import { Radios } from '../../components/fields/radios.tsx'
import { JointShape } from '../../components/joint-shape.tsx'
import { MeasureDialog } from '../../components/measuring/measure-dialog.tsx'
import { Button, Folded, GradeWord, SheetHead } from '../../components/ui.tsx'
import { usePageKey } from '../../components/use-page-key.ts'
import { StackDrawing } from '../../drawing/stack.tsx'
import { JointCloseUp } from '../../drawing/train/joint-close-up.tsx'
import { Cautions } from './cautions.tsx'
import { Hardware } from './hardware.tsx'
import { JointClaims } from './joint-claims.tsx'
import { Limits } from './limits-table.tsx'
import { PlateView } from './plate-view.tsx'
import { rounded } from './rounded.ts'
import { Shafts } from './shafts.tsx'

/** Why a joint reads as it does: each limit with its numbers, evidence, what is missing, what would change it. */
export function WhySheet({
  joint,
  build,
  pairing,
  onClose,
}: {
  joint: JointDetail
  build: string
  pairing: PairingDetail
  onClose: () => void
}) {
  const closedBy = pairing.chosenNames
  const [bare, setBare] = useState(joint.closed === undefined)
  const [measuring, setMeasuring] = useState(false)
  const verdict = bare || !joint.closed ? joint.bare : joint.closed
  const asClosed = joint.closed !== undefined && !bare
  usePageKey('m', () => setMeasuring(true), { preventDefault: true })
  usePageKey('esc', onClose, { enabled: !measuring, ...BELOW_DIALOGS })
  return (
    <aside aria-label={`Why: ${joint.title}`} className="flex flex-col gap-3 px-4 py-3">
      <SheetHead
        mark={<JointShape code={verdict.code} evidence={verdict.evidence} />}
        title={`${joint.title}: ${VERDICT_WORDS[verdict.code].word.toLowerCase()}`}
        detail={
          <>
            {verdict.agreed} of {verdict.stated} limits agree
            {verdict.known < verdict.stated ? `, ${verdict.known} known` : ''}
            {verdict.code === 'unmeasured' ? ` · leans ${verdict.lean}` : ''} ·{' '}
            <GradeWord grade={verdict.evidence} />
          </>
        }
        onClose={onClose}
      />
      {joint.closed && (
        <Radios
          label="Which run"
          value={bare ? 'bare' : 'closed'}
          options={[
            { value: 'bare', words: 'Bare, as they meet' },
            { value: 'closed', words: `With ${closedBy.join(' and ')}` },
          ]}
          onChange={(run) => setBare(run === 'bare')}
          className="border-y border-line py-1.5"
        />
      )}
      <p>{joint.decides}</p>
      <JointCloseUp train={pairing.train} joint={joint.joint} />
      <div className="flex flex-wrap gap-2">
        <Button tone="main" onClick={() => setMeasuring(true)}>
          Record measurement
        </Button>
        <Button onClick={() => window.print()}>Print</Button>
      </div>
      {verdict.missing.length > 0 && (
        <p className="border-l-[3px] border-unmeasured pl-2.5">
          Missing:{' '}
          {[
            ...new Set(
              verdict.missing.map((field) => `${field.partName}, ${field.label.toLowerCase()}`),
            ),
          ].join('; ')}
          . About {verdict.minutes} min in all.
        </p>
      )}
      <JointClaims joint={joint} pairing={pairing} />
      <Limits verdict={verdict} />
      {joint.drawing === 'stacks' && <Stacks verdict={verdict} />}
      {verdict.tasks.length > 0 && (
        <div>
          <h3 className="font-bold">Work</h3>
          {verdict.tasks.map((task) => (
            <p key={task.id}>
              {task.words} · <span className="figure">{task.hours} h</span> ·{' '}
              {task.skills.join(', ')}
              {task.reversible ? '' : ' · cannot be undone'}
            </p>
          ))}
        </div>
      )}
      {verdict.pieces.length > 0 && !asClosed && closedBy.length === 0 && (
        <p>
          Nothing in the catalogue closes it: to be made, or add what you found under Catalogue.
        </p>
      )}
      <Shown verdict={verdict} />
      {joint.drawing === 'shafts' && <Shafts build={build} pairing={pairing} />}
      {joint.drawing === 'torque line' && <TorqueLine steps={pairing.torqueLine} />}
      <Hardware hardware={joint.hardware} />
      {joint.drawing === 'holes' && <PlateView pairing={pairing} />}
      <Cautions build={build} joint={joint.joint} cautions={verdict.cautions} />
      <p className="text-steel">Computed from what is known; not an engineering approval.</p>
      {measuring && (
        <MeasureDialog
          build={build}
          title={joint.title}
          verdict={verdict}
          onClose={() => setMeasuring(false)}
        />
      )}
    </aside>
  )
}

/** Every stack of lengths on one datum, to scale, with what it comes to in words. */
function Stacks({ verdict }: { verdict: Verdict }) {
  const stacks = verdict.limits.filter((limit) => limit.value !== null && limit.terms.length > 1)
  if (stacks.length === 0) return null
  return (
    <Folded words={`Draw the ${stacks.length} stacks to scale`}>
      {stacks.map((limit, index) => (
        <figure key={index} className="mb-3">
          <figcaption>
            <b>{limit.label}</b>: {limit.words.charAt(0).toLowerCase() + limit.words.slice(1)}
          </figcaption>
          <StackDrawing limit={limit} />
        </figure>
      ))}
    </Folded>
  )
}

function Shown({ verdict }: { verdict: Verdict }) {
  if (verdict.shown.length === 0) return null
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-3 border-t border-line pt-2 text-steel">
      {verdict.shown.map(({ label, value, unit }, index) => (
        <div key={index} className="contents">
          <dt>{label}</dt>
          <dd className="figure text-right">
            {typeof value === 'number' ? rounded(value) : value} {unit}
          </dd>
        </div>
      ))}
    </dl>
  )
}
