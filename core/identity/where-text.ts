import { TARGETS, type Where, type WhereCondition } from './claims.ts'

/** Where a claim holds, as the columns of a list have it; lists by `|`. */
export const WHERE_COLUMNS = [
  'vehicle',
  'vehicleGenerations',
  'engine',
  'engineGenerations',
  'transmission',
  'transmissionGenerations',
  'from',
  'to',
  'yearFrom',
  'yearTo',
  'series',
  'serialFrom',
  'serialTo',
  'gearbox',
  'market',
  'drivetrain',
  'steering',
  'throttle',
  'conditions',
  'qualifiers',
  'do',
] as const
export type WhereColumn = (typeof WHERE_COLUMNS)[number]
export type WhereText = Readonly<Partial<Record<WhereColumn, string>>>

/** Facts with a column of their own, by what they are called. */
const FACT_COLUMNS = {
  gearbox: 'gearbox',
  market: 'market',
  drivetrain: 'drivetrain',
  steering: 'steering',
  throttle: 'engine.throttle',
} as const

/** What cannot be read, and in which column. */
export class WhereFault extends RangeError {
  override readonly name = 'WhereFault'
  readonly column: WhereColumn
  constructor(column: WhereColumn, message: string) {
    super(message)
    this.column = column
  }
}

const listIn = (text: string | undefined): string[] =>
  (text ?? '')
    .split('|')
    .map((one) => one.trim())
    .filter((one) => one !== '')

/** Where a claim holds, from the columns of a list; null where nothing restricts it. @throws WhereFault naming the column */
export function readWhere(text: WhereText): Where | null {
  const where: { -readonly [K in keyof Where]: Where[K] } = {}
  const targets: Record<string, { family: string; generations?: string[] }> = {}
  for (const target of TARGETS) {
    const family = text[target]?.trim()
    const generations = listIn(text[`${target}Generations`])
    if (!family && generations.length > 0)
      throw new WhereFault(
        `${target}Generations`,
        `Generations of no family: name the family under ${target}.`,
      )
    if (family) targets[target] = { family, ...(generations.length > 0 ? { generations } : {}) }
  }
  if (Object.keys(targets).length > 0) where.targets = targets
  for (const column of ['from', 'to'] as const) {
    const date = text[column]?.trim()
    if (!date) continue
    if (!/^\d{4}(-\d{2}(-\d{2})?)?$/.test(date))
      throw new WhereFault(column, 'Write a year, a month or a day: 2004, 2004-03 or 2004-03-15.')
    where[column] = date
  }
  for (const column of ['yearFrom', 'yearTo'] as const) {
    const year = wholeIn(text, column)
    if (year !== null) where[column] = year
  }
  const [series, from, to] = [
    text.series?.trim() || null,
    wholeIn(text, 'serialFrom'),
    wholeIn(text, 'serialTo'),
  ]
  if (series !== null || from !== null || to !== null)
    where.serial = {
      ...(series === null ? {} : { series }),
      ...(from === null ? {} : { from }),
      ...(to === null ? {} : { to }),
    }
  const conditions: WhereCondition[] = [
    ...(Object.keys(FACT_COLUMNS) as (keyof typeof FACT_COLUMNS)[]).flatMap((column) => {
      const is = listIn(text[column])
      return is.length > 0 ? [{ key: FACT_COLUMNS[column], is }] : []
    }),
    ...conditionsIn(text.conditions),
    ...listIn(text.qualifiers).map((key) => ({ key, is: ['true'] })),
  ]
  if (conditions.length > 0) where.conditions = conditions
  const toDo = listIn(text.do)
  if (toDo.length > 0) where.do = toDo
  return Object.keys(where).length > 0 ? where : null
}

function wholeIn(text: WhereText, column: WhereColumn): number | null {
  const typed = text[column]?.trim()
  if (!typed) return null
  if (!/^\d{1,15}$/.test(typed)) throw new WhereFault(column, `"${typed}" is not a whole number.`)
  return Number(typed)
}

