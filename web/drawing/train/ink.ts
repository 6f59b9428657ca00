import type { Detail, Look } from './mark.ts'

/** A colour of the theme by its name. */
export type Tone =
  | 'bench'
  | 'ground'
  | 'paper'
  | 'ink'
  | 'steel'
  | 'line'
  | 'accent'
  | 'cover'
  | 'pressed'
  | 'hatch'
  | 'hatch-other'
  | 'hatch-fine'

export interface Ink {
  readonly fill: Tone | null
  readonly stroke: Tone | null
  /** px, whatever the scale. */
  readonly width: number
}

/** How each mark is inked: castings bench, pressings lighter, turned parts ground, rubber ink, put in petrol, cut hatched, the vehicle in line colour. */
export const INKS: Readonly<Record<Look, Ink>> = {
  casting: { fill: 'bench', stroke: 'ink', width: 1.05 },
  cover: { fill: 'cover', stroke: 'ink', width: 1.05 },
  pressed: { fill: 'pressed', stroke: 'ink', width: 1.05 },
  turned: { fill: 'ground', stroke: 'ink', width: 1 },
  hollow: { fill: null, stroke: 'ink', width: 1.2 },
  inside: { fill: null, stroke: 'steel', width: 0.6 },
  faint: { fill: null, stroke: 'steel', width: 0.4 },
  piston: { fill: 'ground', stroke: 'steel', width: 0.7 },
  rubber: { fill: 'ink', stroke: null, width: 0 },
  'put-in': { fill: 'accent', stroke: null, width: 0 },
  cut: { fill: 'hatch', stroke: 'ink', width: 1 },
  'cut-other': { fill: 'hatch-other', stroke: 'ink', width: 1 },
  'cut-fine': { fill: 'hatch-fine', stroke: 'ink', width: 1 },
  behind: { fill: null, stroke: 'line', width: 1.1 },
  'behind-far': { fill: null, stroke: 'line', width: 0.8 },
  shell: { fill: null, stroke: 'steel', width: 1.5 },
  hose: { fill: null, stroke: 'accent', width: 1.2 },
  axis: { fill: null, stroke: 'steel', width: 0.6 },
}

/** What nobody measured is a dotted stand-in. */
export const DOTTED = '0.5 3'
export const AXIS_DASH = '14 3 2 3'

/** Scales at which castings and insides begin to be seen, px a mm. */
const FROM: Readonly<Record<Detail, number>> = { silhouette: 0, casting: 0.06, inside: 0.15 }

/** Whether something of this detail is drawn at a scale. */
export const isSeenAt = (detail: Detail, pxPerMm: number): boolean => pxPerMm >= FROM[detail]

/** The tones by day, for a drawing that leaves the application; on screen they follow the theme. */
export const DAY: Readonly<Record<Exclude<Tone, 'hatch' | 'hatch-other' | 'hatch-fine'>, string>> =
  {
    bench: '#e6e1d6',
    cover: '#ddd7c9',
    pressed: '#f1ede3',
    ground: '#fbfaf6',
    paper: '#f4f1ea',
    ink: '#1d2327',
    steel: '#55636b',
    line: '#cfc8b8',
    accent: '#0e6b72',
  }
