import { useEffect, useRef } from 'react'
import { isSpline, parseSpline } from '../../core/mechanics/spline.ts'
import type { AnyFieldWords } from '../../core/ports/field.ts'
import { parseTyped, unusualTyped } from '../../core/ports/parse.ts'
import {
  printQuantity,
  QuantityError,
  QuantityQuestion,
  type Reading,
} from '../../core/quantity/units.ts'
import { useReading } from '../api/hooks.ts'
import { INPUT } from './fields/field.tsx'
import { Button } from './ui.tsx'

const FIGURE = `${INPUT} figure`

const EXAMPLES: Partial<Record<AnyFieldWords['type'], string>> = {
  holes: 'x y Ø, a line each: 160.7 85.4 10 M10x1.5',
  dowels: 'x y Ø pin reamed, a line each, or: none',
  points: 'x y, a line each',
  zones:
    'from to depth, edges left and right of the crank if not the whole width, a line each: -190 -20 190 -300 40 moving tie rod',
  numbers: 'figures with spaces between',
  thread: 'M10x1.25, 3/8-16 or 1/8 NPT',
}

/** An input that takes what a shop types, says how it reads, and asks where it can mean two things. */
export function TypedInput({
  id,
  words,
  value,
  invalid = false,
  isFirst = false,
  onChange,
}: {
  id?: string
  words: AnyFieldWords
  value: string
  invalid?: boolean
  /** What its dialog opens on. */
  isFirst?: boolean
  onChange: (value: string) => void
}) {
  const reading = useReading()
  const heard = hear(words, value, reading)
  const input = useRef<HTMLInputElement & HTMLTextAreaElement>(null)
  useEffect(() => {
    if (isFirst) input.current?.focus()
  }, [isFirst])
  const shared = {
    id,
    value,
    ref: input,
    'aria-invalid': invalid,
    autoComplete: 'off',
    className: FIGURE,
  }
  const placeholder =
    EXAMPLES[words.type] ?? (words.unit === 'mm' ? '11.8 or 3 3/8 in' : words.unit)
  return (
    <>
      {['holes', 'dowels', 'points', 'zones'].includes(words.type) ? (
        <textarea
          {...shared}
          rows={5}
          placeholder={placeholder}
          onChange={(event) => onChange(event.target.value)}
        />
      ) : (
        <input
          {...shared}
          placeholder={placeholder}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
      {'choices' in heard ? (
        <span className="mt-1 block" role="status">
          {heard.says} Which?{' '}
          {heard.choices.map((choice) => (
            <Button key={choice} tone="quiet" onClick={() => onChange(choice)}>
              {choice}
            </Button>
          ))}
        </span>
      ) : (
        heard.says && <span className="mt-0.5 block text-steel">{heard.says}</span>
      )}
    </>
  )
}

/** How a value reads, where that is not plainly what was typed; or the question it raises. Faults are told when it is saved. */
function hear(
  words: AnyFieldWords,
  typed: string,
  reading: Reading,
): { says: string } | { says: string; choices: readonly string[] } {
  if (typed.trim() === '') return { says: '' }
  try {
    if (isSpline(typed)) {
      const { splines, majorMm } = parseSpline(typed, reading)
      return {
        says: `reads ${splines} splines on Ø ${printQuantity(majorMm, 'mm', reading.units)}`,
      }
    }
    const value = parseTyped(words, typed, reading)
    if (typeof value !== 'number')
      return {
        says: words.type === 'thread' && value !== typed.trim() ? `reads ${String(value)}` : '',
      }
    const printed = printQuantity(value, words.unit, reading.units)
    const unusual = unusualTyped(words, typed, reading)
    if (unusual) return { says: `${unusual} Look again.` }
    return {
      says:
        printed.replace(/\s/g, '') === typed.replace(/\s/g, '') ||
        printed.split(' ')[0] === typed.trim()
          ? ''
          : `reads ${printed}`,
    }
  } catch (error) {
    if (error instanceof QuantityQuestion) return { says: error.message, choices: error.choices }
    if (error instanceof QuantityError) return { says: '' }
    throw error
  }
}
