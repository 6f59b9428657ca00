import { fieldsOf, type PortKindName } from '../../../core/ports/index.ts'
import { parseFields } from '../../../core/ports/parse.ts'
import { type Grade, isGrade } from '../../../core/quantity/grade.ts'
import type { Reading } from '../../../core/quantity/units.ts'

/** What is typed, by field. */
export type Typed = Record<string, string>

/** Reads the typed fields of one port; what cannot be read goes to the faults. */
export function readFields(
  port: PortKindName,
  slot: string,
  typed: Typed,
  reading: Reading,
  faults: Typed,
): Record<string, { value: unknown; grade: Grade; typed: string }> {
  const fields: Record<string, { value: unknown; grade: Grade; typed: string }> = {}
  const all = fieldsOf(port)
  for (const name of Object.keys(all)) {
    const key = `${port}/${slot}.${name}`
    const text = typed[key]?.trim()
    if (!text) continue
    try {
      for (const [field, value] of Object.entries(parseFields(all, name, text, reading)))
        fields[field] ??= {
          value,
          grade: isGrade(typed.grade) ? typed.grade : 'measured',
          typed: text,
        }
    } catch (error) {
      faults[key] = (error as Error).message
    }
  }
  return fields
}
