import { type AnyPort, type Compiled, PORT_KINDS, type PortKindName } from '../ports/index.ts'

/** All ports at one end of a joint, one slot per kind; a kind nobody named is its stand-in with every field unknown. */
export interface Side {
  face: Compiled<'face'>
  plate: Compiled<'plate'>
  crankFlange: Compiled<'crank-flange'>
  spacer: Compiled<'spacer'>
  flywheel: Compiled<'flywheel'>
  flangeBolts: Compiled<'flange-bolts'>
  ring: Compiled<'ring'>
  starter: Compiled<'starter'>
  pilotBore: Compiled<'pilot-bore'>
  pilotPiece: Compiled<'pilot-piece'>
  inputShaft: Compiled<'input-shaft'>
  discHub: Compiled<'disc-hub'>
  coverFingers: Compiled<'cover-fingers'>
  releaseBearing: Compiled<'release-bearing'>
  engineOutput: Compiled<'engine-output'>
  ratios: Compiled<'ratios'>
  ratings: readonly Compiled<'ratings'>[]
  chassisPads: Compiled<'chassis-pads'>
  converter: Compiled<'converter'>
  converterBore: Compiled<'converter-bore'>
  crossmember: Compiled<'crossmember'>
  enginePads: Compiled<'engine-pads'>
  flexPads: Compiled<'flex-pads'>
  mountPad: Compiled<'mount-pad'>
  pump: Compiled<'pump'>
  sump: Compiled<'sump'>
  underEngine: Compiled<'under-engine'>
  originalStack: Compiled<'original-stack'>
  axle: Compiled<'axle'>
  tyre: Compiled<'tyre'>
  clutchSeat: Compiled<'clutch-seat'>
  coverMount: Compiled<'cover-mount'>
  discFace: Compiled<'disc-face'>
  clutchPedal: Compiled<'clutch-pedal'>
  releaseGear: Compiled<'release-gear'>
  starterSeat: Compiled<'starter-seat'>
  starterRoom: Compiled<'starter-room'>
  crankSensor: Compiled<'crank-sensor'>
  trigger: Compiled<'trigger'>
  sensorSeat: Compiled<'sensor-seat'>
  frontDrive: Compiled<'front-drive'>
  caseShaft: Compiled<'case-shaft'>
  output: Compiled<'output'>
  propshaft: Compiled<'propshaft'>
  pinion: Compiled<'pinion'>
  transferInput: Compiled<'transfer-input'>
  transfer: Compiled<'transfer'>
  frontAxle: Compiled<'front-axle'>
  loadSignal: Compiled<'load-signal'>
  loadSource: Compiled<'load-source'>
  takeOffOpening: Compiled<'take-off-opening'>
  takeOff: Compiled<'take-off'>
  lever: Compiled<'lever'>
  leverOpening: Compiled<'lever-opening'>
  speedDrive: Compiled<'speed-drive'>
  speedReader: Compiled<'speed-reader'>
  switches: Compiled<'switches'>
  switchWants: Compiled<'switch-wants'>
  sideOutputs: Compiled<'side-outputs'>
  driveShafts: Compiled<'drive-shafts'>
}

/** Ports no joint reads: they are drawn, searched, or measured for room. */
const APART = ['outline', 'shaft-half', 'bay', 'tunnel'] as const
type Apart = (typeof APART)[number]
export const isApart = (kind: PortKindName): kind is Apart => (APART as readonly string[]).includes(kind)

