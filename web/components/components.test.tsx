// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { VERDICT_WORDS } from '../../core/identity/steps.ts'
import type { Verdict } from '../../core/joints/verdict.ts'
import type { FieldWords } from '../../core/ports/field.ts'
import { PORT_KINDS } from '../../core/ports/index.ts'
import { METHODS } from '../../core/quantity/methods.ts'
import { NO_NUMBER, type NumberSays } from '../../core/sourcing/number-says.ts'
import { ApiProblem } from '../api/client.ts'
import { numberWords } from '../stages/parts/words.ts'
import { choose } from '../testing/choose.ts'
import { Form } from './form.tsx'
import type { FieldSpec } from './form-values.ts'
import { JointShape } from './joint-shape.tsx'
import { MeasureDialog } from './measuring/measure-dialog.tsx'
import { TypedInput } from './typed-input.tsx'
import { Failed, GradeWord, Loaded, Money } from './ui.tsx'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

test.each([
  ['fits', null, null, 'Mates'],
  ['work', null, null, 'Mates with work'],
  ['bridge', null, 'fits', 'Needs a piece, closed: Mates'],
  ['clash', null, null, 'Clashes'],
  ['unmeasured', 'heard', null, 'Not measured, heard only'],
  ['fits', 'maker', null, 'Mates'],
] as const)('the shape of %s carries its word: %s %s', (code, evidence, closed, name) => {
  render(<JointShape code={code} evidence={evidence} closed={closed} />)
  expect(screen.getByRole('img', { name })).toBeTruthy()
})

test('weak evidence is underlined in the drawing, strong is not', () => {
  const { container, rerender } = render(<JointShape code="fits" evidence="catalogue" />)
  expect(container.querySelector('line[stroke-dasharray]')).not.toBeNull()
  rerender(<JointShape code="fits" evidence="measured" />)
  expect(container.querySelector('line[stroke-dasharray]')).toBeNull()
})

test('a grade stands in words; nothing known is a dash; money without an amount too', () => {
  render(
    <>
      <GradeWord grade="heard" />
      <GradeWord grade={null} />
      <Money minor={null} currency="EUR" />
    </>,
  )
  expect(screen.getByText('Heard').className).toContain('decoration-dotted')
  expect(screen.getAllByText('–')).toHaveLength(2)
})

test('loading, failing and having: each state shows itself, failing with a way back', () => {
  const mutate = vi.fn()
  const { rerender } = render(
    <Loaded of={{ data: undefined, error: undefined, mutate }} what="the parts">
      {() => <p>here</p>}
    </Loaded>,
  )
  expect(screen.getByRole('status').textContent).toBe('Reading the parts…')
  rerender(
    <Loaded
      of={{ data: undefined, error: new ApiProblem(500, 'It broke.'), mutate }}
      what="the parts"
    >
      {() => <p>here</p>}
    </Loaded>,
  )
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }))
  expect([screen.getByRole('alert').textContent, mutate.mock.calls.length]).toEqual([
    'It broke.Try again',
    1,
  ])
  rerender(
    <Loaded of={{ data: 1, error: new ApiProblem(0, 'Lost.'), mutate }} what="the parts">
      {() => <p>here</p>}
    </Loaded>,
  )
  expect(screen.getByText('here')).toBeTruthy()
})

test('a failure that is no error still says what it is', () => {
  render(<Failed error="odd" />)
  expect(screen.getByRole('alert').textContent).toBe('odd')
})

const FIELDS: readonly FieldSpec[] = [
  { name: 'name', label: 'Name', type: 'text', required: true },
  { name: 'price', label: 'Price', type: 'money', currency: 'EUR' },
  { name: 'tax', label: 'Tax', type: 'percent' },
  { name: 'pack', label: 'Pack', type: 'number', whole: true },
  { name: 'code', label: 'Code', type: 'text', upper: true },
  { name: 'held', label: 'Held', type: 'check' },
]
const type = (label: string, value: string): void =>
  void fireEvent.input(screen.getByLabelText(label), { target: { value } })
