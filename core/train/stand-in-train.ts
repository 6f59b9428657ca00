import type { PlacementSchool } from '../joints/joint.ts'
import type { Train } from '../pairing/train.ts'
import type { CompiledPart } from '../ports/index.ts'
import { type TrainFigure, trainFigure } from './train-figure.ts'

const nobody = (kind: string): CompiledPart => ({ id: '?', kind, name: '', ports: [] })

/** A vehicle with whatever train is known for it; what is not is a stand-in throughout. */
export const figureIn = (
  recipient: CompiledPart | null,
  train: Train | null,
  placement?: PlacementSchool,
): TrainFigure =>
  trainFigure(
    train ?? {
      engine: nobody('engine'),
      transmission: nobody('transmission'),
      recipient,
      coupling: [],
      inserted: [],
    },
    placement,
  )
