import type { Code } from '../../../core/joints/code.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import type { Verdict } from '../../../core/joints/verdict.ts'
import { effective } from '../../../core/pairing/order.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'

/** What is compared of a pairing. */
export interface ComparedPairing {
  readonly chosenNames: readonly string[]
  readonly joints: readonly {
    readonly joint: string
    readonly bare: Verdict
    readonly closed?: Verdict | undefined
  }[]
}

/** What one pairing reads at a joint, with what decides it in a few words. */
export interface Cell {
  readonly code: Code
  /** Bare, where a piece closes it. */
  readonly bare: Code
  readonly words: string
}

export interface Difference {
  readonly joint: string
  readonly short: string
  readonly title: string
  /** One a pairing, in the order they were picked; null where the joint does not apply. */
  readonly cells: readonly (Cell | null)[]
}

/** What decides a verdict, in a few words: the task, the piece, what is missing, or the limit that is passed. */
export function decides(verdict: Verdict, closedBy: readonly string[]): string {
  const worst = verdict.limits.find(({ code }) => code === verdict.code)
  switch (verdict.code) {
    case 'fits':
      return closedBy.length > 0 ? closedBy.join(' + ') : 'mates as it is'
    case 'work':
      return verdict.tasks[0]?.words ?? worst?.words ?? 'work'
    case 'bridge':
      return verdict.pieces.length > 0
        ? verdict.pieces.map((kind) => kindWords(kind).toLowerCase()).join(' or ')
        : (worst?.label ?? 'a piece')
    case 'unmeasured': {
      const [first, ...rest] = verdict.missing
      return first
        ? `${first.label.toLowerCase()}${rest.length > 0 ? ` and ${rest.length} more` : ''}`
        : (worst?.words ?? 'not measured')
    }
    case 'clash':
      return worst
        ? `${worst.label.toLowerCase()}${worst.margin === null ? '' : `: ${Math.round(worst.margin * 10) / 10} ${worst.unit}`.replace('-', '−')}`
        : 'clashes'
  }
}

/** Joints at which the pairings differ, front to back, and how many read alike in all. */
export function differencesOf(details: readonly ComparedPairing[]): {
  readonly differing: readonly Difference[]
  readonly alike: number
} {
  const rows = JOINTS.flatMap(({ id, short, title }): Difference[] => {
    const cells = details.map((detail): Cell | null => {
      const found = detail.joints.find(({ joint }) => joint === id)
      if (!found) return null
      const verdict = effective(found)
      const isClosed = found.closed !== undefined && found.closed.code !== found.bare.code
      return {
        code: verdict.code,
        bare: found.bare.code,
        words: decides(verdict, isClosed ? detail.chosenNames : []),
      }
    })
    return cells.some((cell) => cell !== null) ? [{ joint: id, short, title, cells }] : []
  })
  const isAlike = ({ cells: [first, ...rest] }: Difference): boolean =>
    rest.every((cell) => cell?.code === first?.code && cell?.words === first?.words)
  return {
    differing: rows.filter((row) => !isAlike(row)),
    alike: rows.filter(isAlike).length,
  }
}
