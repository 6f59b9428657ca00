import type { Code } from '../joints/code.ts'

export type StopperSays = 'yes' | 'no' | 'unknown'

/** A question that stops a build, asked first. Yes is always the good answer. */
export interface Stopper {
  readonly id: string
  readonly question: string
  /** What a no means, and what can be done. */
  readonly no: string
  /** How to find out. */
  readonly find: string
  /** The joint that judges it; null: asked, not judged yet. */
  readonly joint: string | null
}

/** Twelve questions, two minutes. Common practice, no published source. */
export const STOPPERS: readonly Stopper[] = [
  {
    id: 'pilot-bore',
    question: 'Is the pilot bore in the crank drilled and finished?',
    no: 'A crank made for an automatic often is not: bore it, or carry the nose in the flywheel.',
    find: 'Look into the crank end with a torch. An automatic: yes, it does not matter.',
    joint: 'pilot',
  },
  {
    id: 'crank-sensor',
    question:
      'Does every sensor of the engine find its place and its teeth with this bell and wheel?',
    no: 'Without its crank sensor the engine does not run: keep its wheel, or move the sensor.',
    find: 'Follow the loom to the bell; count the teeth on the wheel.',
    joint: 'crank-sensor',
  },
  {
    id: 'sump-end',
    question: 'Is the deep end of the pan clear of the crossmember and steering?',
    no: 'Another pan of the family, with its pickup and dipstick, or a crossmember moved.',
    find: 'Front, middle or rear: look at the drain plug, then under the vehicle.',
    joint: 'sump-clearance',
  },
  {
    id: 'front-output',
    question: 'Is the front output on the side of the front axle? (Without four-wheel drive: yes)',
    no: 'Another transfer case or another axle: no shaft crosses over.',
    find: 'Look from behind: which side of the case the front flange stands.',
    joint: 'transfer-case',
  },
  {
    id: 'rotation',
    question: 'Does the engine turn the way the gearbox wants?',
    no: 'Reverse gears would be forward gears: nothing cheap cures it.',
    find: 'Maker, or the curve of the fan and the side of the starter.',
    joint: 'rotation',
  },
  {
    id: 'starter-side',
    question: 'Is the side on which the starter sits free?',
    no: 'Steering box, pipe or frame in its way: another bell, or a starter of the other side.',
    find: 'Put the engine in mind into the bay: starter side, then look down there.',
    joint: 'starter-ring',
  },
  {
    id: 'ecu-set',
    question:
      'Do engine computer, key, pedal and cluster come as one set? (Without electronics: yes)',
    no: 'The immobiliser will not let it run: the flash service, or the missing pieces of the same vehicle.',
    find: 'Read the number on each; ask the seller for key and pedal now.',
    joint: null,
  },
  {
    id: 'load-signal',
    question: 'Has the automatic a load signal from this engine? (Manual: yes)',
    no: 'Without it the shifts burn the clutches: cable bracket, vacuum, or a stand-alone controller.',
    find: 'Cable, vacuum pipe or plug on the gearbox; its counterpart on the engine.',
    joint: 'load-signal',
  },
  {
    id: 'belt-sense',
    question: 'Do water pump, fan and belt turn the way each was made for?',
    no: 'A pump that turns backward overheats with nothing leaking.',
    find: 'Follow the belt: back or rib on each pulley; the cast arrow on the pump.',
    joint: 'rotation',
  },
  {
    id: 'papers',
    question: 'Are the papers and the engine number in hand?',
    no: 'No papers, no certificate: not bought before they are.',
    find: 'Read the number on the block against the paper, before money changes hands.',
    joint: null,
  },
  {
    id: 'room',
    question: 'Are brake booster, steering column and towers clear of the heads?',
    no: 'A smaller booster or another assist, and all that follows from it.',
    find: 'Width at the heads against the bay, with tape.',
    joint: null,
  },
  {
    id: 'law',
    question: 'Does the local authority allow this engine in this vehicle?',
    no: 'Ask what would be allowed before anything is bought: power, age, emissions.',
    find: 'Ask the inspecting office; note who said it, and when.',
    joint: null,
  },
]

export const isStopper = (id: string): boolean => STOPPERS.some((stopper) => stopper.id === id)

/** The questions nobody answered and no joint judges yet. @param codeOf of a joint; null where it does not apply */
export const stoppersOpen = (
  answers: Readonly<Record<string, string>>,
  codeOf: (joint: string) => Code | null,
): readonly Stopper[] =>
  STOPPERS.filter(({ id, joint }) => {
    const said = answers[id]
    if (said !== undefined && said !== 'unknown') return false
    return joint === null || codeOf(joint) === 'unmeasured'
  })
