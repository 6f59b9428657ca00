/** Slack on inclusive limits, in the field's unit. */
export const SLACK = 1e-6

/** A value, how far it may be down or up from there, and a window with both ends of each end. */
export interface Measured {
  value: number
  down: number
  up: number
  low: number
  high: number
  /** How far each end of the window may lie, either way. */
  lowLeast: number
  lowMost: number
  highLeast: number
  highMost: number
}

export type Standing = 'agrees' | 'straddles' | 'under' | 'over'

/** The one place where a value meets its window: at nominal, or, where damage is at stake, with everything at its bad end. */
export function judge(m: Measured, isDamage: boolean): Standing {
  if (isDamage) {
    if (m.value - m.down >= m.lowMost - SLACK && m.value + m.up <= m.highLeast + SLACK)
      return 'agrees'
    if (m.value + m.up < m.lowLeast - SLACK) return 'under'
    if (m.value - m.down > m.highMost + SLACK) return 'over'
    return 'straddles'
  }
  if (m.value < m.low - SLACK) return 'under'
  return m.value > m.high + SLACK ? 'over' : 'agrees'
}

/** True where the nominal value alone stands outside. */
export const isOutside = ({ value, low, high }: Measured): boolean =>
  value < low - SLACK || value > high + SLACK
