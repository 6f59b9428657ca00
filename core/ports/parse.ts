import { isSpline, parseSpline } from '../mechanics/spline.ts'
import { parseThread } from '../mechanics/thread.ts'
import { parseQuantity, QuantityError, type Reading } from '../quantity/units.ts'
import { type Dowel, type FieldWords, type Hole, PROCESSES, type Zone } from './field.ts'
import { isPossible, rangeWords, unusualWords } from './ranges.ts'

/**
 * Reads what a person typed into a field's stored value. Lists are one item a line (or `;`):
 * holes and dowels `x y Ø [M10x1.5] [pin] [optional] [milled]`, figures separated by spaces.
 *
 * @throws QuantityError saying what could not be read, where, and what to type
 */
export function parseTyped(words: FieldWords<any>, typed: string, reading: Reading = {}): unknown {
  const text = typed.trim()
  if (text === '')
    throw new QuantityError(
      `${words.label}: type a value, or leave the field out to say it is not known.`,
    )
  const value = read(words, text, reading)
  if (words.range && !isPossible(words.range, value))
    throw new QuantityError(`${words.label}: ${rangeWords(words.range, words.unit)}.`)
  const fault = words.fault?.(value) ?? null
  if (fault !== null) throw new QuantityError(fault)
  return value
}

function read(words: FieldWords<any>, text: string, reading: Reading): unknown {
  switch (words.type) {
    case 'number':
      return parseQuantity(text, words.unit, reading)
    case 'flag':
      if (/^(yes|y|true|1)$/i.test(text)) return true
      if (/^(no|n|false|0)$/i.test(text)) return false
      throw new QuantityError(`${words.label}: type yes or no, not "${text}".`)
    case 'thread':
      return parseThread(text)
    case 'word':
      if (words.choices && !words.choices.includes(text))
        throw new QuantityError(
          `${words.label}: choose one of ${words.choices.join(', ')}, not "${text}".`,
        )
      return text
    case 'numbers':
      return text
        .split(/[\s;]+/)
        .filter(Boolean)
        .map((item) => parseQuantity(item, words.unit === '°' ? '°' : '', reading))
    case 'holes':
      return lines(text).map((line, i) => parseHole(line, i + 1, reading))
    case 'dowels':
      return /^none$/i.test(text)
        ? []
        : lines(text).map((line, i): Dowel => {
            const { thread: _, bolt: ___, optional: __, ...dowel } = parseHole(line, i + 1, reading)
            return { ...dowel, ...(/\bpin\b/i.test(line) ? { pin: true } : {}) }
          })
    case 'points':
      return lines(text).map((line, i) => {
        const [x, y] = figures(line, 2, i + 1, reading)
        return { x, y }
      })
    case 'zones':
      return /^none$/i.test(text)
        ? []
        : lines(text).map((line, i) => parseZone(line, i + 1, reading))
  }
}

/** `from to depth [left right] [moving] [name]`: a box along the train, mm. Two figures after the depth are its edges across. */
function parseZone(line: string, number: number, reading: Reading): Zone {
  const [fromMm, toMm, depthMm] = figures(line, 3, number, reading) as [number, number, number]
  if (toMm <= fromMm)
    throw new QuantityError(`Line ${number}, "${line}": it must end further back than it starts.`)
  const isWide = line.split(/\s+/).slice(3, 5).filter(isFigure).length === 2
  const [leftMm, rightMm] = isWide ? figures(line, 5, number, reading).slice(3) : []
  if (leftMm !== undefined && rightMm !== undefined && rightMm <= leftMm)
    throw new QuantityError(
      `Line ${number}, "${line}": its right edge must be further right than its left; left of the crank is negative.`,
    )
  const rest = line.split(/\s+/).slice(isWide ? 5 : 3)
  const name = rest.filter((word) => !/^moving$/i.test(word)).join(' ')
  return {
    fromMm,
    toMm,
    depthMm,
    ...(isWide ? { leftMm: leftMm!, rightMm: rightMm! } : {}),
    ...(rest.some((word) => /^moving$/i.test(word)) ? { moving: true } : {}),
    ...(name ? { name } : {}),
  }
}

/** Why what was typed is unusual, though it can be; null where it is not, or cannot be read yet. */
export function unusualTyped(
  words: FieldWords<any>,
  typed: string,
  reading: Reading = {},
): string | null {
  if (!words.range?.usual) return null
  try {
    return unusualWords(words.range, parseTyped(words, typed, reading))
  } catch {
    return null
  }
}

