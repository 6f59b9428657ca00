import type { Grade } from '../core/quantity/grade.ts'

type Row = Record<string, unknown>

/** Collects rows of an export document; ids are readable and fixed, so the document is the same every time. */
export class DocumentWriter {
  readonly tables: Record<string, Row[]> = {}
  #claims = 0

  add(table: string, row: Row): string {
    ;(this.tables[table] ??= []).push(
      Object.fromEntries(
        Object.entries(row).filter(([, value]) => value !== undefined && value !== null),
      ),
    )
    return String(row.id)
  }

  part(id: string, kind: string, name: string, rest: Row = {}): string {
    return this.add('part', { id, kind, name, isDefault: true, ...rest })
  }

  /** A port with its values, all claimed at one grade. */
  port(
    part: string,
    kind: string,
    slot: string,
    values: Row,
    {
      grade = 'maker',
      looks,
      by,
      source,
      method,
    }: { grade?: Grade; looks?: string; by?: string; source?: string; method?: string } = {},
  ): string {
    const id = this.add('port', { id: `${part}/${kind}/${slot}`, partId: part, kind, slot, looks })
    for (const [field, value] of Object.entries(values))
      this.claim(id, field, value, grade, {
        by,
        source,
        method: typeof value === 'number' ? method : undefined,
      })
    return id
  }

  claim(
    portId: string,
    field: string,
    value: unknown,
    grade: Grade,
    {
      by,
      source,
      method,
      plusMinus,
      day,
    }: { by?: string; source?: string; method?: string; plusMinus?: number; day?: string } = {},
  ): void {
    const id = `claim-${String(++this.#claims).padStart(5, '0')}`
    this.add('claim', {
      id,
      portId,
      field,
      value,
      grade,
      saidBy: by,
      source: source ?? (grade === 'maker' ? 'Workshop drawing' : undefined),
      method,
      plusMinus,
      day: day ?? (grade === 'measured' ? '2026-10-12' : undefined),
    })
  }

  number(part: string, issuer: string, number: string): void {
    this.add('partNumber', {
      id: `number-${issuer}-${number}`,
      partId: part,
      issuerId: `issuer-${issuer}`,
      number,
      normalised: number.toUpperCase().replace(/[ .-]/g, ''),
    })
  }
}