/** The place each port kind takes on a side. */
export const SLOTS: Record<Exclude<PortKindName, 'ratings' | Apart>, Exclude<keyof Side, 'ratings'>> = {
  face: 'face',
  plate: 'plate',
  'crank-flange': 'crankFlange',
  spacer: 'spacer',
  flywheel: 'flywheel',
  'flange-bolts': 'flangeBolts',
  ring: 'ring',
  starter: 'starter',
  'pilot-bore': 'pilotBore',
  'pilot-piece': 'pilotPiece',
  'input-shaft': 'inputShaft',
  'disc-hub': 'discHub',
  'cover-fingers': 'coverFingers',
  'release-bearing': 'releaseBearing',
  'engine-output': 'engineOutput',
  ratios: 'ratios',
  'chassis-pads': 'chassisPads',
  converter: 'converter',
  'converter-bore': 'converterBore',
  crossmember: 'crossmember',
  'engine-pads': 'enginePads',
  'flex-pads': 'flexPads',
  'mount-pad': 'mountPad',
  pump: 'pump',
  sump: 'sump',
  'under-engine': 'underEngine',
  'original-stack': 'originalStack',
  axle: 'axle',
  tyre: 'tyre',
  'clutch-seat': 'clutchSeat',
  'cover-mount': 'coverMount',
  'disc-face': 'discFace',
  'clutch-pedal': 'clutchPedal',
  'release-gear': 'releaseGear',
  'starter-seat': 'starterSeat',
  'starter-room': 'starterRoom',
  'crank-sensor': 'crankSensor',
  trigger: 'trigger',
  'sensor-seat': 'sensorSeat',
  'front-drive': 'frontDrive',
  'case-shaft': 'caseShaft',
  output: 'output',
  propshaft: 'propshaft',
  pinion: 'pinion',
  'transfer-input': 'transferInput',
  transfer: 'transfer',
  'front-axle': 'frontAxle',
  'load-signal': 'loadSignal',
  'load-source': 'loadSource',
  'take-off-opening': 'takeOffOpening',
  'take-off': 'takeOff',
  lever: 'lever',
  'lever-opening': 'leverOpening',
  'speed-drive': 'speedDrive',
  'speed-reader': 'speedReader',
  switches: 'switches',
  'switch-wants': 'switchWants',
  'side-outputs': 'sideOutputs',
  'drive-shafts': 'driveShafts',
}

const ratings: readonly Compiled<'ratings'>[] = []
const face = PORT_KINDS.face.missing
const plate = PORT_KINDS.plate.missing
const crankFlange = PORT_KINDS['crank-flange'].missing
const spacer = PORT_KINDS.spacer.missing
const flywheel = PORT_KINDS.flywheel.missing
const flangeBolts = PORT_KINDS['flange-bolts'].missing
const ring = PORT_KINDS.ring.missing
const starter = PORT_KINDS.starter.missing
const pilotBore = PORT_KINDS['pilot-bore'].missing
const pilotPiece = PORT_KINDS['pilot-piece'].missing
const inputShaft = PORT_KINDS['input-shaft'].missing
const discHub = PORT_KINDS['disc-hub'].missing
const coverFingers = PORT_KINDS['cover-fingers'].missing
const releaseBearing = PORT_KINDS['release-bearing'].missing
const engineOutput = PORT_KINDS['engine-output'].missing
const ratios = PORT_KINDS.ratios.missing
const originalStack = PORT_KINDS['original-stack'].missing
const chassisPads = PORT_KINDS['chassis-pads'].missing
const converter = PORT_KINDS.converter.missing
const converterBore = PORT_KINDS['converter-bore'].missing
const crossmember = PORT_KINDS.crossmember.missing
const enginePads = PORT_KINDS['engine-pads'].missing
const flexPads = PORT_KINDS['flex-pads'].missing
const mountPad = PORT_KINDS['mount-pad'].missing
const pump = PORT_KINDS.pump.missing
const sump = PORT_KINDS.sump.missing
const underEngine = PORT_KINDS['under-engine'].missing
const axle = PORT_KINDS.axle.missing
const tyre = PORT_KINDS.tyre.missing
const clutchSeat = PORT_KINDS['clutch-seat'].missing
const coverMount = PORT_KINDS['cover-mount'].missing
const discFace = PORT_KINDS['disc-face'].missing
const clutchPedal = PORT_KINDS['clutch-pedal'].missing
const releaseGear = PORT_KINDS['release-gear'].missing
const starterSeat = PORT_KINDS['starter-seat'].missing
const starterRoom = PORT_KINDS['starter-room'].missing
const crankSensor = PORT_KINDS['crank-sensor'].missing
const trigger = PORT_KINDS.trigger.missing
const sensorSeat = PORT_KINDS['sensor-seat'].missing
const frontDrive = PORT_KINDS['front-drive'].missing
const caseShaft = PORT_KINDS['case-shaft'].missing
const output = PORT_KINDS.output.missing
const propshaft = PORT_KINDS.propshaft.missing
const pinion = PORT_KINDS.pinion.missing
const transferInput = PORT_KINDS['transfer-input'].missing
const transfer = PORT_KINDS.transfer.missing
const frontAxle = PORT_KINDS['front-axle'].missing
const loadSignal = PORT_KINDS['load-signal'].missing
const loadSource = PORT_KINDS['load-source'].missing
const takeOffOpening = PORT_KINDS['take-off-opening'].missing
const takeOff = PORT_KINDS['take-off'].missing
const lever = PORT_KINDS.lever.missing
const leverOpening = PORT_KINDS['lever-opening'].missing
const speedDrive = PORT_KINDS['speed-drive'].missing
const speedReader = PORT_KINDS['speed-reader'].missing
const switches = PORT_KINDS.switches.missing
const switchWants = PORT_KINDS['switch-wants'].missing
const sideOutputs = PORT_KINDS['side-outputs'].missing
const driveShafts = PORT_KINDS['drive-shafts'].missing

