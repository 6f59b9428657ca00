import { useMemo, useState } from 'react'
import type { PartLine } from '../../../contract/answers/planning.ts'
import { groupBy } from '../../../core/group.ts'

/** Small pieces of a list as they are read: under what they belong to, folded until asked for. */
export interface SmallPieces {
  readonly isPiece: (line: PartLine) => boolean
  readonly isFolded: (line: PartLine) => boolean
  readonly countOf: (line: PartLine) => number
  readonly isOpen: (line: PartLine) => boolean
  readonly toggle: (line: PartLine) => void
}

/** So few are read as they stand. */
const WORTH_FOLDING = 2

/**
 * Lines in the order given, small pieces after what they belong to where that is shown; under its head by place, else in the
 * same group only.
 * @param groupOf the head a line stands under
 * @param marked the line that is looked at: its neighbours are unfolded with it
 */
export function useSmallPieces(
  lines: readonly PartLine[],
  groupOf: (line: PartLine) => string,
  isByPlace: boolean,
  marked: string | null,
): {
  readonly rows: readonly PartLine[]
  readonly small: SmallPieces
  readonly groupOf: (line: PartLine) => string
} {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set())
  const { rows, pieces, headGroup } = useMemo(() => {
    const shown = new Map(lines.map((line) => [line.id, line]))
    const isBeside = (line: PartLine): boolean => {
      const head = line.belongsTo === null ? undefined : shown.get(line.belongsTo)
      return head !== undefined && (isByPlace || groupOf(head) === groupOf(line))
    }
    const pieces = new Map(
      [...groupBy(lines.filter(isBeside), (line) => line.belongsTo ?? '')].filter(
        ([, some]) => some.length >= WORTH_FOLDING,
      ),
    )
    const under = new Map(
      [...pieces].flatMap(([head, some]) => some.map((line) => [line, shown.get(head)!] as const)),
    )
    return {
      pieces,
      headGroup: (line: PartLine) => groupOf(under.get(line) ?? line),
      rows: lines.flatMap((line) =>
        under.has(line) ? [] : [line, ...(pieces.get(line.id) ?? [])],
      ),
    }
  }, [lines, groupOf, isByPlace])
  const small = useMemo((): SmallPieces => {
    const heads = new Map(
      [...pieces].flatMap(([head, some]) => some.map(({ id }) => [id, head] as const)),
    )
    const looked = heads.get(marked ?? '')
    return {
      isPiece: ({ id }) => heads.has(id),
      isFolded: ({ id }) => heads.has(id) && heads.get(id) !== looked && !open.has(heads.get(id)!),
      countOf: ({ id }) => pieces.get(id)?.length ?? 0,
      isOpen: ({ id }) => open.has(id) || id === looked,
      toggle: ({ id }) =>
        setOpen((before) => {
          const next = new Set(before)
          if (!next.delete(id)) next.add(id)
          return next
        }),
    }
  }, [pieces, open, marked])
  return { rows, small, groupOf: headGroup }
}
