import { useParams } from 'react-router'
import { BENCH_STEPS } from '../../../core/mating/bench-check.ts'
import { risksIn } from '../../../core/sheets/sheet.ts'
import { useBuildSheet } from '../../api/build-sheet.ts'
import { Photos } from '../../components/photos/photos.tsx'
import { QueueState } from '../../components/queue-state.tsx'
import { SheetSteps } from '../../components/sheet-steps.tsx'
import { Button, ButtonLink, PageHead } from '../../components/ui.tsx'

/** A loose gearbox on the bench: each gear, each shaft, and what a no puts at risk. */
export function Component() {
  const { build = '' } = useParams()
  const { answers, waiting, fault, passedOver, say } = useBuildSheet(build, 'bench')
  const risks = risksIn(BENCH_STEPS, answers)
  return (
    <>
      <PageHead
        title="Loose gearbox, on the bench"
        detail="before it is paid for, and again before it is mated"
      >
        <Button onClick={() => window.print()}>Print</Button>
        <ButtonLink to={`/builds/${build}/mating`}>Mating card</ButtonLink>
      </PageHead>
      <QueueState
        waiting={waiting}
        fault={fault}
        passedOver={passedOver}
        kept="Every answer is kept with the build as it is given."
      />
      <div className="max-w-3xl px-4 pb-16 text-[15px]">
        <Photos of={{ buildId: build, spot: 'sheet:bench' }} what="the gearbox on the bench" />
        <SheetSteps steps={BENCH_STEPS} answers={answers} onSay={say} />
        {risks.length === 0 ? (
          <p className="text-steel">Nothing at risk by what was found so far.</p>
        ) : (
          <p className="font-semibold">{risks.length} at risk, said at each question above.</p>
        )}
      </div>
    </>
  )
}