const form = (
  submit: (values: Record<string, unknown>) => Promise<unknown>,
  initial: Record<string, unknown> = {},
) => render(<Form id="test" fields={FIELDS} initial={initial} submit={submit} action="Save" />)
const save = (): void => void fireEvent.click(screen.getByRole('button', { name: 'Save' }))

test('a form hands over stored values: minor units, fractions, blanks as null', async () => {
  const submit = vi.fn(async () => {})
  form(submit, { price: 12_345, tax: 0.21, held: true })
  expect([
    (screen.getByLabelText('Price') as HTMLInputElement).value,
    (screen.getByLabelText('Tax') as HTMLInputElement).value,
  ]).toEqual(['123.45', '21'])
  type('Name', ' Pier ')
  type('Price', '1286,5')
  type('Code', 'eur')
  save()
  await waitFor(() =>
    expect(submit).toHaveBeenCalledWith({
      name: 'Pier',
      price: 128_650,
      tax: 0.21,
      pack: null,
      code: 'EUR',
      held: true,
    }),
  )
})

test('faults stand at their fields, and nothing is sent', async () => {
  const submit = vi.fn(async () => {})
  form(submit)
  type('Price', '1,500')
  type('Pack', '1.5')
  save()
  await waitFor(() => expect(screen.getByText('Fill in name.')).toBeTruthy())
  expect(screen.getByText(/could be 1500 or 1\.5/)).toBeTruthy()
  expect(screen.getByText('Type a whole number.')).toBeTruthy()
  expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true')
  expect(submit).not.toHaveBeenCalled()
})

test("the server's faults stand at their fields too, and under the form in words", async () => {
  form(async () => {
    throw new ApiProblem(422, 'Not right yet.', [{ path: 'name', message: 'That name is taken.' }])
  })
  type('Name', 'Pier')
  save()
  await waitFor(() => expect(screen.getByText('That name is taken.')).toBeTruthy())
  expect(screen.getByRole('alert').textContent).toBe('Not right yet.')
})

test('what was typed survives the page, until it is saved or discarded', async () => {
  form(async () => {})
  type('Name', 'Half-typed')
  cleanup()
  form(async () => {})
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Half-typed')
  fireEvent.click(screen.getByRole('button', { name: 'Discard what was typed' }))
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('')
  type('Name', 'Saved')
  save()
  await waitFor(() => expect(localStorage.getItem('draft:test')).toBeNull())
})

test('what is typed is echoed as it is read; what can mean two things is asked', () => {
  const onChange = vi.fn()
  const kg = { ...PORT_KINDS.axle.fields.ladenKg }
  const show = (words: FieldWords<number>, value: string) =>
    render(
      <SWRConfig
        value={{ provider: () => new Map(), fetcher: async () => ({ units: {}, tolerances: {} }) }}
      >
        <TypedInput words={words} value={value} onChange={onChange} />
      </SWRConfig>,
    )
  show(PORT_KINDS.plate.fields.thicknessMm, '3 3/8 in')
  expect(screen.getByText('reads 85.725 mm')).toBeTruthy()
  cleanup()
  show(kg, '1,500 kg')
  fireEvent.click(screen.getByRole('button', { name: '1500 kg' }))
  expect(onChange).toHaveBeenCalledWith('1500 kg')
})

const field = (part: string, port: string, name: string, label: string) => ({
  part,
  partName: part === '?' ? 'Clutch disc hub' : 'Wick',
  port,
  field: name,
  label,
  methods: [],
  minutes: 6,
})
const bottom = field('wick', 'wick/pilot-bore/crank', 'bottomMm', 'Bottom of the bore')
const mouth = field('wick', 'wick/pilot-bore/crank', 'mouthMm', 'Mouth of the bore')
const unnamed = field('?', '?/disc-hub/main', 'startMm', 'Hub front')
const verdict = {
  missing: [bottom, unnamed],
  fields: [mouth, unnamed, bottom],
  limits: [],
} as unknown as Verdict
const measure = () =>
  render(
    <SWRConfig
      value={{ provider: () => new Map(), fetcher: async () => ({ units: {}, tolerances: {} }) }}
    >
      <MemoryRouter>
        <MeasureDialog build="lantern" title="Depth" verdict={verdict} onClose={() => {}} />
      </MemoryRouter>
    </SWRConfig>,
  )

