import type { Dowel, Hole } from '../ports/field.ts'
import { BRIDGE, WORK } from './code.ts'
import {
  bounded,
  counted,
  type Figure,
  type Formula,
  formula,
  type Limit,
  type Step,
} from './judging/declaration.ts'
import { SLACK } from './judging/judge.ts'
import { a, aside, b, type Shop } from './judging/read.ts'
import type { OddHole, PatternMatch } from './search/correspondence.ts'
import { centring, type Faces, matchHoles, registerClearance } from './search/pattern-match.ts'
import type { Outcome, Task } from './verdict.ts'

/*
 * How every bolted and located face is judged: a block and its bell, an adapter, a gearbox and its transfer case. Dowels or
 * a register locate it, bolts clamp it; the axis offset is judged apart from what the bolts would like.
 */

/** How one kind of face names its limits and cures its misses. */
export interface FaceWords {
  readonly ids: Readonly<
    Record<'bolts' | 'dowels' | 'register' | 'seat' | 'process' | 'axis' | 'turn', string>
  >
  /** Pieces that join two patterns that do not meet. */
  readonly pieces: readonly string[]
  readonly piece: string
  readonly axisLabel: string
  readonly turned: Task
  /** Some bolts missing may be made or left out, with this task; null where all must meet. */
  readonly partial: Task | null
}

const REAM: Task = {
  id: 'fit-dowels',
  words: 'Fit, bush or ream dowels; indicate the bore at mating',
  hours: 2,
  skills: ['machine'],
  reversible: false,
}
const INDICATE: Task = {
  id: 'indicate-bore',
  words: 'Indicate the bore at mating, correct with offset dowels',
  hours: 1.5,
  skills: ['mechanic'],
  reversible: true,
  caution: 'Turn the crank by hand with the plugs out and the starter disconnected.',
}

type Holes = readonly Hole[] | null
type Dowels = readonly Dowel[] | null

/** What locates and clamps, as far as it is known; holes are needed where they are searched. */
const STATED = {
  dowelsA: aside(a.face.dowels),
  dowelsB: aside(b.face.dowels),
  boltA: aside(a.face.bolt),
  boltB: aside(b.face.bolt),
  kindA: aside(a.face.registerKind),
  kindB: aside(b.face.registerKind),
  mmA: aside(a.face.registerMm),
  mmB: aside(b.face.registerMm),
}
const PATTERNS = { holesA: a.face.holes, holesB: b.face.holes, ...STATED }
const ASIDE = { holesA: aside(a.face.holes), holesB: aside(b.face.holes), ...STATED }
const NEEDS_DOWELS = {
  ...ASIDE,
  dowelsA: a.face.dowels,
  dowelsB: b.face.dowels,
}
interface Stated {
  readonly dowelsA: Dowels
  readonly dowelsB: Dowels
  readonly boltA: string | null
  readonly boltB: string | null
  readonly kindA: string | null
  readonly kindB: string | null
  readonly mmA: number
  readonly mmB: number
}
interface Patterns extends Stated {
  readonly holesA: Holes
  readonly holesB: Holes
}

const clearanceOf = ({ kindA, kindB, mmA, mmB }: Stated): number | null =>
  registerClearance(kindA, mmA, kindB, mmB)
/** Clearance of the register that locates; null where none does. */
const located = (x: Stated, { tolerances }: Shop): number | null =>
  centring(clearanceOf(x), tolerances.registerLocatesMm)
const facesOf = (x: Patterns, shop: Shop): Faces => ({ ...x, clearanceMm: located(x, shop) })
const matchOrNone = (x: Patterns, shop: Shop): PatternMatch | null =>
  matchHoles(facesOf(x, shop), shop.tolerances.axisOffsetFitsMm)
const matchOf = (x: Patterns, shop: Shop): PatternMatch => matchOrNone(x, shop)!

/** One family on both faces names one whole pattern: it agrees with itself, on its axis. */
const FAMILIES = { familyA: aside(a.face.family), familyB: aside(b.face.family) }
interface Families {
  readonly familyA: string | null
  readonly familyB: string | null
}
const isFamily = (x: Families): boolean => x.familyA !== null && x.familyA === x.familyB
const isOneFamily: Formula<boolean> = formula(FAMILIES, isFamily)
export const isSearched: Formula<boolean> = formula(FAMILIES, (x) => !isFamily(x))

const hasNone = ({ dowelsA, dowelsB }: Stated): boolean =>
  dowelsA?.length === 0 || dowelsB?.length === 0
const isLoose = (x: Patterns, shop: Shop): boolean => {
  const match = matchOrNone(x, shop)
  return match?.dowelsMeet === true && match.dowelPlayMm > shop.tolerances.dowelPlayMm + SLACK
}
const isClamped = ({ share, quadrants }: PatternMatch, { tolerances }: Shop): boolean =>
  share >= tolerances.boltShare && quadrants >= 3

