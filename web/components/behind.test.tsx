// @vitest-environment jsdom

import { cleanup, render, screen, waitFor } from '@testing-library/react'
import { afterEach, expect, test } from 'vitest'
import { Behind } from './behind.tsx'

afterEach(cleanup)

test('while not everything is found it is asked again, and no more once it is', async () => {
  let asked = 0
  const ask = () => void asked++
  const { unmount } = render(<Behind ask={ask} />)
  expect(screen.getByRole('status').textContent).toContain('there may be more in a moment')
  await waitFor(() => expect(asked).toBeGreaterThan(1))
  unmount()
  const then = asked
  await new Promise((wait) => setTimeout(wait, 1500))
  expect(asked).toBe(then)
})
