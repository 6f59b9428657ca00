import { free, type SheetStep, yesNo } from '../sheets/sheet.ts'

const GEARS = ['1st', '2nd', '3rd', '4th', '5th', '6th', 'reverse'] as const

/** A loose gearbox on the bench: what is tried by hand before it is paid for or mated. Common practice, no published source. */
export const BENCH_STEPS: readonly SheetStep[] = [
  {
    id: 'hold',
    title: 'On the bench',
    cautions: [
      'A gearbox rolls: chock it, hands out of the bell while a shaft is turned. Lift it with two people or a hoist.',
    ],
    questions: [
      yesNo(
        'case-sound',
        'Case, ears and bell free of cracks and welds?',
        'A cracked case is scrap where it bears load',
      ),
      yesNo(
        'oil',
        'Drained oil free of metal and not burnt?',
        'Metal in the oil is a bearing or a synchroniser: open it before it is bought',
      ),
    ],
  },
  {
    id: 'gears',
    title: 'Each gear selected, input turned by hand, output watched',
    cautions: [],
    questions: [
      ...GEARS.map((gear) =>
        yesNo(
          `gear:${gear}`,
          `Goes into ${gear}, and turns without a catch? (has none: not seen)`,
          `${gear} does not go in or catches: fork, synchroniser or dog`,
        ),
      ),
      yesNo(
        'neutral',
        'Turns freely in neutral, output still?',
        'It drags in neutral: a bearing, or a gear that stays in',
      ),
      yesNo(
        'pattern',
        'Is the shift pattern as it is said to be?',
        'Another version than it is sold as: compare its ratios by counting turns',
      ),
      free('turns', 'Input turns for ten of the output, gear by gear'),
    ],
  },
  {
    id: 'shafts',
    title: 'Shafts and bearings',
    cautions: [],
    questions: [
      yesNo(
        'input-play',
        'Input shaft without play to be felt, up and down?',
        'Input bearing worn: it eats the pilot and the seal',
      ),
      yesNo(
        'output-play',
        'Output without play to be felt?',
        'Output bush or bearing worn: vibration and a leak',
      ),
      yesNo(
        'splines',
        'Splines unworn, a new disc slides without shake?',
        'Worn splines: the disc hangs, the clutch drags',
      ),
      yesNo('silent', 'Turned fast by hand, no rumble?', 'A rumble by hand is a roar on the road'),
    ],
  },
]
