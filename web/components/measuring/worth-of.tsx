import type { Answer } from '../../../contract/asked.ts'
import { Money } from '../ui.tsx'

/** What a measurement may save, or where it turns no choice, by how much it tells the cost. */
export const WorthOf = ({
  next: { valueMinor, movesMinor, together },
  currency,
}: {
  next: Answer<'GET /builds/{id}/measure-next'>['items'][number]
  currency: string
}) => (
  <>
    {valueMinor > 0 ? 'may save ' : 'tells the cost by '}
    <Money minor={valueMinor > 0 ? valueMinor : movesMinor} currency={currency} whole />
    {together > 1 && `, with ${together - 1} other${together > 2 ? 's' : ''}`}
  </>
)
