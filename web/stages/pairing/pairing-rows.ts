import type { PairingFigures, Pairings } from '../../../contract/answers/pairings.ts'
import type { Code } from '../../../core/joints/code.ts'
import type { Lean } from '../../../core/joints/lean.ts'
import { codeOfLetter } from '../../../core/pairing/code-letters.ts'
import { promise } from '../../../core/pairing/order.ts'
import { GRADES, type Grade } from '../../../core/quantity/grade.ts'
import type { PickedPair } from '../compare/picked.ts'

/** One joint of a row. */
export interface JointRead {
  readonly joint: string
  readonly code: Code
  readonly closed: Code | null
  readonly evidence: Grade | null
  readonly lean: Lean | null
  readonly conflicts: boolean
}

/** A pairing as a line of the list; its figures come later. */
export interface PairingRow extends PickedPair {
  readonly key: string
  readonly engine: string
  readonly transmission: string
  readonly transfer: string | null
  readonly family: string | null
  /** Of its gearbox. */
  readonly type: string | null
  readonly engineAt: Pairings['parts'][number]['at']
  readonly transmissionAt: Pairings['parts'][number]['at']
  readonly engineFigure: Pairings['parts'][number]['engine']
  readonly gearboxFigure: Pairings['parts'][number]['gearbox']
  readonly chosen: boolean
  readonly joints: readonly JointRead[]
  readonly weakest: Grade | null
  /** The less the more promising. */
  readonly promise: number
  readonly figures: PairingFigures | null
}

/** A pairing by its parts. */
export const pairingKey = ({ engineId, transmissionId, transferId }: PickedPair): string =>
  [engineId, transmissionId, ...(transferId === null ? [] : [transferId])].join('|')

const LEANS: Readonly<Record<string, Lean>> = { o: 'open', l: 'likely', d: 'doubtful' }

/** Rows of a list as it was answered, without figures. */
export function rowsOf({ rows, parts, joints }: Pairings): readonly PairingRow[] {
  return rows.map((row): PairingRow => {
    const [engine, transmission] = [parts[row.engine]!, parts[row.transmission]!]
    const transfer = row.transfer === null ? null : parts[row.transfer]!
    const ids = {
      engineId: engine.id,
      transmissionId: transmission.id,
      transferId: transfer?.id ?? null,
    }
    return {
      ...ids,
      key: pairingKey(ids),
      engine: engine.name,
      transmission: transmission.name,
      transfer: transfer?.name ?? null,
      family: engine.family,
      type: transmission.type,
      engineAt: engine.at,
      transmissionAt: transmission.at,
      engineFigure: engine.engine,
      gearboxFigure: transmission.gearbox,
      chosen: row.chosen,
      figures: null,
      ...readJoints(joints, row, null),
    }
  })
}

const made = new WeakMap<PairingFigures, { readonly of: PairingRow; readonly row: PairingRow }>()

/** A row with its figures: what closes its joints, and what people said of them, is known with these. Made once. */
export function withFigures(
  row: PairingRow,
  figures: PairingFigures,
  joints: readonly string[],
): PairingRow {
  const held = made.get(figures)
  if (held?.of === row) return held.row
  const found = joined(row, figures, joints)
  made.set(figures, { of: row, row: found })
  return found
}

const joined = (
  row: PairingRow,
  figures: PairingFigures,
  joints: readonly string[],
): PairingRow => ({
  ...row,
  figures,
  ...readJoints(
    joints,
    {
      ...figures,
      leans: joints
        .map((id) => leanLetter(row.joints.find(({ joint }) => joint === id)?.lean))
        .join(''),
    },
    figures,
  ),
})
const leanLetter = (lean: Lean | null | undefined): string => lean?.charAt(0) ?? '-'

function readJoints(
  ids: readonly string[],
  { codes, grades, leans }: { codes: string; grades: string; leans: string },
  figures: PairingFigures | null,
): Pick<PairingRow, 'joints' | 'weakest' | 'promise'> {
  const joints = ids.flatMap((joint, i): JointRead[] => {
    const code = codeOfLetter(codes[i])
    return code === null
      ? []
      : [
          {
            joint,
            code,
            closed: codeOfLetter(figures?.closed[i]),
            evidence: GRADES[Number(grades[i])] ?? null,
            lean: LEANS[leans[i] ?? ''] ?? null,
            conflicts: figures?.conflicting.includes(joint) ?? false,
          },
        ]
  })
  const strengths = joints.flatMap(({ evidence }) =>
    evidence === null ? [] : GRADES.indexOf(evidence),
  )
  return {
    joints,
    weakest: strengths.length === 0 ? null : GRADES[Math.min(...strengths)]!,
    promise: promise({
      joints,
      isWorkedOut: figures !== null,
      chosen: false,
      engine: '',
      transmission: '',
    }),
  }
}

/** Joints that are not measured, as far as the row knows. */
export const openOf = ({ figures, joints }: PairingRow): number =>
  figures?.open ?? joints.filter(({ code }) => code === 'unmeasured').length

/** Of those, how many lean to likely and to doubtful. */
export const leaningOf = ({ joints }: PairingRow): { likely: number; doubtful: number } => {
  const open = joints.filter(({ code, closed }) => (closed ?? code) === 'unmeasured')
  return {
    likely: open.filter(({ lean }) => lean === 'likely').length,
    doubtful: open.filter(({ lean }) => lean === 'doubtful').length,
  }
}
