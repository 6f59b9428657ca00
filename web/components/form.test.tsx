// @vitest-environment jsdom

import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { SWRConfig } from 'swr'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ApiProblem } from '../api/client.ts'
import { choose } from '../testing/choose.ts'
import { Form } from './form.tsx'
import type { FieldSpec } from './form-values.ts'

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const FIELDS: readonly FieldSpec[] = [
  { name: 'why', label: 'Why', type: 'area' },
  { name: 'price', label: 'Price', type: 'money', currency: 'EUR' },
  {
    name: 'use',
    label: 'Use',
    type: 'select',
    options: [
      { value: 'road', words: 'Road' },
      { value: 'track', words: 'Track' },
    ],
  },
  { name: 'held', label: 'Held', type: 'check' },
]
const STORED = { why: 'Frost', price: 295000, use: 'road', held: false }
type Submit = (values: Record<string, unknown>) => Promise<unknown>

const page = (
  initial: Record<string, unknown>,
  submit: Submit = async () => undefined,
  keepsDraft = true,
  savesWhenLeft = false,
) => (
  <SWRConfig value={{ provider: () => new Map() }}>
    <MemoryRouter>
      <Form
        id="brief"
        fields={FIELDS}
        initial={initial}
        action="Save"
        submit={submit}
        keepsDraft={keepsDraft}
        savesWhenLeft={savesWhenLeft}
      />
    </MemoryRouter>
  </SWRConfig>
)
const shown = (label: string): string => {
  const field = screen.getByLabelText(label)
  return 'value' in field && field.value !== '' ? String(field.value) : (field.textContent ?? '')
}
const type = (label: string, value: string): void =>
  void fireEvent.input(screen.getByLabelText(label), { target: { value } })
const save = (): void => void fireEvent.click(screen.getByRole('button', { name: 'Save' }))
const clash = (): HTMLElement | null =>
  screen.queryByRole('alert', { name: 'Changed by two people' })

test('what nobody touched follows what others save; what was typed stays', () => {
  const { rerender } = render(page(STORED))
  type('Why', 'Frost, and rust')
  rerender(page({ ...STORED, price: 310000, held: true }))
  expect([shown('Why'), shown('Price')]).toEqual(['Frost, and rust', '3100.00'])
  expect((screen.getByLabelText('Held') as HTMLInputElement).checked).toBe(true)
  expect(clash()).toBeNull()
})

test('a field that both changed is shown side by side and keeps what was typed until it is settled', async () => {
  const submit = vi.fn<Submit>(async () => undefined)
  const { rerender } = render(page(STORED, submit))
  type('Price', '3000.00')
  rerender(page({ ...STORED, price: 320000 }, submit))
  expect(clash()!.textContent).toContain('3000.00')
  expect(clash()!.textContent).toContain('3200.00')
  expect(shown('Price')).toBe('3000.00')
  save()
  expect(await screen.findByText(/Choose yours or theirs/)).toBeTruthy()
  expect(submit).not.toHaveBeenCalled()
  fireEvent.click(screen.getByRole('button', { name: 'Take theirs: Price' }))
  expect([shown('Price'), clash()]).toEqual(['3200.00', null])
  save()
  await waitFor(() =>
    expect(submit.mock.calls[0]![0]).toMatchObject({ price: 320000, why: 'Frost' }),
  )
})

test('kept as one typed it, the other value is overwritten knowingly', async () => {
  const submit = vi.fn<Submit>(async () => undefined)
  const { rerender } = render(page(STORED, submit))
  type('Price', '3000.00')
  rerender(page({ ...STORED, price: 320000, why: 'Frost and salt' }, submit))
  fireEvent.click(screen.getByRole('button', { name: 'Keep yours: Price' }))
  save()
  await waitFor(() =>
    expect(submit.mock.calls[0]![0]).toMatchObject({ price: 300000, why: 'Frost and salt' }),
  )
})

