import { useMemo } from 'react'
import { Link } from 'react-router'
import type { FirstAnswer } from '../../../contract/answers/builds.ts'
import { CODES } from '../../../core/joints/code.ts'
import { strength } from '../../../core/quantity/grade.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { GradeWord } from '../../components/ui.tsx'

type FirstVerdict = FirstAnswer['joints'][number]

const columnsOf = (
  build: string,
  { engineId, transmissionId }: FirstAnswer,
): readonly Column<FirstVerdict>[] => [
  {
    id: 'joint',
    head: 'Joint',
    isFixed: true,
    value: (one) => one.title,
    cell: (one) => (
      <Link
        className="text-accent underline underline-offset-2"
        to={`/builds/${build}/pairing?engine=${engineId}&transmission=${transmissionId}&joint=${one.joint}`}
      >
        {one.title}
      </Link>
    ),
  },
  {
    id: 'reads',
    head: 'Reads',
    value: (one) => CODES.indexOf(one.code),
    cell: (one) => <JointShape code={one.code} evidence={one.evidence} word />,
  },
  {
    id: 'leans',
    head: 'Leans',
    value: (one) => (one.code === 'unmeasured' ? one.lean : null),
  },
  {
    id: 'agree',
    head: 'Agree',
    align: 'right',
    value: (one) => one.agreed / Math.max(1, one.stated),
    cell: (one) => `${one.agreed} of ${one.stated}`,
  },
  {
    id: 'evidence',
    head: 'Evidence',
    value: (one) => (one.evidence === null ? null : strength(one.evidence)),
    cell: (one) => <GradeWord grade={one.evidence} />,
  },
]

/** What each joint reads by what is known so far, and which way it leans. */
export function FirstVerdicts({ build, answer }: { build: string; answer: FirstAnswer }) {
  const columns = useMemo(() => columnsOf(build, answer), [build, answer])
  return (
    <section>
      <h2 className="mb-1 font-bold">First verdicts</h2>
      <DataTable
        id="first-verdicts"
        what="verdicts"
        hasTools={false}
        rows={answer.joints}
        columns={columns}
        keyOf={({ joint }) => joint}
      />
      <p className="mt-1 text-steel">Computed from what is known; not an engineering approval.</p>
    </section>
  )
}
