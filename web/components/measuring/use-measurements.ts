import { useState } from 'react'
import { toast } from 'sonner'
import type { MissingField } from '../../../core/joints/verdict.ts'
import { type FaceView, isPlaced } from '../../../core/patterns/as-stored.ts'
import type { AnyFieldWords } from '../../../core/ports/field.ts'
import { fieldsOf, isPortKind, PORT_KINDS } from '../../../core/ports/index.ts'
import { parseFields } from '../../../core/ports/parse.ts'
import type { Grade } from '../../../core/quantity/grade.ts'
import { parsePlusMinus, type Reading } from '../../../core/quantity/units.ts'
import { call } from '../../api/client.ts'
import { useReading, write } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'

/** A field of a port, by where it is. */
export const keyOf = (field: MissingField): string => `${field.port}.${field.field}`

/** The words of every field of the port it is on. */
const allWords = (field: MissingField): Readonly<Record<string, AnyFieldWords>> => {
  const kind = field.port.split('/')[1] ?? ''
  return isPortKind(kind) ? fieldsOf(kind) : {}
}
export const wordsOf = (field: MissingField): AnyFieldWords | null =>
  allWords(field)[field.field] ?? null

/** Of the faces only those behind, and what is always so. */
function looksForward(field: MissingField): boolean {
  const [, kind = '', slot = ''] = field.port.split('/')
  if (kind === 'face') return slot !== 'rear'
  return isPortKind(kind) && PORT_KINDS[kind].looks === 'forward'
}
/** Places on a face that looks forward are mirrored; whoever typed them says how they were seen. */
export const asksView = (field: MissingField): boolean =>
  looksForward(field) && isPlaced(wordsOf(field)!)

export interface Recorded {
  readonly shown: string
  readonly notUsed: string | null
}

/** What is said of one field beside its value. */
export interface Said {
  readonly method: string
  readonly plusMinus: string
  readonly view: FaceView | ''
  readonly isSo: boolean
  readonly fault: string
}
/** What is said once of all that is recorded together. */
export interface SaidOfAll {
  readonly grade: Grade
  readonly specimen: 'very' | 'like'
  readonly by: string
  readonly source: string
}

export interface Measurements {
  readonly build: string | null
  readonly of: (field: MissingField) => Said
  readonly say: (field: MissingField, said: Partial<Said>) => void
  readonly typed: (field: MissingField) => string
  readonly type: (field: MissingField, text: string) => void
  readonly ofAll: SaidOfAll
  readonly sayOfAll: (said: Partial<SaidOfAll>) => void
  readonly recorded: (field: MissingField) => Recorded | undefined
  /** Those of the fields that have something typed. */
  readonly waiting: readonly MissingField[]
  /** Records what is typed, each by itself; the fields recorded. What is refused stays typed, with why beside it. */
  readonly record: () => Promise<readonly MissingField[]>
}

const draftOf = (field: MissingField): string => `draft:claim:${keyOf(field)}`
const draft = (field: MissingField): string => localStorage.getItem(draftOf(field)) ?? ''

/**
 * Several measurements typed side by side and recorded together. What is typed is kept over a reload. Figures that
 * hold only together (an end before its start) are tried again once the others are in.
 */
export function useMeasurements(
  build: string | null,
  fields: readonly MissingField[],
): Measurements {
  const reading = useReading()
  const person = usePerson()
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [said, setSaid] = useState<Readonly<Record<string, Partial<Said>>>>({})
  const [recorded, setRecorded] = useState<Readonly<Record<string, Recorded>>>({})
  const [ofAll, setOfAll] = useState<SaidOfAll>({
    grade: 'measured',
    specimen: 'very',
    by: person.name ?? localStorage.getItem('by') ?? '',
    source: '',
  })

  const typed = (field: MissingField): string => texts[keyOf(field)] ?? draft(field)
  const of = (field: MissingField): Said => ({
    method: wordsOf(field)?.methods[0] ?? '',
    plusMinus: '',
    view: '',
    isSo: false,
    fault: '',
    ...said[keyOf(field)],
  })
  const say = (field: MissingField, more: Partial<Said>): void =>
    setSaid((all) => ({ ...all, [keyOf(field)]: { ...all[keyOf(field)], ...more } }))
  const type = (field: MissingField, text: string): void => {
    setTexts((all) => ({ ...all, [keyOf(field)]: text }))
    localStorage.setItem(draftOf(field), text)
  }
  const waiting = fields.filter((field) => typed(field).trim() !== '')

  const record = async (): Promise<readonly MissingField[]> => {
    localStorage.setItem('by', ofAll.by)
    const done: MissingField[] = []
    const faults = new Map<MissingField, string>()
    let left: readonly MissingField[] = waiting
    await write(async () => {
      // Each round that records one may let another in.
      for (let before = Number.POSITIVE_INFINITY; left.length > 0 && left.length < before; ) {
        before = left.length
        for (const field of left) {
          try {
            const one = await send(field, typed(field), of(field), ofAll, build, reading)
            done.push(field)
            faults.delete(field)
            localStorage.removeItem(draftOf(field))
            setTexts((all) => ({ ...all, [keyOf(field)]: '' }))
            setRecorded((all) => ({ ...all, [keyOf(field)]: one }))
            if (one.notUsed) toast.warning(one.notUsed, { duration: 20_000 })
          } catch (error) {
            faults.set(field, (error as Error).message)
          }
        }
        left = left.filter((field) => faults.has(field))
      }
    })
    for (const field of waiting) say(field, { fault: faults.get(field) ?? '' })
    const [only] = done
    if (only)
      toast(
        done.length === 1
          ? `${only.label} recorded on ${only.partName}.`
          : `${done.length} measurements recorded.`,
      )
    return done
  }

  return {
    build,
    of,
    say,
    typed,
    type,
    ofAll,
    sayOfAll: (more) => setOfAll((all) => ({ ...all, ...more })),
    recorded: (field) => recorded[keyOf(field)],
    waiting,
    record,
  }
}

/** Records one value. @throws Error what it cannot be read as, or why it is refused */
async function send(
  field: MissingField,
  typed: string,
  { method, plusMinus, view, isSo }: Said,
  { grade, specimen, by, source }: SaidOfAll,
  build: string | null,
  reading: Reading,
): Promise<Recorded> {
  parseFields(allWords(field), field.field, typed, reading)
  const isTaken = grade === 'measured' || grade === 'fitted'
  const { notUsed } = await call('POST /claims', {
    body: {
      portId: field.port,
      field: field.field,
      typed,
      decimal: reading.decimal,
      ...(view ? { view } : {}),
      isSo,
      plusMinus:
        plusMinus.trim() === ''
          ? null
          : parsePlusMinus(plusMinus, typed, wordsOf(field)!.unit, reading),
      grade,
      ...(method && grade === 'measured' ? { method } : {}),
      by: by || null,
      source: source || null,
      ...(build && specimen === 'very' && isTaken ? { build, thisVeryPart: true } : {}),
    },
  })
  return { shown: typed, notUsed }
}