test('what one saved oneself comes back as it is stored, however it was typed, and is no clash', async () => {
  for (const [typed, stored] of [
    ['3200', '3200.00'],
    ['3200,5', '3200.50'],
    ['1500.5', '1500.50'],
    ['', ''],
  ] as const) {
    let shownNow: Record<string, unknown> = STORED
    const submit: Submit = async (values) => {
      shownNow = values
      rerender(page(shownNow, submit))
    }
    const { rerender, unmount } = render(page(shownNow, submit))
    type('Price', typed)
    save()
    await screen.findByText('Saved.')
    expect([typed, shown('Price'), clash()]).toEqual([typed, stored, null])
    type('Price', '3300')
    save()
    await waitFor(() => expect(shownNow.price).toBe(330000))
    expect(clash()).toBeNull()
    unmount()
    localStorage.clear()
  }
})

test('choices and ticks are told in words in a clash', async () => {
  const { rerender } = render(page(STORED))
  await choose('Use', 'Track')
  fireEvent.click(screen.getByLabelText('Held'))
  rerender(page({ ...STORED, use: '', held: false, price: 1 }))
  expect(clash()!.textContent).toContain('Track')
  expect(clash()!.textContent).toContain('Not said')
})

test('two clashes are settled one by one; a second change of theirs shows the newest', () => {
  const { rerender } = render(page(STORED))
  type('Why', 'Mine')
  type('Price', '1.00')
  rerender(page({ ...STORED, why: 'Theirs', price: 200 }))
  rerender(page({ ...STORED, why: 'Theirs again', price: 200 }))
  expect(clash()!.textContent).toContain('Theirs again')
  expect(screen.queryByText('Theirs')).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: 'Take theirs: Why' }))
  expect(screen.queryByRole('button', { name: 'Take theirs: Why' })).toBeNull()
  expect(screen.getByRole('button', { name: 'Take theirs: Price' })).toBeTruthy()
})

test('a draft survives a reload, and is merged with what was saved meanwhile', () => {
  const first = render(page(STORED))
  type('Why', 'Half a sentence')
  type('Price', '3000.00')
  first.unmount()
  render(page({ ...STORED, price: 320000, use: 'track' }))
  expect([shown('Why'), shown('Use'), shown('Price')]).toEqual([
    'Half a sentence',
    'Track',
    '3000.00',
  ])
  expect(clash()!.textContent).toContain('3200.00')
})

test('a clash outlives a reload, whatever else they changed with it, and once settled does not come again', () => {
  const first = render(page(STORED))
  type('Price', '3000.00')
  const theirs = { ...STORED, price: 320000, why: 'Salt', use: 'track' }
  first.rerender(page(theirs))
  first.unmount()
  const again = render(page(theirs))
  expect(clash()!.textContent).toContain('3200.00')
  again.rerender(page({ ...theirs, why: 'Salt and rust' }))
  expect([clash() === null, shown('Why')]).toEqual([false, 'Salt and rust'])
  fireEvent.click(screen.getByRole('button', { name: 'Keep yours: Price' }))
  again.unmount()
  render(page({ ...theirs, why: 'Salt and rust' }))
  expect([clash(), shown('Price')]).toEqual([null, '3000.00'])
})

test('typed back to what is stored, there is no draft; discarded, neither', () => {
  render(page(STORED))
  type('Why', 'Mine')
  expect(localStorage.getItem('draft:brief')).not.toBeNull()
  type('Why', 'Frost')
  expect(localStorage.getItem('draft:brief')).toBeNull()
  type('Why', 'Mine')
  fireEvent.click(screen.getByRole('button', { name: 'Discard what was typed' }))
  expect([shown('Why'), localStorage.getItem('draft:brief')]).toEqual(['Frost', null])
})

test('a passcode is never written down', () => {
  render(page(STORED, undefined, false))
  type('Why', 'secret')
  expect(Object.keys(localStorage)).toEqual([])
})

