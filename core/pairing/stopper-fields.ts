import type { CompiledPart } from '../ports/index.ts'
import { portOf } from '../ports/index.ts'
import type { StopperSays } from './stoppers.ts'

/** What an answer says of one field. */
export interface StopperField {
  readonly part: string
  readonly port: string
  readonly field: string
  readonly value: string | boolean
}

interface Pair {
  readonly engine: CompiledPart
  readonly transmission: CompiledPart
  readonly recipient: CompiledPart | null
  readonly transfer: CompiledPart | null
}

const opposite =
  <T extends string>(one: T, other: T) =>
  (of: string): T =>
    of === one ? other : one
const otherSide = opposite('left', 'right')
const otherTurn = opposite('clockwise', 'counter-clockwise')

/**
 * The fields an answer decides, where the other side of the joint is known: a yes to "does the engine turn the way the
 * gearbox wants" says which way the gearbox wants only once it is known which way the engine turns. An answer that decides
 * no field stays an answer, asked and not judged.
 */
export function fieldsOfAnswer(
  question: string,
  says: StopperSays,
  { engine, transmission, recipient, transfer }: Pair,
): StopperField[] {
  if (says === 'unknown') return []
  const yes = says === 'yes'
  const say = (
    part: CompiledPart,
    port: string,
    field: string,
    value: string | boolean,
  ): StopperField[] => [{ part: part.id, port, field, value }]
  switch (question) {
    case 'pilot-bore':
      return say(engine, 'pilot-bore/crank', 'finished', yes)
    case 'crank-sensor':
      return say(transmission, 'sensor-seat/main', 'drilled', yes)
    case 'rotation': {
      const turns = portOf(engine, 'engine-output').turns.v
      return turns ? say(transmission, 'ratios/main', 'turns', yes ? turns : otherTurn(turns)) : []
    }
    case 'starter-side': {
      const side =
        portOf(transmission, 'starter-seat').side.v ?? portOf(engine, 'starter-seat').side.v
      return side && recipient
        ? say(recipient, 'starter-room/main', 'side', yes ? side : otherSide(side))
        : []
    }
    case 'front-output': {
      const side = transfer && portOf(transfer, 'transfer').frontSide.v
      return side && recipient
        ? say(recipient, 'front-axle/main', 'side', yes ? side : otherSide(side))
        : []
    }
    case 'load-signal': {
      const { wants } = portOf(transmission, 'load-signal')
      const field =
        wants.v === 'cable'
          ? 'cable'
          : wants.v === 'vacuum'
            ? 'vacuum'
            : wants.v === 'controller'
              ? 'bus'
              : null
      return field ? say(engine, 'load-source/main', field, yes) : []
    }
    default:
      return []
  }
}
