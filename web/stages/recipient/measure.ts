import { useRef, useState } from 'react'
import type { RecipientView } from '../../../contract/answers/sheets.ts'
import { parseTyped, unusualTyped } from '../../../core/ports/parse.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { printQuantity } from '../../../core/quantity/units.ts'
import {
  DIMENSIONS,
  type Dimension,
  dimensionId,
  dimensionWords,
} from '../../../core/recipient/dimensions.ts'
import type { SheetAnswer } from '../../../core/sheets/sheet.ts'
import { useAnswer } from '../../api/answer.ts'
import { useAnswerQueue } from '../../api/answer-queue.ts'
import { call } from '../../api/client.ts'
import { useReading } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'

export const useRecipient = (build: string) =>
  useAnswer('GET /builds/{id}/recipient', { params: { id: build } })

/** What is shown of one dimension: what is known, or what waits here to be sent. */
export interface Shown {
  readonly text: string
  readonly detail: string
  readonly isWaiting: boolean
}

/** Measurements given on this page: kept in the browser until Junket has them, then claims on the recipient. */
export function useMeasuring(build: string, view: RecipientView, onKept: () => unknown) {
  const { waiting, fault, passedOver, give } = useAnswerQueue(
    `/builds/${build}/recipient`,
    (answers) => call('PATCH /builds/{id}/recipient', { params: { id: build }, body: { answers } }),
    onKept,
  )
  const person = usePerson()
  const reading = useReading()
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const [methods, setMethods] = useState<Readonly<Record<string, string>>>({})
  /** What was asked about once, by dimension. */
  const asked = useRef(new Map<string, string>())
  const newest = (id: string): SheetAnswer | undefined =>
    Object.entries(waiting)
      .filter(([key]) => key.startsWith(`${id}@`))
      .map(([, answer]) => answer)
      .toSorted((p, q) => (p.at < q.at ? 1 : -1))[0]
  return {
    waiting,
    fault,
    passedOver,
    faults,
    methodOf: (dimension: Dimension): string =>
      methods[dimensionId(dimension)] ?? dimensionWords(dimension).methods[0] ?? '',
    setMethod: (dimension: Dimension, method: string): void =>
      setMethods((held) => ({ ...held, [dimensionId(dimension)]: method })),
    shown(dimension: Dimension): Shown {
      const id = dimensionId(dimension)
      const { unit } = dimensionWords(dimension)
      const late = newest(id)
      if (late)
        return {
          text: printQuantity(Number.parseFloat(late.value), unit, reading.units),
          detail: 'waits to be sent',
          isWaiting: true,
        }
      const field = view.known[id]
      if (!field) return { text: '', detail: 'not measured', isWaiting: false }
      return {
        text: printQuantity(Number(field.value), unit, reading.units),
        detail: `${field.plusMinus === null ? '± not said' : `± ${Number(field.plusMinus.toFixed(2))}`}, ${field.grade}${field.conflict ? ', disagrees' : ''}`,
        isWaiting: false,
      }
    },
    /** Reads what was typed and keeps it; says what is wrong and keeps nothing where it cannot be read; what is only unusual is asked once. */
    record(dimension: Dimension, typed: string): boolean {
      const id = dimensionId(dimension)
      const words = dimensionWords(dimension)
      try {
        const value = parseTyped(words, typed, reading) as number
        const unusual = unusualTyped(words, typed, reading)
        if (unusual && asked.current.get(id) !== typed) {
          asked.current.set(id, typed)
          throw new Error(`${unusual} Look again; if it is so, press Enter in the field once more.`)
        }
        const at = new Date().toISOString()
        const method = methods[id] ?? words.methods[0]
        give(`${id}@${at}`, {
          value: `${value} ${words.unit}`.trim(),
          at,
          by: person.name,
          ...(method ? { method } : {}),
        })
        setFaults(({ [id]: _, ...rest }) => rest)
        return true
      } catch (error) {
        setFaults((held) => ({ ...held, [id]: (error as Error).message }))
        return false
      }
    },
  }
}

export type Measuring = ReturnType<typeof useMeasuring>

export const methodWords = (
  dimension: Dimension,
): readonly { id: string; words: string; plusMinus: number }[] =>
  dimensionWords(dimension).methods.map((id) => ({
    id,
    words: METHODS[id].words,
    plusMinus: METHODS[id].plusMinus,
  }))

export const dimensionsOf = (
  of: Partial<Pick<Dimension, 'view' | 'place'>>,
): readonly Dimension[] =>
  DIMENSIONS.filter(
    (one) =>
      (of.view === undefined || one.view === of.view) &&
      (of.place === undefined || one.place === of.place),
  )