/** Every hole of either face has its partner, but what passes two plain ones nobody said. */
const isBoltOpen = (x: Patterns, shop: Shop): boolean => {
  const match = matchOrNone(x, shop)
  return match?.isBoltOpen === true && wantedOf(match) === match.met.length
}
/** Bolts there are to meet: those that do and, of the face that lacks more, those without a partner. */
const wantedOf = (match: PatternMatch | null): number =>
  match ? match.met.length + Math.max(match.missingA.length, match.missingB.length) : Number.NaN

/** Most that are named one by one. */
const NAMED = 3
const figure = (mm: number): string => String(Number(mm.toFixed(1)))
/** Which holes have no partner, where they stand and by how much they miss. */
function oddWords(odd: readonly OddHole[], { holesA, holesB }: Patterns): string {
  const named = odd.slice(0, NAMED).map(({ face, index, offMm }) => {
    const hole = (face === 'a' ? holesA : holesB)![index]!
    const side = face === 'a' ? 'engine' : 'gearbox'
    const off = offMm < 100 ? `, ${offMm.toFixed(2)} mm off` : ', nothing near'
    return `hole ${index + 1} on the ${side}'s side at ${figure(hole.x)}, ${figure(hole.y)}${off}`
  })
  const more = odd.length > NAMED ? ` and ${odd.length - NAMED} more` : ''
  return named.length > 0 ? `: ${named.join('; ')}${more}` : ''
}
const countOf = (x: Patterns, { met }: PatternMatch): string =>
  `${met.length} of ${Math.max(x.holesA!.length, x.holesB!.length)} bolts meet`

/** The bolts: all, or enough of them where what locates the face holds. */
function bolts({ ids, pieces, piece, partial }: FaceWords): readonly Limit[] {
  const base = { id: ids.bolts, label: 'Bolts meet', unit: '' } as const
  const tooFew: Outcome = {
    code: BRIDGE,
    pieces,
    words: formula(PATTERNS, (x, shop) => {
      const match = matchOf(x, shop)
      const fault = isClamped(match, shop)
        ? 'nothing locates the face while the rest are made'
        : 'too few'
      return `${countOf(x, match)}, ${fault}${oddWords(match.odd, x)}. ${piece} joins the two patterns`
    }),
  }
  const some: readonly Step[] = partial
    ? [
        {
          when: formula(PATTERNS, (x, shop) => {
            const match = matchOf(x, shop)
            return (match.dowelsMeet || located(x, shop) !== null) && isClamped(match, shop)
          }),
          becomes: {
            code: WORK,
            task: partial,
            words: formula(PATTERNS, (x, shop) => {
              const match = matchOf(x, shop)
              return `${countOf(x, match)}; the rest are drilled or done without${oddWords(match.odd, x)}`
            }),
          },
        },
      ]
    : []
  return [
    {
      ...base,
      when: isOneFamily,
      names: [a.face.family, b.face.family],
      holds: formula({}, () => true),
    },
    {
      ...base,
      when: [isSearched, formula(ASIDE, (x, shop) => !isBoltOpen(x, shop))],
      measure: counted(PATTERNS, (x, shop) => matchOrNone(x, shop)?.met.length ?? Number.NaN),
      window: [counted(PATTERNS, (x, shop) => wantedOf(matchOrNone(x, shop))), Infinity],
      below: [...some, { becomes: tooFew }],
    },
    {
      ...base,
      when: [isSearched, formula(ASIDE, isBoltOpen)],
      holds: formula(PATTERNS, () => false),
      otherwise: [
        {
          becomes: {
            unproved:
              'Holes of both faces are plain and neither says what bolt passes them: state the bolt',
            missing: [a.face.bolt, b.face.bolt],
          },
        },
      ],
    },
  ]
}

const noDowels: Outcome = {
  code: WORK,
  words: 'Neither dowels nor a register locate it: bolts only clamp',
  task: REAM,
}
const looseDowels: Outcome = { code: WORK, words: 'Dowels are too loose to locate', task: REAM }

