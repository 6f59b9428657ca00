import { each, yesNo } from './fact-row.ts'

/** What is wanted, what may be done, and what must still work. */
export const BUILD_FACTS = {
  'build.engine': {
    values: ['other', 'kept'],
    asks: 'Does another engine go in?',
    found: 'the owner',
    when: 'start',
    assumed: 'other',
  },
  'build.box': {
    values: ['own', 'with-engine', 'apart'],
    asks: 'Whose gearbox?',
    found: 'the owner',
    when: 'start',
    assumed: 'own',
  },
  'build.school': {
    values: ['as-is', 'reseal', 'rebuild'],
    asks: 'Fit it as it is, reseal it, or rebuild it?',
    found: 'the owner',
    when: 'start',
    assumed: 'reseal',
  },
  'build.box-school': {
    values: ['as-is', 'reseal', 'rebuild'],
    asks: 'And the gearbox: as it is, resealed, or rebuilt?',
    found: 'the owner',
  },
  'build.place': {
    values: ['keep', 'set-back'],
    asks: 'Does the gearbox stay where it is, or is the engine set back?',
    found: 'Pairing',
    assumed: 'keep',
  },
  'build.use': {
    values: ['daily', 'towing', 'trail', 'track', 'show', 'work'],
    asks: 'What is it for?',
    found: 'the owner',
    when: 'start',
    assumed: 'daily',
  },
  'build.output': { values: ['standard', 'raised'], assumed: 'standard' },
  'build.bolt-in': yesNo('Nothing may be welded?', { found: 'the owner', assumed: 'no' }),
  'build.uncut': yesNo('Nothing may be cut?', { found: 'the owner', assumed: 'no' }),
  'build.stand-run': yesNo('Run it on a stand first?', { found: 'the owner', assumed: 'no' }),
  'build.sell-old': yesNo('Is the old train sold?', { found: 'the owner', assumed: 'yes' }),
  'build.daily': yesNo('Is the vehicle needed every day meanwhile?', {
    found: 'the owner',
    assumed: 'no',
  }),
  'build.runs': yesNo('Does the old engine run?', {
    found: 'start it',
    when: 'start',
    assumed: 'yes',
  }),
  'build.case': {
    values: ['own', 'with-gearbox'],
    asks: 'Whose transfer case?',
    found: 'the owner',
    assumed: 'with-gearbox',
  },
  'build.cause-stays': yesNo('Does what killed the old engine stay in the vehicle?', {
    found: 'look at radiator, tank and wiring',
  }),
  'can.weld': yesNo('Can we weld this here?', { found: 'the shop' }),
  'can.machine': yesNo('Can we turn and mill here?', { found: 'the shop' }),
  'can.flash': yesNo('Can we read and write engine computers?', { found: 'the shop' }),
  'can.hoist': yesNo('Have we a crane or a hoist?', { found: 'the shop' }),
  'law.allowed': yesNo('Does the authority allow this engine in it?', {
    found: 'the inspecting office: name and date',
    when: 'stopper',
  }),
  'law.engineer': yesNo('Is an engineer’s certificate asked for?', { found: 'the same office' }),
  'law.noise': yesNo('Is its noise tested?', { found: 'the same office' }),
  ...each(
    'keep',
    [
      'air',
      'steering-assist',
      'brake-assist',
      'cruise',
      'gauges',
      'heater',
      'speedometer',
      'range',
      'four-wheel-drive',
      'take-off',
      'emissions',
    ],
    (one) =>
      yesNo(`Must it still work: ${one.replaceAll('-', ' ')}?`, {
        found: 'the owner',
        when: 'start',
      }),
  ),
} as const
