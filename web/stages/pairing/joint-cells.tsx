import clsx from 'clsx'
import { createContext, useContext } from 'react'
import { CODES } from '../../../core/joints/code.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import type { StripPlace } from '../../../core/joints/joint.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { lights } from '../../components/lit-joint.ts'
import type { Column } from '../../components/table/column.ts'
import { Tip } from '../../components/tip.tsx'
import type { JointRead, PairingRow } from './pairing-rows.ts'

/** The joint that is looked into on the marked row: only that row is drawn again when it changes. */
export const LookedInto = createContext<string | null>(null)

type Joint = (typeof JOINTS)[number]
export type Look = (row: PairingRow, joint: string | null) => void

const codeOf = (row: PairingRow, { id }: Joint): JointRead | undefined =>
  row.joints.find(({ joint }) => joint === id)

/** Joints that read alike in every row: they tell nothing apart, and are folded. */
export function alikeIn(rows: readonly PairingRow[]): ReadonlySet<string> {
  const [first] = rows
  if (!first || rows.length < 2) return new Set()
  const reads = ({ code, closed }: JointRead): string => `${code} ${closed ?? ''}`
  const alike = new Map(
    JOINTS.map(({ id }) => {
      const own = first.joints.find(({ joint }) => joint === id)
      return [id as string, own ? reads(own) : null]
    }),
  )
  for (const row of rows) {
    if (alike.size === 0) break
    const own = new Map(row.joints.map((one) => [one.joint, one]))
    for (const [id, said] of alike) {
      const one = own.get(id)
      if ((one ? reads(one) : null) !== said) alike.delete(id)
    }
  }
  return new Set(alike.keys())
}

/** A column a joint, front to back: those that apply to any row, and do not read alike in all. */
export const jointColumns = (
  rows: readonly PairingRow[],
  alike: ReadonlySet<string>,
  look: Look,
): Column<PairingRow>[] =>
  JOINTS.filter((joint) => !alike.has(joint.id) && rows.some((row) => codeOf(row, joint))).map(
    (joint): Column<PairingRow> => ({
      id: joint.id,
      head: joint.short,
      title: joint.title,
      isUpright: true,
      value: (row) => {
        const cell = codeOf(row, joint)
        return cell && (cell.closed ?? cell.code)
      },
      cell: (row, isMarked) => (
        <JointCell row={row} joint={joint} isMarked={isMarked} onLook={() => look(row, joint.id)} />
      ),
    }),
  )

const PLACES: readonly (readonly [string, readonly StripPlace[]])[] = [
  ['Front', ['front', 'engine mounts', 'sump']],
  ['Mating', ['face', 'flange', 'pilot', 'release', 'starter']],
  ['Gearbox', ['gearbox', 'gearbox mount', 'lever', 'transfer case']],
  ['Line', ['output', 'side outputs']],
]

/** A column a place, where there is no room for one a joint: its worst shape, and how many there are not settled. */
export const placeColumns = (look: Look): Column<PairingRow>[] =>
  PLACES.map(([head, places]): Column<PairingRow> => {
    const joints = JOINTS.filter(({ strip }) => places.includes(strip))
    const unsettled = (row: PairingRow): readonly { joint: Joint; read: JointRead }[] =>
      joints.flatMap((joint) => {
        const read = codeOf(row, joint)
        return read && (read.closed ?? read.code) !== 'fits' ? { joint, read } : []
      })
    return {
      id: `place:${head}`,
      head,
      title: `Joints that are not settled: ${joints.map(({ title }) => title.toLowerCase()).join(', ')}`,
      isUpright: true,
      value: (row) => unsettled(row).length,
      cell: (row, isMarked) => {
        const found = unsettled(row)
        const rank = ({ code, closed }: JointRead): number => CODES.indexOf(closed ?? code)
        const worst = found.toSorted((p, q) => rank(q.read) - rank(p.read))[0]
        if (!joints.some((joint) => codeOf(row, joint))) return null
        if (!worst) return <JointShape code="fits" small />
        return (
          <button
            type="button"
            tabIndex={isMarked ? 0 : -1}
            aria-label={`${head}: ${found.length} not settled, ${row.engine} with ${row.transmission}`}
            className="inline-flex items-center gap-0.5 rounded px-px hover:bg-ground"
            onClick={() => look(row, worst.joint.id)}
            {...lights(worst.joint.id)}
          >
            <JointShape
              code={worst.read.code}
              closed={worst.read.closed}
              evidence={worst.read.evidence}
              small
            />
            <span className="figure text-[12px]">{found.length}</span>
          </button>
        )
      },
    }
  })

/** What two parts read where they meet; pressed, why. Of the rows only the marked one is walked by Tab. */
function JointCell({
  row,
  joint,
  isMarked,
  onLook,
}: {
  row: PairingRow
  joint: Joint
  isMarked: boolean
  onLook: () => void
}) {
  const cell = codeOf(row, joint)
  if (!cell) return null
  const shape = <JointShape code={cell.code} closed={cell.closed} evidence={cell.evidence} small />
  const says = `${row.key}-${joint.id}`
  return (
    <Pressed isMarked={isMarked} joint={joint.id}>
      <button
        type="button"
        tabIndex={isMarked ? 0 : -1}
        aria-label={`${joint.title}, ${row.engine} with ${row.transmission}`}
        aria-describedby={says}
        className="block rounded py-1 hover:bg-ground"
        onClick={onLook}
        {...lights(joint.id)}
      >
        <span id={says}>{shape}</span>
        {cell.conflicts && (
          <Tip words="A claim disagrees with what is computed">
            <span className="font-bold">
              ≠<span className="sr-only"> a claim disagrees</span>
            </span>
          </Tip>
        )}
      </button>
    </Pressed>
  )
}

/** An outline round the joint that is looked into. */
const Pressed = ({
  isMarked,
  joint,
  children,
}: {
  isMarked: boolean
  joint: string
  children: React.ReactNode
}) => (isMarked ? <Outlined joint={joint}>{children}</Outlined> : <span>{children}</span>)

function Outlined({ joint, children }: { joint: string; children: React.ReactNode }) {
  const isHere = useContext(LookedInto) === joint
  return (
    <span className={clsx('block rounded', isHere && 'bg-ground outline outline-accent')}>
      {children}
    </span>
  )
}
