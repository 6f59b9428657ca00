import { fieldsOf, type PortKindName } from '../../ports/index.ts'
import { METHODS } from '../../quantity/methods.ts'
import type { CurePlace, DrawingId, Joint, StripPlace } from '../joint.ts'
import { readsOf } from './declaration.ts'
import { fieldsRead } from './read.ts'

export interface JointField {
  readonly port: string
  readonly field: string
  readonly label: string
  readonly unit: string
  readonly minutes: number
  readonly methods: readonly {
    readonly id: string
    readonly words: string
    readonly plusMinus: number
  }[]
}

export interface JointDescription {
  readonly id: string
  readonly number: number
  readonly title: string
  readonly place: Joint['place']
  readonly decides: string
  readonly strip: StripPlace
  readonly drawing: DrawingId | null
  readonly cures: Readonly<Record<string, CurePlace>>
  readonly limits: readonly {
    readonly id: string
    readonly label: string
    readonly unit: string
    readonly damage: boolean
  }[]
  readonly reads: readonly JointField[]
}

/** What a joint decides on and how each of its fields is measured, read off its declaration. */
export function describeJoint(joint: Joint): JointDescription {
  const { id, number, title, place, decides, strip, drawing, cures } = joint
  const limits = new Map(
    joint.limits.map(({ id, label, unit, damage }) => [
      id,
      { id, label: label.replace('{at}', 'each'), unit, damage: damage ?? false },
    ]),
  )
  const fields = new Map<string, JointField>()
  const ordered = joint.limits.map(readsOf)
  for (const read of [
    ...ordered.flatMap(({ needed }) => needed),
    ...ordered.flatMap(({ sometimes }) => sometimes),
  ])
    for (const { kind, field } of fieldsRead(read))
      fields.set(`${kind}.${field}`, fieldOf(kind, field))
  return {
    id,
    number,
    title,
    place,
    decides,
    strip,
    drawing,
    cures,
    limits: [...limits.values()],
    reads: [...fields.values()],
  }
}

function fieldOf(kind: PortKindName, field: string): JointField {
  const words = fieldsOf(kind)[field]!
  return {
    port: kind,
    field,
    label: words.label,
    unit: words.unit,
    minutes: words.minutes,
    methods: words.methods.map((id) => ({
      id,
      words: METHODS[id].words,
      plusMinus: METHODS[id].plusMinus,
    })),
  }
}
