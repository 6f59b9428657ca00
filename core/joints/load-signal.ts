import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const RUIN = 'Without its load signal an automatic shifts soft and burns its clutches in hours: never drive it, not even to try, before the signal is set and its pressure read.'
const controller: Outcome = {
  code: BRIDGE,
  words: 'This engine does not tell its load that way: a stand-alone controller, a throttle bracket, or a sensor',
  pieces: ['load-controller'],
}
const cam: Outcome = {
  code: WORK,
  words: 'The cable is pulled too little or too much',
  task: {
    id: 'load-cam',
    words: 'Make the throttle cam that gives the pull, and set it by line pressure',
    hours: 3,
    skills: ['machine', 'mechanic'],
    reversible: true,
    caution: RUIN,
  },
}
const SOURCE: Limit = { id: 'load-source', label: 'Engine tells its load as the automatic wants', unit: '' }
const PULL: Limit = { id: 'load-pull', label: 'Cable pulled as far', unit: 'mm', below: cam, above: cam }

/** Joint 14: load signal of an automatic. No damage limits by number: what is missing is a bridge, with the warning. */
export const loadSignal: Joint = {
  id: 'load-signal',
  number: 14,
  short: 'Load',
  title: 'Load signal to gearbox',
  place: 'vehicle',
  decides: 'Cable with its pull, vacuum, or a controller that reads throttle angle: what the automatic wants against what the engine gives.',
  sometimes: ['load-source.cable', 'load-source.vacuum', 'load-source.bus', 'load-signal.pullMm', 'load-source.pullMm'],
  applies: (_a, b) => b.ratios.type.v === 'automatic',
  check(a, b, { tolerances }, sheet) {
    const { wants } = b.loadSignal
    const gives = a.loadSource
    const source = wants.v === 'cable' ? gives.cable : wants.v === 'vacuum' ? gives.vacuum : wants.v === 'controller' ? gives.bus : null
    sheet.uses(wants)
    if (source) sheet.uses(source)
    sheet.require(SOURCE, source === null || source.v === true, controller)
    sheet.caution(RUIN)
    if (wants.v !== 'cable') return
    sheet.term(1, gives.pullMm)
    sheet.term(-1, b.loadSignal.pullMm)
    sheet.within(PULL, -tolerances.cablePullMm, tolerances.cablePullMm)
  },
}
