import type { Joint } from './joint.ts'
import { BRIDGE, type Limit, type Outcome, WORK } from './verdict.ts'

const another = (words: string): Outcome => ({ code: BRIDGE, words, pieces: ['disc'] })
const SPLINES: Limit = { id: 'splines', label: 'Splines are as many', unit: '' }
const FORM: Limit = { id: 'spline-form', label: 'Splines are of one form', unit: '' }
const MAJOR: Limit = {
  id: 'spline-major',
  label: 'Hub over shaft, outer Ø',
  unit: 'mm',
  below: another('The hub does not go over the shaft'),
  above: another('The hub is loose on the shaft'),
}
const LENGTH: Limit = { id: 'hub-length', label: 'Splines longer than hub and its travel', unit: 'mm', below: another('Splines are too short for this hub and its travel') }
const CARRIER: Limit = {
  id: 'carrier',
  label: 'Spring carrier clear of the flange bolts',
  unit: 'mm',
  below: { code: BRIDGE, words: 'The spring carrier rubs on the flange bolts', pieces: ['disc', 'flywheel', 'spacer'] },
}
const MARKED: Limit = { id: 'way-round', label: 'The disc says which way round', unit: '' }
const TRIAL: Outcome = {
  code: WORK,
  words: 'Nothing says which way round',
  task: {
    id: 'mark-disc',
    words: 'Try the disc both ways against flywheel and cover, and mark the side that clears',
    hours: 0.5,
    skills: ['mechanic'],
    reversible: true,
    caution: 'Old clutches may hold asbestos: wet, masked, no compressed air.',
  },
}

/** Joint 5: the clutch disc on the input shaft, and which way round. Has no damage limits; its place along the splines is decided in depth. */
export const clutchDisc: Joint = {
  id: 'clutch-disc',
  number: 5,
  short: 'Disc',
  title: 'Clutch disc on input shaft',
  place: 'coupling',
  decides: 'Count, form and Ø of the splines, hub length with its travel, and which way round: a reversed disc rubs its spring carrier on the flange bolts.',
  applies: (_a, b) => b.ratios.type.v !== 'automatic',
  check(_a, b, ctx, sheet) {
    const hub = b.discHub
    const shaft = b.inputShaft
    sheet.uses(hub.splines)
    sheet.uses(shaft.splines)
    sheet.require(SPLINES, hub.splines.v === shaft.splines.v, another(`${hub.splines.v} splines on ${shaft.splines.v}`))

    sheet.uses(hub.form)
    sheet.uses(shaft.form)
    sheet.require(FORM, hub.form.v === shaft.form.v, another(`A ${hub.form.v} hub on ${shaft.form.v} splines`))

    sheet.term(1, hub.majorMm)
    sheet.term(-1, shaft.majorMm)
    sheet.within(MAJOR, 0, ctx.tolerances.splineMm)

    sheet.term(1, shaft.splineEndMm)
    sheet.term(-1, shaft.splineStartMm)
    sheet.term(-1, hub.endMm)
    sheet.term(1, hub.startMm)
    sheet.within(LENGTH, 2 * ctx.tolerances.hubTravelMm, Infinity)

    sheet.uses(hub.marked)
    sheet.require(MARKED, hub.marked.v !== 'neither', TRIAL)

    sheet.term(1, b.flywheel.clutchFaceMm)
    sheet.term(-1, hub.carrierMm)
    sheet.term(-1, b.flangeBolts.headTallMm)
    sheet.within(CARRIER, ctx.tolerances.carrierClearMm, Infinity)
    if (hub.marked.v !== null && hub.marked.v !== 'neither') sheet.show('Marked side goes to the', hub.marked.v.replace(' side', ''), '')
  },
}