test("measuring lists missing fields first, leads to Catalogue for a piece nobody named, and offers the method's ±", async () => {
  measure()
  const list = [...screen.getByRole('list', { name: 'Fields of this joint' }).children].map(
    (item) => item.textContent,
  )
  expect(list[0]).toContain('No clutch disc hub is named yet')
  expect(list[1]).toContain('Bottom of the bore, Wick · missing · 6 min')
  expect(list[2]).toBe('Mouth of the bore, Wick')
  expect(screen.getByPlaceholderText('0.15')).toBeTruthy()
  await choose('Method', METHODS.rule.words)
  expect(screen.getByPlaceholderText('0.5')).toBeTruthy()
  expect(screen.getByRole('radio', { name: 'this very part' }).ariaChecked).toBe('true')
})

test('a value that cannot be read is told before anything is sent', async () => {
  const sent = vi.spyOn(globalThis, 'fetch')
  measure()
  fireEvent.change(screen.getByLabelText(/^Value/), { target: { value: 'deep' } })
  fireEvent.click(screen.getAllByRole('button', { name: 'Record measurement' })[0]!)
  await waitFor(() =>
    expect(screen.getByRole('alert').textContent).toContain('"deep" is not a number'),
  )
  expect(sent).not.toHaveBeenCalled()
})

test('several lengths typed on the drawings are recorded at once with Enter; what is refused stays typed, with why', async () => {
  localStorage.clear()
  const sent: string[] = []
  vi.spyOn(globalThis, 'fetch').mockImplementation(async (_, init) => {
    const body = JSON.parse(String(init?.body))
    sent.push(`${body.field} ${body.typed}`)
    return body.field === 'mouthMm'
      ? Response.json(
          { detail: 'Mouth of the bore must be less than its bottom.', errors: [] },
          { status: 422 },
        )
      : Response.json({ id: 'c', notUsed: null })
  })
  measure()
  fireEvent.change(screen.getByLabelText('Mouth of the bore, Wick'), { target: { value: '40' } })
  fireEvent.change(screen.getByLabelText('Bottom of the bore, Wick'), { target: { value: '38' } })
  fireEvent.submit(screen.getByRole('button', { name: 'Record 2 measurements' }))
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('must be less'))
  expect(new Set(sent)).toEqual(new Set(['bottomMm 38', 'mouthMm 40']))
  const list = screen.getByRole('list', { name: 'Fields of this joint' }).textContent
  expect(list).toContain('recorded 38')
  expect(list).toContain('typed 40')
})

test('a figure that holds only with another is tried again once the other is in', async () => {
  localStorage.clear()
  const sent: string[] = []
  vi.spyOn(globalThis, 'fetch').mockImplementation(async (_, init) => {
    const { field } = JSON.parse(String(init?.body))
    sent.push(field)
    return field === 'bottomMm' && !sent.includes('mouthMm')
      ? Response.json(
          { detail: 'Bottom of the bore must be more than its mouth.' },
          { status: 422 },
        )
      : Response.json({ id: 'c', notUsed: null })
  })
  measure()
  fireEvent.change(screen.getByLabelText('Bottom of the bore, Wick'), { target: { value: '8' } })
  fireEvent.change(screen.getByLabelText('Mouth of the bore, Wick'), { target: { value: '4' } })
  fireEvent.submit(screen.getByRole('button', { name: 'Record 2 measurements' }))
  await screen.findByText('Nothing is missing here any more. Choose another, or close.')
  expect(sent).toEqual(['bottomMm', 'mouthMm', 'bottomMm'])
  expect(screen.queryByRole('alert')).toBeNull()
})

test('the verdict on a number in words', () => {
  const says = (more: Partial<NumberSays>) => numberWords({ ...NO_NUMBER, ...more })
  expect(says({ says: 'superseded by', path: ['417.18', '417.20'] })).toBe('Superseded by 417.20')
  expect(says({ says: 'not listed' })).toBe('Not listed')
  expect(says({ says: 'conflict' })).toContain('settle')
  const all = [...VERDICT_WORDS.map((word) => says({ says: word })), says({})]
  expect(new Set(all).size).toBe(all.length)
})
