import type { NewNeed } from '../need.ts'
import type { Rule } from '../rule.ts'

export const CONFIRM_OR_DROP = 'confirm-or-drop'

interface Forgotten {
  readonly kind: string
  readonly place: string
  readonly words: string
  readonly says: string
  readonly only?: 'manual'
  readonly waits?: NewNeed['waits']
}

/** Small things that stop a build on the day, and cost a week. Common practice, no published source. */
const FORGOTTEN: readonly Forgotten[] = [
  {
    kind: 'separator',
    place: 'coupling',
    words: 'Separator plate',
    says: 'Thin, easily left on the donor, and counted in every depth',
  },
  {
    kind: 'dowel',
    place: 'face',
    words: 'Dowels',
    says: 'Left in the other block; without them nothing locates the case on the crank',
  },
  {
    kind: 'odd-bell-bolt',
    place: 'face',
    words: 'Odd bell bolts',
    says: 'One or two are longer, shorter or of another thread',
  },
  {
    kind: 'pilot',
    place: 'coupling',
    words: 'Pilot bearing or bush',
    says: 'An automatic crank has none; a used one is worn',
    only: 'manual',
  },
  {
    kind: 'alignment-tool',
    place: 'coupling',
    words: 'Clutch alignment tool',
    says: 'For this spline and this pilot',
    only: 'manual',
  },
  {
    kind: 'fork-stud',
    place: 'coupling',
    words: 'Release fork stud',
    says: 'Stays in the other bell; its height sets the bearing',
    only: 'manual',
  },
  {
    kind: 'clutch-line-end',
    place: 'coupling',
    words: 'Clutch line end',
    says: 'Thread and seat of the slave are seldom those of the pipe',
    only: 'manual',
    waits: 'mock-up',
  },
  {
    kind: 'throttle-bracket',
    place: 'bay',
    words: 'Throttle bracket',
    says: 'The cable needs a stop at the right distance',
  },
  {
    kind: 'top-hose',
    place: 'bay',
    words: 'Top radiator hose',
    says: 'Outlet, size and side differ',
    waits: 'mock-up',
  },
  {
    kind: 'belt',
    place: 'bay',
    words: 'Drive belt',
    says: 'Its length follows from what stays on the engine',
    waits: 'mock-up',
  },
  {
    kind: 'alternator-plug',
    place: 'bay',
    words: 'Alternator plug',
    says: 'Cut off with the loom it came from',
  },
  {
    kind: 'heater-reducer',
    place: 'bay',
    words: 'Heater hose reducers',
    says: 'Two sizes are in use',
  },
  {
    kind: 'earth-strap',
    place: 'bay',
    words: 'Earth straps',
    says: 'Engine to body and engine to battery: left off, the current finds a cable or a bearing',
  },
]

/** What every build is asked about until somebody confirms or drops it. */
export const confirmOrDrop: Rule = {
  id: CONFIRM_OR_DROP,
  reads: ['need:engine', 'need:transmission', 'gearbox.type'],
  adds: FORGOTTEN.map(({ kind }) => kind),
  run: ({ has, facts }) =>
    has('engine') && has('transmission')
      ? FORGOTTEN.filter(
          ({ only }) => only === undefined || facts.text('gearbox.type') === only,
        ).map(
          ({ kind, place, words, says, waits }): NewNeed => ({
            kind,
            place,
            words,
            level: 'confirm',
            ...(waits ? { waits } : {}),
            why: [{ rule: CONFIRM_OR_DROP, words: says, parent: 'engine/engine/main' }],
          }),
        )
      : [],
}