/** A side on which nothing is named yet. Written out so that every side has one shape. */
export function emptySide(): Side {
  return {
    face,
    plate,
    crankFlange,
    spacer,
    flywheel,
    flangeBolts,
    ring,
    starter,
    pilotBore,
    pilotPiece,
    inputShaft,
    discHub,
    coverFingers,
    releaseBearing,
    engineOutput,
    ratios,
    chassisPads,
    converter,
    converterBore,
    crossmember,
    enginePads,
    flexPads,
    mountPad,
    pump,
    sump,
    underEngine,
    originalStack,
    axle,
    tyre,
    clutchSeat,
    coverMount,
    discFace,
    clutchPedal,
    releaseGear,
    starterSeat,
    starterRoom,
    crankSensor,
    trigger,
    sensorSeat,
    frontDrive,
    caseShaft,
    output,
    propshaft,
    pinion,
    transferInput,
    transfer,
    frontAxle,
    loadSignal,
    loadSource,
    takeOffOpening,
    takeOff,
    lever,
    leverOpening,
    speedDrive,
    speedReader,
    switches,
    switchWants,
    sideOutputs,
    driveShafts,
    ratings,
  }
}

/** Puts ports on a side, the first of each kind; ratings gather. */
export function sideOf(ports: readonly AnyPort[]): Side {
  const side = emptySide() as unknown as Record<string, AnyPort | AnyPort[]>
  for (const port of ports) {
    if (isApart(port.kind)) continue
    if (port.kind === 'ratings') side['ratings'] = [...(side['ratings'] as AnyPort[]), port]
    else if (!(side[SLOTS[port.kind]] as AnyPort).present) side[SLOTS[port.kind]] = port
  }
  return side as unknown as Side
}

/**
 * Orders two lists of ports into the engine side and the gearbox side: what looks rearward is a, forward b,
 * the rest goes to the end that carries its kind. So a joint reads the same whichever way it was asked.
 */
export function arrange(one: readonly AnyPort[], other: readonly AnyPort[]): { a: Side; b: Side } {
  const all = [...one, ...other].sort((p, q) => (p.id < q.id ? -1 : p.id > q.id ? 1 : 0))
  const isEngineSide = (port: AnyPort): boolean => (port.looks === null ? PORT_KINDS[port.kind].end === 'engine' : port.looks === 'rearward')
  return { a: sideOf(all.filter(isEngineSide)), b: sideOf(all.filter((port) => !isEngineSide(port))) }
}
