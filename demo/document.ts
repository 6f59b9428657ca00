import { DEFAULT_RULE, readNumber } from '../core/identity/number-rule.ts'
import type { Grade } from '../core/quantity/grade.ts'

type Row = Record<string, unknown>

/** Collects rows of an export document; ids are readable and fixed, so the document is the same every time. */
export class DocumentWriter {
  readonly tables: Record<string, Row[]> = {}
  #claims = 0
  #applications = 0

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

  number(part: string, issuer: string, number: string, rest: Row = {}): void {
    this.add('partNumber', {
      id: `number-${issuer}-${number.replaceAll(' ', '-')}${rest.again ? `-${part}` : ''}`,
      partId: part,
      ...written(issuer, number),
      mark: 'catalogue',
      again: false,
      grade: 'catalogue',
      ...rest,
    })
  }

  /** Numbers replaced by others: `[issuer, number, quantity]` on either side, one of them alone. */
  supersession(
    id: string,
    old: readonly WrittenTuple[],
    next: readonly WrittenTuple[],
    rest: Row = {},
  ): void {
    this.add('supersession', { id, back: 'unsaid', grade: 'catalogue', ...rest })
    for (const [side, numbers] of [
      ['old', old],
      ['new', next],
    ] as const)
      for (const [i, [issuer, number, quantity = 1]] of numbers.entries())
        this.add('supersessionNumber', {
          id: `${id}~${side}${i === 0 ? '' : i + 1}`,
          supersessionId: id,
          side,
          ...written(issuer, number),
          quantity,
        })
  }

  /** Numbers that serve for one another, or do not. */
  interchange(id: string, members: readonly WrittenTuple[], rest: Row = {}): void {
    this.add('interchange', { id, serves: 'yes', grade: 'catalogue', ...rest })
    for (const [i, [issuer, number]] of members.entries())
      this.add('interchangeNumber', {
        id: `${id}~${i + 1}`,
        interchangeId: id,
        ...written(issuer, number),
        way: 'both',
      })
  }

  /** What a number fits, or does not. */
  application(issuer: string, number: string, scope: Row, rest: Row = {}): void {
    this.add('application', {
      id: `application-${String(++this.#applications).padStart(4, '0')}`,
      ...written(issuer, number),
      fits: 'yes',
      grade: 'catalogue',
      scope,
      ...rest,
    })
  }
}

/** An issuer, a number of it, and how many. */
export type WrittenTuple = readonly [issuer: string, number: string, quantity?: number]

/** What a number of an issuer is compared by: all in the demo drop the same, and their own name before it. */
export const keyOf = (issuer: string, number: string): string =>
  readNumber(number, { ...DEFAULT_RULE, prefixes: [issuer] }).key

const written = (issuer: string, number: string): Row => ({
  issuerId: `issuer-${issuer}`,
  number,
  normalised: keyOf(issuer, number),
})