test('a lost connection keeps the text and says so; a refused field says why at its place', async () => {
  const submit = vi
    .fn<Submit>()
    .mockRejectedValueOnce(new ApiProblem(0, 'Junket does not answer.'))
    .mockRejectedValueOnce(
      new ApiProblem(422, 'Not right yet', [{ path: 'why', message: 'Too long.' }]),
    )
  render(page(STORED, submit))
  type('Why', 'Mine')
  save()
  expect(await screen.findByText('Junket does not answer.')).toBeTruthy()
  expect([shown('Why'), localStorage.getItem('draft:brief') !== null]).toEqual(['Mine', true])
  save()
  expect(await screen.findByText('Too long.')).toBeTruthy()
  expect(screen.getByLabelText('Why').getAttribute('aria-invalid')).toBe('true')
})

test('after a save the text is the new base: their later change follows without a clash', async () => {
  const submit = vi.fn<Submit>(async () => undefined)
  const { rerender } = render(page(STORED, submit))
  type('Price', '3,5')
  save()
  await waitFor(() => expect(submit).toHaveBeenCalled())
  await waitFor(() => expect(localStorage.getItem('draft:brief')).toBeNull())
  rerender(page({ ...STORED, price: 350 }, submit))
  expect([shown('Price'), clash()]).toEqual(['3.50', null])
  rerender(page({ ...STORED, price: 9900 }, submit))
  expect([shown('Price'), clash()]).toEqual(['99.00', null])
})

test('where a page saves as fields are left: each is saved once, what is typed meanwhile next, and nothing needs pressing', async () => {
  let done: () => void = () => {}
  const submit = vi.fn<Submit>(() => new Promise<void>((resolve) => (done = resolve)))
  render(page(STORED, submit, true, true))
  expect(screen.queryByRole('button', { name: 'Save' })).toBeNull()
  fireEvent.blur(screen.getByLabelText('Why'))
  type('Why', 'Rust')
  fireEvent.blur(screen.getByLabelText('Why'))
  await waitFor(() => expect(submit).toHaveBeenCalledTimes(1))
  expect(submit.mock.calls[0]![0]).toMatchObject({ why: 'Rust', price: 295000 })
  type('Price', '3000')
  fireEvent.blur(screen.getByLabelText('Price'))
  expect(submit).toHaveBeenCalledTimes(1)
  done()
  await waitFor(() => expect(submit).toHaveBeenCalledTimes(2))
  expect(submit.mock.calls[1]![0]).toMatchObject({ why: 'Rust', price: 300000 })
  done()
  await screen.findByText('Saved.')
  await choose('Use', 'Track')
  await waitFor(() => expect(submit).toHaveBeenCalledTimes(3))
  expect(submit.mock.calls[2]![0]).toMatchObject({ use: 'track' })
})

test('a save that others overtook is tried again by itself, where their change came in before the refusal too, and not for ever', async () => {
  let refuse: (problem: ApiProblem) => void = () => {}
  const submit = vi.fn<Submit>(() => new Promise((_, reject) => (refuse = reject)))
  const { rerender } = render(page(STORED, submit, true, true))
  type('Price', '3200')
  fireEvent.blur(screen.getByLabelText('Price'))
  await waitFor(() => expect(submit).toHaveBeenCalledTimes(1))
  rerender(page({ ...STORED, why: 'Salt' }, submit, true, true))
  for (const times of [2, 3, 4]) {
    refuse(new ApiProblem(409, 'It was changed since.'))
    await waitFor(() => expect(submit).toHaveBeenCalledTimes(times))
    expect(submit.mock.lastCall![0]).toMatchObject({ price: 320000, why: 'Salt' })
  }
  refuse(new ApiProblem(409, 'It was changed since.'))
  expect(await screen.findByText('It was changed since.')).toBeTruthy()
  expect([submit.mock.calls.length, shown('Price')]).toEqual([4, '3200'])
  expect(screen.getByRole('button', { name: 'Save' })).toBeTruthy()
})
