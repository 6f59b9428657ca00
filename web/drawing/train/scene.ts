import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { acrossEnd, acrossPlan } from './across.ts'
import { alongFront, alongPlan, alongSide } from './along.ts'
import { bodyFront } from './body-front.ts'
import { bodyPlan, wallPlan } from './body-plan.ts'
import { bodySide } from './body-side.ts'
import type { Places } from './drawn.ts'
import { type Bounds, boundsOf, type Mark } from './mark.ts'
import { shellSide } from './shell-side.ts'
import { steeringFront, steeringPlan, steeringSide } from './steering.ts'

export const VIEWS = ['side', 'plan', 'front'] as const
export type View = (typeof VIEWS)[number]
export const VIEW_WORDS: Readonly<Record<View, string>> = {
  side: 'Side',
  plan: 'Plan',
  front: 'Front',
}

/** A train in its vehicle as marks, mm: x behind the radiator (side, plan) or across, y down. */
export interface Scene {
  /** The vehicle behind the train, firewall and tunnel. */
  readonly vehicle: readonly Mark[]
  readonly train: readonly Mark[]
  readonly places: Places
  /** What is worth seeing: the train, and the vehicle around it. */
  readonly bounds: Bounds
}

/** The train seen from its left, from above or from the front, as its layout lies. */
export function sceneOf(train: TrainFigure, view: View): Scene {
  const { vehicle } = train
  const drawn = train.isAcross
    ? view === 'plan'
      ? acrossPlan(train)
      : acrossEnd(train, view)
    : view === 'side'
      ? alongSide(train)
      : view === 'plan'
        ? alongPlan(train)
        : alongFront(train)
  const behind =
    view === 'side'
      ? [...bodySide(vehicle), ...steeringSide(vehicle), ...shellSide(train)]
      : view === 'plan'
        ? [...bodyPlan(vehicle), ...steeringPlan(vehicle), ...wallPlan(vehicle)]
        : [...bodyFront(vehicle), ...steeringFront(vehicle)]
  return {
    vehicle: behind,
    train: drawn.marks,
    places: drawn.places,
    bounds: boundsOf([...behind, ...drawn.marks]),
  }
}
