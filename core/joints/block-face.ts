import { boltSet, type JointHardware, locatedFit } from '../fasteners/bolt-set.ts'
import type { Dowel, Field, Hole } from '../ports/field.ts'
import { always } from './always.ts'
import { BRIDGE, WORK } from './code.ts'
import type { Joint } from './joint.ts'
import { bounded, type Formula, formula, type Limit } from './judging/declaration.ts'
import { SLACK } from './judging/judge.ts'
import { a, aside, b, type Read, type Shop } from './judging/read.ts'
import type { PatternMatch } from './search/correspondence.ts'
import { overhang } from './search/overhang.ts'
import { matchHoles } from './search/pattern-match.ts'
import type { Side } from './side.ts'
import type { Outcome, Task } from './verdict.ts'

const PLATE = ['plate'] as const
const REAM: Task = {
  id: 'fit-dowels',
  words: 'Fit, bush or ream dowels; indicate the bore at mating',
  hours: 2,
  skills: ['machine'],
  reversible: false,
}
const INDICATE: Task = {
  id: 'indicate-bore',
  words: 'Indicate the bell bore at mating, correct with offset dowels',
  hours: 1.5,
  skills: ['mechanic'],
  reversible: true,
  caution: 'Turn the crank by hand with the plugs out and the starter disconnected.',
}

const noBolts: Outcome = {
  code: BRIDGE,
  words: 'Too few bolts meet: an adapter plate joins the two patterns',
  pieces: PLATE,
}
const partial: Outcome = {
  code: WORK,
  words: 'Enough bolts meet; the missing ones are drilled or done without',
  task: {
    id: 'missing-bell-bolts',
    words: 'Drill and tap the missing bell bolts, or record that they are left out',
    hours: 3,
    skills: ['machine'],
    reversible: false,
    caution:
      'Last check before drilling a case: lay the printed pattern on it once more. A cut casting cannot be uncut.',
  },
}
const dowelsMiss: Outcome = {
  code: BRIDGE,
  words: 'Dowels miss or are too tight: a plate with both dowel patterns',
  pieces: PLATE,
}
const noDowels: Outcome = {
  code: WORK,
  words: 'No dowels locate the case: bolts only clamp',
  task: REAM,
}
const looseDowels: Outcome = { code: WORK, words: 'Dowels are too loose to locate', task: REAM }
const plasma: Outcome = {
  code: WORK,
  words: 'Holes cut by plasma do not locate dowels',
  task: REAM,
}
const mayTurn: Outcome = {
  code: WORK,
  words: 'The case is turned: lever, starter and mount move with it',
  task: {
    id: 'turned-case',
    words: 'Check lever, starter and mount at the turned case',
    hours: 2,
    skills: ['mechanic'],
    reversible: true,
  },
}
const mayNotTurn: Outcome = {
  code: BRIDGE,
  words: 'Bolts meet only with the case turned, and it may not turn',
  pieces: PLATE,
}
const unproved: Outcome = {
  code: WORK,
  words: 'On the axis as far as is known, but known only loosely',
  task: INDICATE,
}
const apart: Outcome = {
  code: BRIDGE,
  words: 'Axes stand too far apart: a plate carries both patterns on one axis',
  pieces: PLATE,
}
const offsetDowels: Outcome = {
  code: WORK,
  words: 'Axes stand apart: offset dowels correct it',
  task: INDICATE,
}

type Holes = readonly Hole[] | null
type Dowels = readonly Dowel[] | null
/** Holes are searched with the dowels as far as they are known. */
const PATTERNS = {
  holesA: a.face.holes,
  holesB: b.face.holes,
  dowelsA: aside(a.face.dowels),
  dowelsB: aside(b.face.dowels),
} satisfies Record<string, Read<Holes> | Read<Dowels>>
type Patterns = {
  readonly holesA: Holes
  readonly holesB: Holes
  readonly dowelsA: Dowels
  readonly dowelsB: Dowels
}
const matchOf = (x: Patterns, { tolerances }: Shop): PatternMatch =>
  matchHoles(x.holesA, x.dowelsA, x.holesB, x.dowelsB, tolerances.axisOffsetFitsMm)!
