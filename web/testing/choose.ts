import { fireEvent, screen, waitFor } from '@testing-library/react'

/** Opens a list by its label and takes one of its options by its words. */
export async function choose(label: string | RegExp, words: string | RegExp): Promise<void> {
  const field = screen.getByLabelText(label)
  // A list of a few opens by a key, one that is searched by a click.
  fireEvent.keyDown(field, { key: 'Enter' })
  if (field.getAttribute('aria-expanded') !== 'true') fireEvent.click(field)
  fireEvent.click(await screen.findByRole('option', { name: words }))
  await waitFor(() => {
    if (screen.queryByRole('option')) throw new Error('The list is still open.')
  })
}