/** What locates the face: dowels, or a register in their stead. */
function dowels({ ids, pieces, piece }: FaceWords): readonly Limit[] {
  const base = { id: ids.dowels, label: 'Dowels locate', unit: '' } as const
  const miss: Outcome = {
    code: BRIDGE,
    pieces,
    words: formula(ASIDE, ({ dowelsA, dowelsB }) =>
      dowelsA?.some(({ pin }) => pin) && dowelsB?.some(({ pin }) => pin)
        ? `Pins stand in both faces and never join. Draw those of one, or ${piece.toLowerCase()}`
        : `Dowels miss or are too tight. ${piece} with both dowel patterns`,
    ),
  }
  const isRegistered = (x: Stated, shop: Shop): boolean => located(x, shop) !== null
  /** A register does it where dowels are none, or not known. */
  const byRegister = formula(
    { ...STATED, ...FAMILIES },
    (x, shop) =>
      isRegistered(x, shop) && !((x.dowelsA?.length ?? 0) >= 2 && (x.dowelsB?.length ?? 0) >= 2),
  )
  const notByRegister = formula(
    { ...STATED, ...FAMILIES },
    (x, shop) =>
      !(isRegistered(x, shop) && !((x.dowelsA?.length ?? 0) >= 2 && (x.dowelsB?.length ?? 0) >= 2)),
  )
  return [
    {
      ...base,
      label: 'The register locates',
      when: byRegister,
      names: [a.face.registerKind, b.face.registerKind, a.face.registerMm, b.face.registerMm],
      holds: formula({}, () => true),
    },
    {
      ...base,
      when: [isOneFamily, notByRegister],
      names: [a.face.family, b.face.family],
      holds: formula(STATED, (x) => !hasNone(x)),
      otherwise: noDowels,
    },
    {
      ...base,
      when: [isSearched, notByRegister],
      holds: formula(
        NEEDS_DOWELS,
        (x, shop) => matchOrNone(x, shop)?.dowelsMeet === true && !isLoose(x, shop) && !hasNone(x),
      ),
      otherwise: [
        { when: formula(NEEDS_DOWELS, hasNone), becomes: noDowels },
        { when: formula(NEEDS_DOWELS, isLoose), becomes: looseDowels },
        { becomes: miss },
      ],
    },
  ]
}

const isSaid = (kind: string | null): boolean => kind === 'male' || kind === 'female'
/** A register on either face must find its like on the other. */
function registers({ ids, pieces, piece }: FaceWords): readonly Limit[] {
  const apart: Outcome = {
    code: BRIDGE,
    pieces,
    words: formula(STATED, ({ kindA, kindB }) =>
      kindA === kindB
        ? `Both faces have a spigot: ${piece.toLowerCase()} with a bore either side`
        : `A spigot stands against a face without a bore for it: ${piece.toLowerCase()} with one`,
    ),
  }
  const clear = bounded(
    {
      mmA: a.face.registerMm,
      mmB: b.face.registerMm,
      kindA: aside(a.face.registerKind),
      kindB: aside(b.face.registerKind),
    },
    ({ mmA, mmB, kindA, kindB }) => registerClearance(kindA, mmA, kindB, mmB) ?? Number.NaN,
    // Which of them is the bore decides the sign of each; their ± add either way.
    ({ mmA, mmB, kindA, kindB }, pm) => {
      const clearanceMm = registerClearance(kindA, mmA, kindB, mmB) ?? Number.NaN
      return [clearanceMm - pm.mmA - pm.mmB, clearanceMm + pm.mmA + pm.mmB]
    },
  )
  return [
    {
      id: ids.register,
      label: 'Registers go together',
      unit: '',
      when: formula(STATED, ({ kindA, kindB }) => isSaid(kindA) || isSaid(kindB)),
      holds: formula(
        { kindA: a.face.registerKind, kindB: b.face.registerKind },
        ({ kindA, kindB }) =>
          !(kindA === 'male' && kindB !== 'female') && !(kindB === 'male' && kindA !== 'female'),
      ),
      otherwise: apart,
    },
    {
      id: ids.seat,
      label: 'Register clearance',
      unit: 'mm',
      when: formula(
        STATED,
        ({ kindA, kindB }) => isSaid(kindA) && isSaid(kindB) && kindA !== kindB,
      ),
      measure: clear,
      window: [0, Infinity],
      below: {
        code: BRIDGE,
        words: `The spigot does not enter its bore. ${piece} with a bore for it`,
        pieces,
      },
    },
  ]
}

/** Holes by plasma hold no dowel; where nothing of them is known nothing is judged. */
const isPlasma = (entry: Hole | Dowel): boolean => entry.process === 'plasma'
const listsOf = ({ holesA, holesB, dowelsA, dowelsB }: Patterns): (Hole | Dowel)[] =>
  [holesA, holesB, dowelsA, dowelsB].flatMap((list): readonly (Hole | Dowel)[] => list ?? [])
const process = ({ ids }: FaceWords): Limit => ({
  id: ids.process,
  label: 'Holes hold a dowel',
  unit: '',
  when: formula(ASIDE, (x) => listsOf(x).length > 0),
  holds: formula(ASIDE, (x) => !listsOf(x).some(isPlasma)),
  otherwise: { code: WORK, words: 'Holes cut by plasma do not locate dowels', task: REAM },
})