const matchOrNone = (x: Patterns, { tolerances }: Shop): PatternMatch | null =>
  matchHoles(x.holesA, x.dowelsA, x.holesB, x.dowelsB, tolerances.axisOffsetFitsMm)

/** One family on both faces names one whole pattern: it agrees with itself, on its axis. */
const families = { familyA: aside(a.face.family), familyB: aside(b.face.family) }
const isOneFamily: Formula<boolean> = formula(
  families,
  (x) => x.familyA !== null && x.familyA === x.familyB,
)
const isSearched: Formula<boolean> = formula(
  families,
  (x) => x.familyA === null || x.familyA !== x.familyB,
)
const hasNone = (x: { readonly dowelsA: Dowels; readonly dowelsB: Dowels }): boolean =>
  x.dowelsA?.length === 0 || x.dowelsB?.length === 0
const dowelsAside = { dowelsA: aside(a.face.dowels), dowelsB: aside(b.face.dowels) }

const BOLTS = { id: 'bolts', label: 'Bolts meet', unit: '' } as const
const DOWELS = { id: 'dowels', label: 'Dowels locate', unit: '' } as const

const bolts: readonly Limit[] = [
  {
    ...BOLTS,
    when: isOneFamily,
    names: [a.face.family, b.face.family],
    holds: formula({}, () => true),
    otherwise: noBolts,
  },
  {
    ...BOLTS,
    when: isSearched,
    holds: formula(PATTERNS, (x, shop) => {
      const { missingA, missingB } = matchOf(x, shop)
      return missingA.length === 0 && missingB.length === 0
    }),
    otherwise: [
      {
        when: formula(PATTERNS, (x, shop) => {
          const { dowelsMeet, share, quadrants } = matchOf(x, shop)
          return dowelsMeet && share >= shop.tolerances.boltShare && quadrants >= 3
        }),
        becomes: partial,
      },
      { becomes: noBolts },
    ],
  },
]

const isLoose = (x: Patterns, shop: Shop): boolean => {
  const match = matchOrNone(x, shop)
  if (!match?.dowelsMeet) return false
  return match.dowelPlayMm > shop.tolerances.dowelPlayMm + SLACK
}
const withDowels = {
  holesA: aside(a.face.holes),
  holesB: aside(b.face.holes),
  dowelsA: a.face.dowels,
  dowelsB: b.face.dowels,
}
const dowels: readonly Limit[] = [
  {
    ...DOWELS,
    when: isOneFamily,
    names: [a.face.family, b.face.family],
    holds: formula(dowelsAside, (x) => !hasNone(x)),
    otherwise: noDowels,
  },
  {
    ...DOWELS,
    when: isSearched,
    holds: formula(
      withDowels,
      (x, shop) => matchOrNone(x, shop)?.dowelsMeet === true && !isLoose(x, shop) && !hasNone(x),
    ),
    otherwise: [
      { when: formula(withDowels, hasNone), becomes: noDowels },
      { when: formula(withDowels, isLoose), becomes: looseDowels },
      { becomes: dowelsMiss },
    ],
  },
]

/** Holes by plasma hold no dowel; a process nobody stated is a caution. */
const cut = { holesA: aside(a.face.holes), holesB: aside(b.face.holes), ...dowelsAside }
const isPlasma = (entry: Hole | Dowel): boolean => entry.process === 'plasma'
const process: Limit = {
  id: 'process',
  label: 'Holes hold a dowel',
  unit: '',
  holds: formula(
    cut,
    ({ holesA, holesB, dowelsA, dowelsB }) =>
      ![holesA, holesB, dowelsA, dowelsB].some((list) =>
        (list as readonly (Hole | Dowel)[] | null)?.some(isPlasma),
      ),
  ),
  otherwise: plasma,
}

