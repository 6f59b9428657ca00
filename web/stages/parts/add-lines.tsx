import { useEffect, useRef, useState } from 'react'
import { LINE_PLACES, OWN_STATES, placeWords, SORTS, STAGES } from '../../../core/needs/line.ts'
import { pastedLines } from '../../../core/needs/pasted-lines.ts'
import { refresh } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { INPUT } from '../../components/fields/field.tsx'
import { Form } from '../../components/form.tsx'
import { Button, Folded, Money } from '../../components/ui.tsx'

const choices = <const V extends string>(values: readonly V[]) =>
  values.map((value) => ({ value, words: placeWords(value) }))

/** Lines of one's own: one typed, or many pasted from a spreadsheet and seen before they are taken. */
export function AddLines({
  build,
  place,
  currency,
  onClose,
}: {
  build: string
  /** Where the line selected is. */
  place: string
  currency: string
  onClose: () => void
}) {
  const body = useRef<HTMLDivElement>(null)
  useEffect(() => {
    // After the dialog has taken the focus: what is typed next is the line.
    const timer = setTimeout(() => body.current?.querySelector('input')?.focus())
    return () => clearTimeout(timer)
  }, [])
  return (
    <Dialog open onOpenChange={onClose} title="Add a line" size="wide">
      <div ref={body}>
        <Form
          id={`own-line-${build}`}
          fields={[
            { name: 'words', label: 'What', type: 'text', required: true, wide: true },
            {
              name: 'place',
              label: 'Where',
              type: 'select',
              required: true,
              options: choices(LINE_PLACES),
            },
            { name: 'why', label: 'Why', type: 'text' },
            {
              name: 'sort',
              label: 'Sort',
              type: 'select',
              required: true,
              options: choices(SORTS),
            },
            {
              name: 'stage',
              label: 'Stage',
              type: 'select',
              required: true,
              options: choices(STAGES),
            },
            { name: 'quantity', label: 'Quantity', type: 'number', whole: true },
            { name: 'priceMinor', label: 'Price, if known', type: 'money', currency },
            { name: 'hours', label: 'Hours, if known', type: 'number' },
            { name: 'state', label: 'State', type: 'select', options: choices(OWN_STATES) },
            { name: 'person', label: 'Given to', type: 'text' },
            { name: 'note', label: 'Note', type: 'text' },
            { name: 'asRecipe', label: 'Keep it for the next build, as a recipe', type: 'check' },
          ]}
          initial={{ place, sort: 'part', stage: 'final fit', quantity: 1 }}
          action="Add line"
          submit={async ({ asRecipe, state, ...line }) => {
            await call('POST /builds/{id}/lines', {
              params: { id: build },
              body: {
                lines: [
                  {
                    ...line,
                    place: line.place as 'shop',
                    sort: line.sort as 'part',
                    stage: line.stage as 'after',
                    quantity: line.quantity ?? 1,
                    ...(state ? { state: state as 'had' } : {}),
                  },
                ],
              },
            }).catch((error: unknown) => {
              throw error instanceof ApiProblem ? error.within('lines.0.') : error
            })
            if (asRecipe)
              await call('POST /recipes', {
                body: {
                  name: line.words,
                  body: {
                    id: `from-${build}-${Date.now()}`,
                    when: { all: [{ is: 'build.engine', of: ['other'] }] },
                    add: [
                      {
                        kind: `shop:${line.words
                          .toLowerCase()
                          .replace(/[^a-z0-9]+/g, '-')
                          .slice(0, 60)}`,
                        place: line.place,
                        words: line.words,
                        quantity: line.quantity ?? 1,
                        stage: line.stage as 'after',
                        sort: line.sort as 'part',
                      },
                    ],
                  },
                },
              })
            await refresh()
            onClose()
          }}
        />
      </div>
      <Folded words="Paste many from a spreadsheet">
        <Pasted build={build} currency={currency} onClose={onClose} />
      </Folded>
    </Dialog>
  )
}

function Pasted({
  build,
  currency,
  onClose,
}: {
  build: string
  currency: string
  onClose: () => void
}) {
  const [text, setText] = useState('')
  let lines: ReturnType<typeof pastedLines> = []
  let fault: string | null = null
  try {
    lines = pastedLines(text, currency)
  } catch (error) {
    fault = (error as Error).message
  }
  const bad = lines.filter((line) => line.fault !== null)
  return (
    <div>
      <label className="block">
        Words, place, quantity, price, state: a line each, with tabs or semicolons between
        <textarea
          className={`${INPUT} mt-1 h-28 w-full font-mono`}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      {[...(fault ? [fault] : []), ...bad.map((line) => line.fault!)].map((words) => (
        <p key={words} role="alert" className="border-l-[3px] border-clash pl-2">
          {words}
        </p>
      ))}
      {lines.length > 0 && (
        <>
          <table className="mt-2 w-full">
            <tbody>
              {lines.map((line) => (
                <tr key={line.row} className="border-b border-line">
                  <td className="py-0.5 pr-2">{line.words}</td>
                  <td className="pr-2 text-steel">{placeWords(line.place)}</td>
                  <td className="figure pr-2 text-right">{line.quantity}</td>
                  <td className="pr-2 text-right">
                    <Money minor={line.priceMinor} currency={currency} />
                  </td>
                  <td className="text-steel">
                    {[line.state, line.note].filter(Boolean).join(', ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="pt-2">
            <Button
              tone="main"
              disabled={bad.length > 0}
              onClick={() =>
                void act(async () => {
                  await call('POST /builds/{id}/lines', {
                    params: { id: build },
                    body: {
                      lines: lines.map(({ words, place, quantity, priceMinor, state, note }) => ({
                        words,
                        place,
                        quantity,
                        priceMinor,
                        state,
                        note,
                      })),
                    },
                  })
                  onClose()
                }, `${lines.length} lines added.`)
              }
            >
              Add {lines.length} lines
            </Button>
          </p>
        </>
      )}
    </div>
  )
}
