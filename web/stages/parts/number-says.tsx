import type { NumberVerdict } from '../../../core/identity/supersession.ts'
import { numberWords } from './words.ts'

/** The verdict on a number; what asks for no number recedes. */
export const NumberSays = ({ verdict }: { verdict: NumberVerdict }) => (
  <span
    className={
      verdict.says === 'no number wanted'
        ? 'text-steel'
        : verdict.says === 'exact'
          ? ''
          : 'font-semibold'
    }
  >
    {numberWords(verdict)}
  </span>
)
