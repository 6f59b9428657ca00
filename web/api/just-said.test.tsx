// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react'
import { expect, test } from 'vitest'
import { useJustSaid } from './just-said.ts'

test('what was said shows at once; stored or refused, what is stored shows; a later choice stays', async () => {
  const { result } = renderHook(() => useJustSaid<string>())
  const ends: (() => void)[] = []
  const save = () => new Promise<void>((done) => ends.push(done))
  const shown = () => result.current.shown('unit', 'mm')
  expect(shown()).toBe('mm')
  act(() => void result.current.say('unit', 'in', save))
  expect(shown()).toBe('in')
  act(() => void result.current.say('unit', 'cm', save))
  await act(async () => ends[0]!())
  expect(shown()).toBe('cm')
  await act(async () => ends[1]!())
  expect(shown()).toBe('mm')
  await act(async () =>
    result.current.say('unit', 'in', () => Promise.reject(new Error('no'))).catch(() => undefined),
  )
  expect(shown()).toBe('mm')
})