/** The ± of whatever places the case: dowels where they do, bolts where they must. */
const axisOffset = bounded(
  PATTERNS,
  (x, shop) => matchOf(x, shop).offsetMm,
  (x, pm, shop) => {
    const { offsetMm, byDowels } = matchOf(x, shop)
    const by = byDowels ? pm.dowelsA + pm.dowelsB : pm.holesA + pm.holesB
    return [offsetMm - by, offsetMm + by]
  },
)
const axis: Limit = {
  id: 'axis-offset',
  label: 'Crank to shaft axis',
  unit: 'mm',
  when: isSearched,
  measure: axisOffset,
  window: [0, 'axisOffsetFitsMm'],
  proved: { within: 'axisOffsetFitsMm', becomes: unproved },
  above: [
    {
      when: formula(
        PATTERNS,
        (x, shop) => matchOf(x, shop).offsetMm <= shop.tolerances.axisOffsetWorkMm + SLACK,
      ),
      becomes: offsetDowels,
    },
    { becomes: apart },
  ],
}

const turn: Limit = {
  id: 'turn',
  label: 'Turn of the case',
  unit: '°',
  when: isSearched,
  holds: formula(PATTERNS, (x, shop) => {
    const { turnDeg, met } = matchOf(x, shop)
    return Math.abs(turnDeg) <= shop.tolerances.turnDeg || met.length === 0
  }),
  otherwise: [{ ask: b.face.mayTurn, becomes: mayTurn }, { becomes: mayNotTurn }],
}

/** Joint 1: bolt pattern, dowels, axis offset and turn of one pair of meeting faces. Has no damage limits. */
export const blockFace: Joint = {
  id: 'block-face',
  number: 1,
  short: 'Face',
  title: 'Block face to bellhousing',
  place: 'coupling',
  meets: 'faces',
  strip: 'meeting',
  drawing: 'holes',
  decides:
    'Pattern family, or a search of which holes meet: dowels place the case, bolts must then meet within their play; the axis offset is judged apart.',
  applies: always,
  limits: [...bolts, ...dowels, process, axis, turn],
  figures: [
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
      label: 'Least bolt play left',
      unit: 'mm',
      when: isSearched,
      of: formula(PATTERNS, (x, shop) => -matchOf(x, shop).worstMm),
    },
    {
      label: 'Crank to shaft axis',
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
    {
      label: 'Overhang past the other outline',
      unit: 'mm',
      when: isSearched,
      of: formula({ outlineA: a.face.outline, outlineB: b.face.outline }, (x) =>
        overhang(x.outlineA!, x.outlineB!),
      ),
    },
  ],
  cautions: [
    {
      words:
        'How the dowel holes were cut is not stated. Ream or mill them; plasma does not hold a dowel.',
      when: formula(dowelsAside, ({ dowelsA, dowelsB }) =>
        [...(dowelsA ?? []), ...(dowelsB ?? [])].some((dowel) => dowel.process === undefined),
      ),
    },
  ],
  cures: { plate: 'face' },
  hardware,
}

function hardware(a: Side, b: Side, plateMm: number): JointHardware {
  const holes = a.face.holes.v ?? []
  const thread = holes.find((hole) => hole.thread)?.thread ?? null
  const pin = a.face.dowels.v?.find((dowel) => dowel.pin)
  const hole = b.face.dowels.v?.[0]
  const pm = (value: number, field: Field<unknown>): Field<number> => ({
    ...(field as Field<number>),
    v: value,
    pm: 0.01,
  })
  return {
    bolts: boltSet({
      words: plateMm > 0 ? 'Plate to block' : 'Bell to block',
      thread,
      count: holes.length,
      ...(plateMm > 0 ? { grip: plateMm } : {}),
      into: 'aluminium',
      usual: '8.8',
    }),
    fits:
      pin && hole
        ? locatedFit('Dowel in its hole', pm(hole.d, b.face.dowels), pm(pin.d, a.face.dowels))
        : [],
  }
}
