import {
  figure,
  free,
  hit,
  risksIn,
  type SheetAnswers,
  type SheetQuestion,
  type SheetStep,
  yesNo,
} from '../sheets/sheet.ts'

/** What is looked at beside any donor, in the order one walks round it. Common practice, no published source. */
export const SHEET_STEPS: readonly SheetStep[] = [
  {
    id: 'papers',
    title: 'Papers and engine number',
    cautions: [],
    questions: [
      yesNo(
        'papers-in-hand',
        'Papers are here, in the name of who sells',
        'No certificate without papers; perhaps stolen',
      ),
      free('engine-number', 'Engine number, as stamped'),
      yesNo('number-agrees', 'It agrees with the papers', 'Another engine than the one paid for'),
      free('gearbox-number', 'Gearbox number or tag'),
      free('why-sold', 'Why it is sold, in their words'),
    ],
  },
  {
    id: 'start',
    title: 'Start and noise',
    cautions: [
      'In neutral, wheels chocked, hands and sleeves clear of belt and fan, outdoors.',
      'Fuel smell or a leak: do not start it. Fuel under pressure is released by the maker’s procedure first, with an extinguisher at hand.',
    ],
    questions: [
      yesNo(
        'starts-cold',
        'It starts from cold, before their eyes',
        'Warmed up for you: it hides how it starts',
      ),
      yesNo('runs-even', 'It idles evenly and pulls up clean', 'Ignition, injection or a cylinder'),
      yesNo(
        'quiet-below',
        'No knock from below, no rattle in front',
        'Bearings or timing chain: an engine for parts',
      ),
      yesNo('clear-smoke', 'No blue or white smoke when warm', 'Rings, guides or head gasket'),
      figure('oil-pressure', 'Oil pressure, warm, at idle', 'kPa'),
      figure('coolant-temperature', 'Coolant, after ten minutes', '°C'),
      figure('compression-low', 'Compression, lowest cylinder', 'kPa'),
      figure('compression-high', 'Compression, highest cylinder', 'kPa'),
      figure('consumption', 'Consumption they tell of', 'L/100km'),
    ],
  },
  {
    id: 'gears',
    title: 'Each gear and reverse',
    cautions: [
      'Driven only where it may be, by who may; else on stands, wheels clear, nobody beside them.',
    ],
    questions: [
      yesNo('gear-1', 'First takes and holds', 'Synchroniser or dog'),
      yesNo('gear-2', 'Second, up and down, without a crunch', 'The synchroniser that goes first'),
      yesNo('gear-3', 'Third', 'Gearbox for parts'),
      yesNo('gear-4', 'Fourth', 'Gearbox for parts'),
      yesNo('gear-5', 'Fifth and above (none: yes)', 'The weak gear of light gearboxes'),
      yesNo('reverse', 'Reverse', 'Idler or its fork'),
      yesNo(
        'clutch',
        'Clutch takes in the middle and does not slip in top',
        'Clutch, or oil on it: the rear seal',
      ),
      yesNo('range', 'Transfer case and front drive engage (none: yes)', 'Fork, chain or hubs'),
    ],
  },
  {
    id: 'front',
    title: 'Front',
    cautions: [
      'Airbags, fired or not: battery off and waited as the maker says; live ones are left to who is licensed.',
      'Refrigerant is recovered by a licensed technician before any line is opened.',
    ],
    questions: [
      hit(
        'hit-front',
        'Hit in front',
        'Radiator, fan, pulleys, crank nose and front of the sump; mounts cracked out of sight',
      ),
      hit(
        'hit-front-corner',
        'Hit at a front corner',
        'Alternator, pump, steering box; block ears',
      ),
      yesNo('coolant-clean', 'Coolant is clean, no oil in it', 'Head gasket or a cracked head'),
      yesNo('oil-clean', 'Oil is oil: no milk, no glitter', 'Water in it, or bearings'),
    ],
  },
  {
    id: 'under',
    title: 'Under',
    cautions: [
      'On stands on firm ground, never on a jack alone; shaken before anybody goes under.',
    ],
    questions: [
      hit(
        'hit-under',
        'Sump, bell or gearbox struck',
        'Pickup, bell ear, case cracked: the face may no longer be true',
      ),
      yesNo('dry-under', 'Dry between engine and gearbox', 'Rear main seal or input seal'),
      yesNo('mounts-whole', 'Mounts and crossmember whole', 'Broken mounts let the train strike'),
      yesNo('shafts-tight', 'Propshaft and drive shafts without play', 'Joints and splines'),
    ],
  },
  {
    id: 'rear',
    title: 'Rear',
    cautions: ['Fuel tank: no flame, no lamp that sparks; it is drained by the maker’s procedure.'],
    questions: [
      hit(
        'hit-rear',
        'Hit behind',
        'Axle pushed, propshaft driven into the gearbox: output bearing and case',
      ),
      hit('hit-tank', 'Tank or its lines struck', 'Fuel, pump and its ring'),
    ],
  },
  {
    id: 'sides',
    title: 'Sides',
    cautions: ['Side airbags and belt tensioners as in front.'],
    questions: [
      hit('hit-left', 'Hit on the left', 'Drive shaft, gearbox end cover, loom in the sill'),
      hit('hit-right', 'Hit on the right', 'Drive shaft, timing side, exhaust'),
    ],
  },
]

/** A question on one piece this pairing needs from the donor: is it there? */
export const pieceQuestion = (partId: string): string => `has:${partId}`
export const isPieceQuestion = (id: string): boolean => id.startsWith('has:')

const QUESTIONS = new Map(
  SHEET_STEPS.flatMap((step) => step.questions.map((question) => [question.id, question] as const)),
)
export const questionOf = (id: string): SheetQuestion | undefined => QUESTIONS.get(id)

/** What the answers put at risk, in the order of the sheet. */
export const risksOf = (answers: SheetAnswers): ReturnType<typeof risksIn> =>
  risksIn(SHEET_STEPS, answers)
