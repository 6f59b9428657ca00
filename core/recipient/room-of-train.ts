import type { Train } from '../pairing/train.ts'
import { type CompiledPart, portOf } from '../ports/index.ts'
import { roomOf, type Stations } from './room.ts'

/** Room of a vehicle for a train, from what is measured of both. */
export const roomOfTrain = (
  vehicle: CompiledPart | null | undefined,
  train: Pick<Train, 'engine' | 'transmission'> | null | undefined,
): ReturnType<typeof roomOf> =>
  roomOf(
    stations(vehicle),
    stations(train?.transmission),
    bayOf(vehicle),
    sizeOf(train?.engine),
    sizeOf(train?.transmission).width,
  )

function stations(part: CompiledPart | null | undefined): Stations {
  const { bellMm, leverMm, tailMm, caseMm } = portOf(part, 'tunnel')
  return { bell: bellMm.v, lever: leverMm.v, tail: tailMm.v, case: caseMm.v }
}

function bayOf(part: CompiledPart | null | undefined): Parameters<typeof roomOf>[2] {
  const { lengthMm, widthMm, heightMm, boosterMm, columnMm } = portOf(part, 'bay')
  return {
    length: lengthMm.v,
    width: widthMm.v,
    height: heightMm.v,
    booster: boosterMm.v,
    column: columnMm.v,
    tunnel: portOf(part, 'tunnel').widthMm.v,
  }
}

function sizeOf(part: CompiledPart | null | undefined): Parameters<typeof roomOf>[3] {
  const { lengthMm, widthMm, heightMm } = portOf(part, 'outline')
  return { length: lengthMm.v, width: widthMm.v, height: heightMm.v }
}
