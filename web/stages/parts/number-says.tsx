import type { NumberSays as Says } from '../../../core/sourcing/number-says.ts'
import { Tip } from '../../components/tip.tsx'
import { numberWords } from './words.ts'

/** The verdict on a number, with what it leans on; what asks for no number recedes, what must not be planned stands out. */
export function NumberSays({ verdict }: { verdict: Says }) {
  const { says, plan, path, cautions, todo } = verdict
  const more = [path.join(' → '), ...cautions, ...todo].filter(Boolean).join('. ')
  const words = (
    <span
      className={
        plan === 'no'
          ? 'font-bold underline decoration-clash decoration-2 underline-offset-2'
          : plan === null
            ? 'text-steel'
            : says === 'exact'
              ? ''
              : 'font-semibold'
      }
    >
      {numberWords(verdict)}
    </span>
  )
  return more === '' ? words : <Tip words={more}>{words}</Tip>
}
