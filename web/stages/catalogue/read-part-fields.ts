import { asStored, type FaceView, isPlaced } from '../../../core/patterns/as-stored.ts'
import { fieldsOf, type PortKindName } from '../../../core/ports/index.ts'
import { parseFields, unusualTyped } from '../../../core/ports/parse.ts'
import { type Grade, isGrade } from '../../../core/quantity/grade.ts'
import type { Reading } from '../../../core/quantity/units.ts'

/** What is typed, by field. */
export type Typed = Record<string, string>

/** Where it is ticked that an unusual value is so. */
export const soKey = (key: string): string => `${key} is so`

/** Where it is typed how a face was seen. */
export const viewKey = (port: string, slot: string): string => `${port}/${slot}.view`

/** Reads the typed fields of one port; what cannot be read goes to the faults. */
export function readFields(
  port: PortKindName,
  slot: string,
  typed: Typed,
  reading: Reading,
  faults: Typed,
  looks: string | null | undefined,
): Record<string, { value: unknown; grade: Grade; typed: string }> {
  const fields: Record<string, { value: unknown; grade: Grade; typed: string }> = {}
  const all = fieldsOf(port)
  for (const name of Object.keys(all)) {
    const key = `${port}/${slot}.${name}`
    const text = typed[key]?.trim()
    if (!text) continue
    try {
      const view = typed[viewKey(port, slot)]
      const isMirrorable = looks === 'forward' && isPlaced(all[name]!)
      if (isMirrorable && !view) faults[viewKey(port, slot)] = 'Choose how the face was seen.'
      const unusual = unusualTyped(all[name]!, text, reading)
      if (unusual && typed[soKey(key)] !== 'yes') faults[key] = `${unusual} Look again.`
      for (const [field, value] of Object.entries(parseFields(all, name, text, reading)))
        fields[field] ??= {
          value: isMirrorable && view ? asStored(value, view as FaceView) : value,
          grade: isGrade(typed.grade) ? typed.grade : 'measured',
          typed: text,
        }
    } catch (error) {
      faults[key] = (error as Error).message
    }
  }
  return fields
}
