import { lowerFirst } from '../quantity/plain-text.ts'
import type { FieldWords } from './field.ts'
import { PORT_KINDS, type PortKindName } from './index.ts'

/** Two figures of one port of which the first must be less; `may equal` where both may be the same. */
type Order = readonly [lesser: string, greater: string, equal?: 'may equal']

/** What cannot be of one part, whatever it is: inner over outer, a hub whose rear stands before its front. */
const ORDERS: Partial<Record<PortKindName, readonly Order[]>> = {
  'crank-flange': [['registerMm', 'circleMm']],
  flywheel: [
    ['registerMm', 'circleMm'],
    ['circleMm', 'outerMm'],
  ],
  'pilot-bore': [['bottomMm', 'mouthMm']],
  'pilot-piece': [['boreMm', 'outerMm']],
  'input-shaft': [
    ['tipMm', 'noseEndMm'],
    ['splineStartMm', 'splineEndMm'],
  ],
  'disc-hub': [['startMm', 'endMm']],
  'cover-fingers': [['travelLowMm', 'travelHighMm', 'may equal']],
  'release-bearing': [['gapLowMm', 'gapHighMm', 'may equal']],
  'clutch-seat': [['innerMm', 'outerMm']],
  'disc-face': [['innerMm', 'outerMm']],
  'release-gear': [['innerMm', 'slaveMm']],
  converter: [['noseMm', 'padCircleMm']],
  'transfer-input': [['depthMm', 'mostMm', 'may equal']],
  propshaft: [['wallMm', 'tubeMm']],
  'shaft-half': [['overlapLowMm', 'overlapHighMm', 'may equal']],
  'lever-opening': [['fromMm', 'toMm']],
}

export interface Contradiction {
  readonly fields: readonly [string, string]
  readonly words: string
}

/**
 * What two known figures of a port say that no part can be; null where nothing does.
 *
 * @param written only what these fields have a part in: what stood wrong before keeps nobody from recording another
 */
export function contradictionIn(
  kind: PortKindName,
  chosen: (field: string) => unknown,
  written?: readonly string[],
): Contradiction | null {
  const words = PORT_KINDS[kind].fields as Readonly<Record<string, FieldWords<unknown>>>
  for (const [lesser, greater, equal] of ORDERS[kind] ?? []) {
    if (written && !written.includes(lesser) && !written.includes(greater)) continue
    const low = chosen(lesser)
    const high = chosen(greater)
    if (typeof low !== 'number' || typeof high !== 'number') continue
    if (equal ? low > high : low >= high)
      return {
        fields: [lesser, greater],
        words: `${words[lesser]!.label} (${shown(low)}) must be less than ${lowerFirst(words[greater]!.label)} (${shown(high)}): no part can be so. Look which was mismeasured, or strike it out.`,
      }
  }
  return null
}

const shown = (value: number): string => String(Number(value.toFixed(3)))
