import { yesNo } from './fact-row.ts'

/** What the gearbox is that will be in the build: said of the gearbox, in whichever build it is. */
export const GEARBOX_TRAITS = {
  'gearbox.nose': yesNo('Does its shaft end run in the crank?', { found: 'look at the shaft end' }),
  'gearbox.release': {
    values: ['fork', 'concentric'],
    asks: 'A fork, or a slave round the shaft?',
    found: 'the window of the bell',
  },
  'gearbox.control': {
    values: ['cable', 'vacuum', 'electronic'],
    asks: 'What tells the automatic the load?',
    found: 'the side of its case',
  },
  'gearbox.shift': {
    values: ['direct', 'rods', 'cables'],
    asks: 'How is it shifted?',
    found: 'look',
  },
  'gearbox.case': {
    values: ['none', 'bolted', 'apart', 'inside'],
    asks: 'Which transfer case stands behind it?',
    found: 'look',
    assumed: 'none',
  },
  'gearbox.output': {
    values: ['yoke', 'flange', 'sides'],
    asks: 'What comes out of it?',
    found: 'look',
  },
  'gearbox.speedo': {
    values: ['cable', 'pulse', 'none'],
    asks: 'Which speed drive is on it?',
    found: 'look',
  },
  'gearbox.opening': yesNo('Has it an opening for a take-off?', {
    found: 'a plate on its side',
    assumed: 'no',
  }),
  'gearbox.fault': yesNo('Has this gearbox a known fault?', { found: 'notes of the family' }),
} as const

/** What is asked of a gearbox where it meets this build, or read off it. */
export const GEARBOX_MEETS = {
  'gearbox.front-side': yesNo('Is its front output on the side of the axle’s?', {
    found: 'from behind',
    when: 'stopper',
  }),
  'gearbox.load': yesNo('Can this engine tell it the load?', {
    found: 'cable, pipe or plug',
    when: 'stopper',
  }),
  'gearbox.type': {
    values: ['manual', 'automatic'],
    asks: 'Manual or automatic?',
    found: 'look',
    when: 'start',
  },
} as const