/**
 * Reads what was typed into one field, or said whole for two: `26 spline 1-1/8` names count and Ø at once.
 *
 * @returns values by field name
 * @throws QuantityError
 */
export function parseFields(
  fields: Readonly<Record<string, FieldWords<any>>>,
  name: string,
  typed: string,
  reading: Reading = {},
): Record<string, unknown> {
  if (
    (name === 'splines' || name === 'majorMm') &&
    fields.splines &&
    fields.majorMm &&
    isSpline(typed)
  )
    return { ...parseSpline(typed, reading) }
  return { [name]: parseTyped(fields[name]!, typed, reading) }
}

const isFigure = (word: string): boolean => /^[-+−]?[\d.,/]+$/.test(word)
/** Its edges across as they are typed: both or none, a side without end by a figure no part reaches. */
const edgesOf = ({ leftMm, rightMm }: Zone): number[] =>
  leftMm === undefined && rightMm === undefined ? [] : [leftMm ?? -ENDLESS, rightMm ?? ENDLESS]
const ENDLESS = 4000

const lines = (text: string): string[] =>
  text
    .split(/[\n;]+/)
    .map((line) => line.trim())
    .filter(Boolean)

function figures(line: string, count: number, number: number, reading: Reading): number[] {
  const items = line.split(/\s+/).slice(0, count)
  if (items.length < count)
    throw new QuantityError(
      `Line ${number}, "${line}": type ${count === 3 ? 'three figures' : 'x and y'} separated by spaces.`,
    )
  return items.map((item) => parseQuantity(item, 'mm', reading))
}

function parseHole(line: string, number: number, reading: Reading): Hole {
  const [x, y, d] = figures(line, 3, number, reading) as [number, number, number]
  if (d <= 0) throw new QuantityError(`Line ${number}: Ø must be more than 0.`)
  const typed = line.split(/\s+/).slice(3)
  // `takes M10`: the bolt that passes a plain hole.
  const taking = typed.findIndex((item) => /^takes$/i.test(item))
  const bolt = taking < 0 ? undefined : parseThread(typed[taking + 1] ?? '')
  const rest = taking < 0 ? typed : typed.toSpliced(taking, 2)
  const written = rest.find((item) => /^M\d|^\d+\/\d+-\d+/i.test(item))
  const thread = written && parseThread(written)
  const process = PROCESSES.find((name) => rest.includes(name))
  const known = rest.filter(
    (item) => item === written || item === process || /^(optional|pin)$/i.test(item),
  )
  if (known.length !== rest.length)
    throw new QuantityError(
      `Line ${number}: "${rest.find((item) => !known.includes(item))}" is not understood. After Ø write a thread (M10x1.5), the bolt that passes it (takes M10), optional, pin, or how it was cut (${PROCESSES.join(', ')}).`,
    )
  return {
    x,
    y,
    d,
    ...(thread ? { thread } : {}),
    ...(bolt ? { bolt } : {}),
    ...(rest.includes('optional') ? { optional: true } : {}),
    ...(process ? { process } : {}),
  }
}

/** A stored value as it would be typed again. */
export function printTyped(words: FieldWords<any>, value: unknown): string {
  if (value === null || value === undefined) return ''
  switch (words.type) {
    case 'flag':
      return value ? 'yes' : 'no'
    case 'numbers':
      return (value as number[]).join(' ')
    case 'holes':
      return (value as Hole[])
        .map((h) =>
          [
            h.x,
            h.y,
            h.d,
            h.thread,
            h.bolt && `takes ${h.bolt}`,
            h.optional ? 'optional' : undefined,
            h.process,
          ]
            .filter((item) => item !== undefined)
            .join(' '),
        )
        .join('\n')
    case 'dowels':
      return (value as Dowel[]).length === 0
        ? 'none'
        : (value as Dowel[])
            .map((d) =>
              [d.x, d.y, d.d, d.pin ? 'pin' : undefined, d.process]
                .filter((item) => item !== undefined)
                .join(' '),
            )
            .join('\n')
    case 'zones':
      return (value as Zone[]).length === 0
        ? 'none'
        : (value as Zone[])
            .map((z) =>
              [z.fromMm, z.toMm, z.depthMm, ...edgesOf(z), z.moving ? 'moving' : undefined, z.name]
                .filter((item) => item !== undefined)
                .join(' '),
            )
            .join('\n')
    case 'points':
      return (value as { x: number; y: number }[]).map((p) => `${p.x} ${p.y}`).join('\n')
    default:
      return String(value)
  }
}