/** `crankTeeth>=36; market!=north|south; year=2004` */
function conditionsIn(text: string | undefined): WhereCondition[] {
  return (text ?? '')
    .split(';')
    .map((one) => one.trim())
    .filter((one) => one !== '')
    .map((one) => {
      const read = /^([^<>=!]+?)\s*(>=|<=|!=|=)\s*(.+)$/.exec(one)
      if (!read)
        throw new WhereFault(
          'conditions',
          `"${one}" is no condition: write a fact, one of = != >= <=, and a value.`,
        )
      const [, key = '', mark, value = ''] = read
      if (mark === '=') return { key: key.trim(), is: listIn(value) }
      if (mark === '!=') return { key: key.trim(), not: listIn(value) }
      const figure = Number(value.trim())
      if (!Number.isFinite(figure))
        throw new WhereFault('conditions', `"${value.trim()}" is not a number, in "${one}".`)
      return mark === '>=' ? { key: key.trim(), from: figure } : { key: key.trim(), to: figure }
    })
}

/** A where as the columns of a list: reads back as it was. */
export function writeWhere(where: Where | null | undefined): WhereText {
  if (!where) return {}
  const text: Partial<Record<WhereColumn, string>> = {}
  for (const target of TARGETS) {
    const named = where.targets?.[target]
    if (!named) continue
    text[target] = named.family
    if (named.generations?.length) text[`${target}Generations`] = named.generations.join('|')
  }
  for (const column of ['from', 'to'] as const) if (where[column]) text[column] = where[column]
  for (const column of ['yearFrom', 'yearTo'] as const)
    if (where[column] !== undefined) text[column] = String(where[column])
  const { series, from, to } = where.serial ?? {}
  if (series !== undefined) text.series = series
  if (from !== undefined) text.serialFrom = String(from)
  if (to !== undefined) text.serialTo = String(to)
  const others: string[] = []
  const qualifiers: string[] = []
  for (const condition of where.conditions ?? []) {
    const column = (Object.keys(FACT_COLUMNS) as (keyof typeof FACT_COLUMNS)[]).find(
      (one) => FACT_COLUMNS[one] === condition.key,
    )
    if (column && condition.is && text[column] === undefined) text[column] = condition.is.join('|')
    else if (condition.is?.length === 1 && condition.is[0] === 'true')
      qualifiers.push(condition.key)
    else others.push(...conditionText(condition))
  }
  if (others.length > 0) text.conditions = others.join('; ')
  if (qualifiers.length > 0) text.qualifiers = qualifiers.join('|')
  if (where.do?.length) text.do = where.do.join('|')
  return text
}

const conditionText = ({ key, is, not, from, to }: WhereCondition): string[] => [
  ...(is ? [`${key}=${is.join('|')}`] : []),
  ...(not ? [`${key}!=${not.join('|')}`] : []),
  ...(from === undefined ? [] : [`${key}>=${from}`]),
  ...(to === undefined ? [] : [`${key}<=${to}`]),
]

/** A where in one line: "Kessarn Wick 2nd, built from 1992-03, gearbox manual". Empty where nothing restricts it. */
export function whereWords(where: Where | null | undefined): string {
  if (!where) return ''
  const { targets, from, to, yearFrom, yearTo, serial } = where
  const between = (low: unknown, high: unknown): string =>
    low !== undefined && high !== undefined
      ? `${low} to ${high}`
      : low !== undefined
        ? `from ${low}`
        : `to ${high}`
  return [
    ...TARGETS.flatMap((target) => {
      const named = targets?.[target]
      return named
        ? [[named.family, named.generations?.join(' or ')].filter(Boolean).join(' ')]
        : []
    }),
    ...(from || to ? [`built ${between(from, to)}`] : []),
    ...(yearFrom || yearTo ? [`model year ${between(yearFrom, yearTo)}`] : []),
    ...(serial
      ? [
          [
            'serial',
            serial.series,
            serial.from === undefined && serial.to === undefined
              ? ''
              : between(serial.from, serial.to),
          ]
            .filter(Boolean)
            .join(' '),
        ]
      : []),
    ...(where.conditions ?? []).map(({ key, is, not, from: low, to: high }) =>
      is
        ? is.length === 1 && is[0] === 'true'
          ? key
          : `${key} ${is.join(' or ')}`
        : not
          ? `${key} not ${not.join(' or ')}`
          : `${key} ${between(low, high)}`,
    ),
  ].join(', ')
}
