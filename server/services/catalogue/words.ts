import { JOINTS } from '../../../core/joints/index.ts'
import { TOLERANCES } from '../../../core/joints/tolerances.ts'
import { STOPPERS } from '../../../core/pairing/stoppers.ts'
import { fieldsOf, PORT_KIND_NAMES, PORT_KINDS } from '../../../core/ports/index.ts'
import { PART_KINDS } from '../../../core/ports/part-kinds.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { PATTERN_FAMILIES } from '../../../core/templates/families.ts'
import { TEMPLATES } from '../../../core/templates/index.ts'
import type { Store } from '../../database/store.ts'
import { familiesOf } from './parts.ts'

/** What things are called: kinds of part, ports and their fields, methods, tolerances, joints. */
export const vocabulary = () => ({
  partKinds: PART_KINDS,
  methods: METHODS,
  tolerances: TOLERANCES,
  joints: JOINTS.map(({ id, number, short, title, decides }) => ({
    id,
    number,
    short,
    title,
    decides,
  })),
  ports: Object.fromEntries(
    PORT_KIND_NAMES.map((kind) => [
      kind,
      {
        title: PORT_KINDS[kind].title,
        looks: PORT_KINDS[kind].looks,
        fields: Object.entries(fieldsOf(kind)).map(
          ([name, { label, unit, type, choices, methods, minutes }]) => ({
            name,
            label,
            unit,
            type,
            choices: choices ?? null,
            methods,
            minutes,
          }),
        ),
      },
    ]),
  ),
})

/** What a build can be started from without measuring. */
export const startingPoints = async (store: Store) => ({
  templates: TEMPLATES.map(({ id, kind, words, says, massKg }) => ({
    id,
    kind,
    words,
    says,
    massKg,
  })),
  families: [
    ...PATTERN_FAMILIES.map(({ id, words }) => ({ id, words })),
    ...(await familiesOf(store)),
  ],
  stoppers: STOPPERS,
})
