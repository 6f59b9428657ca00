import { yesNo } from './fact-row.ts'

/** What the engine is that will be in the build: said of the engine, in whichever build it is. */
export const ENGINE_TRAITS = {
  'engine.born': {
    values: ['lengthwise', 'crosswise'],
    asks: 'Which way did it lie in its own vehicle?',
    found: 'the donor, or its water outlet',
  },
  'engine.fuel': { values: ['petrol', 'diesel'], asks: 'What does it burn?', found: 'its plate' },
  'engine.injection': {
    values: ['carburettor', 'single', 'port', 'direct', 'rail', 'pump'],
    asks: 'How does the fuel get in?',
    found: 'rail, pipes and pump',
  },
  'engine.return': yesNo('Does its rail send fuel back?', { found: 'a second pipe at the rail' }),
  'engine.throttle': {
    values: ['cable', 'wire'],
    asks: 'A cable at its throttle, or a plug?',
    found: 'look',
  },
  'engine.air': { values: ['natural', 'turbo', 'blower'], asks: 'Is it charged?', found: 'look' },
  'engine.cooling': {
    values: ['water', 'air'],
    asks: 'Cooled by water, or by air?',
    found: 'look',
    assumed: 'water',
  },
  'engine.electronics': {
    values: ['none', 'plain', 'locked', 'bus'],
    asks: 'Has it a computer, and does that want its key?',
    found: 'its number, and what is known of that year group',
  },
  'engine.spark': {
    values: ['distributor', 'coils', 'none'],
    asks: 'What makes its spark?',
    found: 'look',
  },
  'engine.timing': {
    values: ['belt', 'chain', 'gears'],
    asks: 'What drives the camshaft?',
    found: 'its front cover',
  },
  'engine.cams': {
    values: ['block', 'head'],
    asks: 'Are its camshafts in the block, or over the valves?',
    found: 'shape of its covers',
    assumed: 'head',
  },
  'engine.emission': {
    values: ['none', 'catalyst', 'filter', 'reductant'],
    asks: 'What did it leave the factory with?',
    found: 'the label under the bonnet',
  },
  'engine.outlet': {
    values: ['front', 'rear', 'side'],
    asks: 'Where does the water leave it?',
    found: 'look',
  },
  'engine.vacuum': yesNo('Does it make vacuum?', { found: 'a gauge at its intake' }),
  'engine.pump': yesNo('Does it carry a steering pump?', { found: 'look' }),
  'engine.compressor': yesNo('Does it carry an air conditioning compressor?', { found: 'look' }),
  'engine.fan': { values: ['belt', 'electric', 'none'], asks: 'What fan has it?', found: 'look' },
  'engine.hot': {
    values: ['left', 'right', 'both'],
    asks: 'On which side is its exhaust, seen from behind?',
    found: 'look',
  },
  'engine.charge': {
    values: ['own', 'computer'],
    asks: 'Who governs its alternator?',
    found: 'pins of its plug',
  },
  'engine.dual-mass': yesNo('Has it a two-part flywheel?', {
    found: 'part number; turn the face by hand',
    assumed: 'no',
  }),
  'engine.flat-tappet': yesNo('Has it flat tappets on its cam?', {
    found: 'notes of the family',
    assumed: 'no',
  }),
  'engine.hybrid': yesNo('Is it from a hybrid?', { found: 'the donor', assumed: 'no' }),
  'engine.fault': yesNo('Has this engine a known fault of its years?', {
    found: 'notes of the family',
  }),
} as const

/** What is asked of an engine where it meets this build, or of this very one. */
export const ENGINE_MEETS = {
  'engine.set': yesNo('Are computer, key, pedal and cluster one set?', {
    found: 'their numbers; the seller',
    when: 'stopper',
  }),
  'engine.pilot-bored': yesNo('Is its pilot bore finished?', { found: 'a torch', when: 'stopper' }),
  'engine.crank-sensor': yesNo('Does every sensor find its place and its teeth?', {
    found: 'the loom; count the teeth',
    when: 'stopper',
  }),
  'engine.sump-clear': yesNo('Is the deep end of the pan clear?', {
    found: 'underneath, with the plug in sight',
    when: 'stopper',
  }),
  'engine.turns': yesNo('Does it turn the way the gearbox wants?', {
    found: 'its fan, its starter',
    when: 'stopper',
    assumed: 'yes',
  }),
  'engine.starter-free': yesNo('Is the starter’s side free?', {
    found: 'look down beside it',
    when: 'stopper',
  }),
  'engine.belt-sense': yesNo('Are pump, fan and belt in their sense?', {
    found: 'arrow cast on the pump',
    when: 'stopper',
  }),
  'engine.alternator-sense': yesNo(
    'Does the alternator keep its sense in the new run of the belt?',
    {
      found: 'draw the run',
      assumed: 'yes',
    },
  ),
  'engine.head-room': yesNo('Are booster, column and towers clear of it?', {
    found: 'a tape',
    when: 'stopper',
  }),
  'engine.papers': yesNo('Are papers and number in hand?', { found: 'read both', when: 'stopper' }),
} as const
