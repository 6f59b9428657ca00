import { boltSet, type JointHardware, locatedFit } from '../fasteners/bolt-set.ts'
import type { Field } from '../ports/field.ts'
import { always } from './always.ts'
import type { Joint } from './joint.ts'
import { formula } from './judging/declaration.ts'
import { a, aside, b } from './judging/read.ts'
import { type FaceWords, faceFigures, faceLimits, isSearched } from './located-face.ts'
import { overhang } from './search/overhang.ts'
import type { Side } from './side.ts'

const WORDS: FaceWords = {
  ids: {
    bolts: 'bolts',
    dowels: 'dowels',
    register: 'register-kinds',
    seat: 'register-fit',
    process: 'process',
    axis: 'axis-offset',
    turn: 'turn',
  },
  pieces: ['plate'],
  piece: 'A plate',
  axisLabel: 'Crank to shaft axis',
  turned: {
    id: 'turned-case',
    words: 'Check lever, starter and mount at the turned case',
    hours: 2,
    skills: ['mechanic'],
    reversible: true,
  },
  partial: {
    id: 'missing-bell-bolts',
    words: 'Drill and tap the missing bell bolts, or record that they are left out',
    hours: 3,
    skills: ['machine'],
    reversible: false,
    caution:
      'Last check before drilling a case: lay the printed pattern on it once more. A cut casting cannot be uncut.',
  },
}
const DOWELS = { dowelsA: aside(a.face.dowels), dowelsB: aside(b.face.dowels) }

/** Joint 1: bolt pattern, dowels, axis offset and turn of one pair of meeting faces. Has no damage limits. */
export const blockFace: Joint = {
  id: 'block-face',
  number: 1,
  short: 'Face',
  title: 'Block face to bellhousing',
  place: 'coupling',
  meets: 'faces',
  strip: 'face',
  drawing: 'holes',
  decides:
    'Pattern family, or a search of which holes meet: dowels place the case, bolts must then meet within their play; the axis offset is judged apart.',
  applies: always,
  limits: faceLimits(WORDS),
  figures: [
    ...faceFigures(WORDS.axisLabel),
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
      when: formula(DOWELS, ({ dowelsA, dowelsB }) =>
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
