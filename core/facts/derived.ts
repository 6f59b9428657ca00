import { each, JOINT_SAYS, ROOM_SAYS } from './fact-row.ts'

/** How each way out is asked. */
const WAYS = {
  member: 'How is the crossmember fastened?',
  sump: 'The deep end meets what is there: which way out?',
  booster: 'The engine meets the booster: which way out?',
  vacuum: 'The engine makes no vacuum: what helps the brakes?',
  steering: 'The engine has no steering pump: what drives the steering?',
  lock: 'The computer will not let it run: which way out?',
  cluster: 'What do the gauges do?',
  load: 'Nothing tells the gearbox the load: which way out?',
  pilot: 'The pilot bore is not finished: which way out?',
  wheel: 'A solid wheel or a two-part one?',
  bonnet: 'It meets the bonnet: which way out?',
  tunnel: 'The tunnel is too low or narrow: which way out?',
  face: 'The faces do not meet: a plate, or another bell?',
  firewall: 'It meets the firewall: which way out?',
  length: 'The bay is too short: which way out?',
  width: 'The bay is too narrow: which way out?',
  mounts: 'How are the brackets fastened?',
  lever: 'The lever comes up elsewhere: which way out?',
  case: 'No transfer case behind it: which way out?',
  loom: 'Who reworks the loom?',
} as const

/** Ways out of what does not go, each with its chain; open until one is chosen. */
const CHOICES = {
  member: ['bolt', 'weld'],
  sump: ['pan', 'cut', 'member'],
  booster: ['smaller', 'hydraulic', 'electric'],
  vacuum: ['pump', 'hydraulic'],
  steering: ['belt', 'electric'],
  lock: ['carried', 'out', 'own'],
  cluster: ['gateway', 'donor', 'new', 'dead'],
  load: ['bracket', 'controller'],
  pilot: ['bore', 'carrier'],
  wheel: ['solid', 'dual-mass'],
  bonnet: ['bonnet', 'intake'],
  tunnel: ['open', 'lower'],
  face: ['plate', 'bell'],
  firewall: ['recess', 'ignition'],
  length: ['fan', 'radiator', 'support'],
  width: ['panels', 'move'],
  mounts: ['bolt', 'weld'],
  lever: ['bend', 'cut'],
  case: ['adapter', 'apart'],
  loom: ['own', 'service', 'ready-made'],
} as const

/** Computed joints that lines read, in order of power flow; the others answer facts of engine and gearbox. */
export const COMPUTED_JOINTS = [
  'block-face',
  'crank-flange',
  'depth',
  'pilot',
  'release',
  'converter',
  'starter-ring',
  'rotation',
  'transfer-case',
  'propshaft',
  'drive-shafts',
  'gearbox-mount',
  'engine-mounts',
  'lever',
] as const

/** Two sizes that meet and no joint computes yet: asked, until one does. */
const ASKED_JOINTS = {
  exhaust: 'Does the exhaust pass, and meet what stays?',
  fuel: 'Do its fuel supply and the vehicle’s go together?',
  'oil-filter': 'Can its oil filter stay where it is?',
  'axle-load': 'Do springs and axle carry it?',
  'throttle-bore': 'Do throttle and intake pipe have one bore?',
  'coolant-hose': 'Have engine and radiator one size of hose?',
  'rail-height': 'Do rail and injectors sit as they should?',
  'sensor-plug': 'Do the sensors fit the loom’s plugs?',
  'filter-thread': 'Has the filter the thread of its head?',
  'cable-end': 'Do cable ends and levers go together?',
  'pipe-flange': 'Have the exhaust flanges one shape?',
  'fuel-union': 'Have the fuel pipes one union?',
  'belt-line': 'Do the pulleys stand in one line?',
  'hose-end-clutch': 'Have the clutch pipes one end?',
  'hose-end-steering': 'Have the steering hoses one end?',
  'hose-end-air': 'Have the refrigerant hoses one end?',
} as const

/** Read off rooms and joints, and ways out that are chosen: never typed. */
export const DERIVED_FACTS = {
  ...each('room', ['length', 'width', 'bonnet', 'booster', 'column', 'tunnel', 'firewall'], {
    values: ROOM_SAYS,
  }),
  ...each('joint', COMPUTED_JOINTS, { values: JOINT_SAYS }),
  ...each('joint', ['torque-clutch', 'torque-gearbox', 'torque-case', 'torque-axle'], {
    values: JOINT_SAYS,
  }),
  ...each('joint', Object.keys(ASKED_JOINTS) as (keyof typeof ASKED_JOINTS)[], (one) => ({
    values: JOINT_SAYS,
    asks: ASKED_JOINTS[one],
    found: 'measure both',
  })),
  ...each('choice', Object.keys(CHOICES) as (keyof typeof CHOICES)[], (one) => ({
    values: CHOICES[one],
    asks: WAYS[one],
    found: 'a choice, here or on Pairing',
  })),
}
