import type { FieldWords } from '../ports/field.ts'
import { PORT_KINDS, type PortKindName } from '../ports/index.ts'
import { METHODS } from '../quantity/methods.ts'
import type { Joint } from './joint.ts'
import { RecordSheet } from './record.ts'
import { emptySide } from './side.ts'
import { tolerances } from './tolerances.ts'

export interface JointField {
  readonly port: string
  readonly field: string
  readonly label: string
  readonly unit: string
  readonly minutes: number
  readonly methods: readonly { readonly id: string; readonly words: string; readonly plusMinus: number }[]
}

export interface JointDescription {
  readonly id: string
  readonly number: number
  readonly title: string
  readonly place: Joint['place']
  readonly decides: string
  readonly limits: readonly { readonly id: string; readonly label: string; readonly unit: string; readonly damage: boolean }[]
  readonly reads: readonly JointField[]
}

/**
 * What a joint decides on and how each of its fields is measured, read off the check itself: it is run with nothing
 * known, in both schools of placement, so that this list and the verdicts cannot differ; what it reads only sometimes it
 * says itself.
 */
export function describeJoint(joint: Joint): JointDescription {
  const limits = new Map<string, JointDescription['limits'][number]>()
  const reads = new Map<string, JointField>()
  for (const placement of ['keep', 'set-back'] as const) {
    const sheet = new RecordSheet()
    joint.check(emptySide(), emptySide(), { stack: [], tolerances: tolerances(), placement }, sheet)
    const verdict = sheet.verdict(joint.id)
    for (const { id, label, unit, damage } of verdict.limits) limits.set(id, { id, label, unit, damage })
    const always = verdict.fields.map(({ port, field }) => `${port.split('/')[1]}.${field}`)
    for (const name of [...always, ...(joint.sometimes ?? [])]) {
      const [kind, field] = name.split('.') as [PortKindName, string]
      const words = (PORT_KINDS[kind].fields as unknown as Record<string, FieldWords<unknown>>)[field]!
      reads.set(name, {
        port: kind,
        field,
        label: words.label,
        unit: words.unit,
        minutes: words.minutes,
        methods: words.methods.map((id) => ({ id, words: METHODS[id].words, plusMinus: METHODS[id].plusMinus })),
      })
    }
  }
  const { id, number, title, place, decides } = joint
  return { id, number, title, place, decides, limits: [...limits.values()], reads: [...reads.values()] }
}
