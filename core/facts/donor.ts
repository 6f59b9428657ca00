import { each, YES_NO, yesNo } from './fact-row.ts'

/** What is bought, as its sheet and the bench say it. */
export const DONOR_FACTS = {
  'donor.kind': {
    values: ['none', 'vehicle', 'pulled', 'bare', 'new'],
    asks: 'What is bought: a whole vehicle, an engine pulled out, a bare one, a new one?',
    found: 'the listing',
    when: 'start',
    assumed: 'pulled',
  },
  'donor.box': {
    values: ['manual', 'automatic', 'none'],
    asks: 'Which gearbox stood behind it?',
    found: 'the listing, the end of the crank',
  },
  // As they stand on the sheet: asked there.
  ...each(
    'donor',
    [
      'dry-under',
      'coolant-clean',
      'oil-clean',
      'quiet-below',
      'clear-smoke',
      'runs-even',
      'starts-cold',
      'clutch',
      'gears',
      'range',
      'mounts-whole',
      'shafts-tight',
      'hit-front',
      'hit-front-corner',
      'hit-under',
      'hit-rear',
      'hit-tank',
      'hit-left',
      'hit-right',
    ],
    { values: YES_NO },
  ),
  'donor.reason-told': yesNo('Was it said why it is for sale, and is that believed?', {
    found: 'the seller',
  }),
  'donor.far': yesNo('Is it more than a day to fetch?', { found: 'a map' }),
  'donor.washed': yesNo('Was the engine washed?', { found: 'look' }),
  ...each(
    'bench',
    ['case-sound', 'oil', 'neutral', 'pattern', 'input-play', 'output-play', 'splines', 'silent'],
    { values: YES_NO },
  ),
} as const