/** The ± of whatever places the case: dowels where they do, a register's own, bolts where they must. */
const axisOffset = bounded(
  PATTERNS,
  (x, shop) => matchOf(x, shop).offsetMm,
  (x, pm, shop) => {
    const { offsetMm, byDowels } = matchOf(x, shop)
    const clearanceMm = located(x, shop)
    const by = byDowels
      ? pm.dowelsA + pm.dowelsB
      : clearanceMm === null
        ? pm.holesA + pm.holesB
        : clearanceMm / 2 + pm.mmA + pm.mmB
    return [offsetMm - by, offsetMm + by]
  },
)
const axis = ({ ids, pieces, piece, axisLabel }: FaceWords): Limit => ({
  id: ids.axis,
  label: axisLabel,
  unit: 'mm',
  when: isSearched,
  measure: axisOffset,
  window: [0, 'axisOffsetFitsMm'],
  proved: {
    within: 'axisOffsetFitsMm',
    becomes: {
      code: WORK,
      words: 'On the axis as far as is known, but known only loosely',
      task: INDICATE,
    },
  },
  above: [
    {
      when: formula(
        PATTERNS,
        (x, shop) => matchOf(x, shop).offsetMm <= shop.tolerances.axisOffsetWorkMm + SLACK,
      ),
      becomes: {
        code: WORK,
        words: 'Axes stand apart: offset dowels correct it',
        task: INDICATE,
      },
    },
    {
      becomes: {
        code: BRIDGE,
        words: `Axes stand too far apart. ${piece} carries both patterns on one axis`,
        pieces,
      },
    },
  ],
})

/** Where nothing meets nothing is turned. */
const turnOf = ({ turnDeg, met }: PatternMatch): number => (met.length === 0 ? 0 : turnDeg)
/** By how much holes known to ± so many millimetres leave the turn open: over the reach of the pattern. */
function turnWithin({ holesA }: Patterns, pm: number): number {
  const reach = (holesA ?? []).reduce((most, { x, y }) => Math.max(most, Math.hypot(x, y)), 0)
  return reach > 0 ? (Math.atan(pm / reach) * 180) / Math.PI : 0
}
const turn = ({ ids, pieces, turned }: FaceWords): Limit => ({
  id: ids.turn,
  label: 'Turn of the case',
  unit: '°',
  when: isSearched,
  measure: bounded(
    PATTERNS,
    (x, shop) => turnOf(matchOf(x, shop)),
    (x, pm, shop) => {
      const turnDeg = turnOf(matchOf(x, shop))
      const by = turnWithin(x, pm.holesA + pm.holesB)
      return [turnDeg - by, turnDeg + by]
    },
  ),
  window: ['-turnDeg', 'turnDeg'],
  above: [
    {
      ask: b.face.mayTurn,
      becomes: {
        code: WORK,
        words: formula(
          PATTERNS,
          (x, shop) =>
            `The case is turned by ${matchOf(x, shop).turnDeg.toFixed(1)}°: what hangs on it moves with it`,
        ),
        task: turned,
      },
    },
    {
      becomes: {
        code: BRIDGE,
        words: 'Bolts meet only with the case turned, and it may not turn',
        pieces,
      },
    },
  ],
})

/** Every limit of one located face. */
export const faceLimits = (words: FaceWords): readonly Limit[] => [
  ...bolts(words),
  ...dowels(words),
  ...registers(words),
  process(words),
  axis(words),
  turn(words),
]

/** What is shown of how two faces meet. */
export const faceFigures = (axisLabel: string): readonly Figure[] => [
  {
    label: 'Bolts that meet',
    unit: '',
    when: isSearched,
    of: formula(
      PATTERNS,
      (x, shop) =>
        `${matchOf(x, shop).met.length} of ${Math.max(x.holesA!.length, x.holesB!.length)}`,
    ),
  },
  {
    label: 'Worst bolt',
    unit: '',
    when: formula({ ...PATTERNS, ...FAMILIES }, (x, shop) => {
      const match = isFamily(x) ? null : matchOrNone(x, shop)
      return match !== null && match.met.length > 0
    }),
    of: formula(PATTERNS, (x, shop) => {
      const { met } = matchOf(x, shop)
      const worst = met.reduce((most, one) =>
        one.residual - one.play > most.residual - most.play ? one : most,
      )
      const { x: along, y: up } = x.holesA![worst.a]!
      return `hole ${worst.a + 1} at ${figure(along)}, ${figure(up)}: ${worst.residual.toFixed(2)} of ${worst.play.toFixed(2)} mm`
    }),
  },
  {
    label: axisLabel,
    unit: 'mm',
    when: isSearched,
    of: formula(PATTERNS, (x, shop) => matchOf(x, shop).offsetMm),
  },
  {
    label: 'Turn of the case',
    unit: '°',
    when: isSearched,
    of: formula(PATTERNS, (x, shop) => matchOf(x, shop).turnDeg),
  },
]
