import type { Code } from '../../core/joints/code.ts'
import { VERDICT_WORDS } from '../../core/joints/words.ts'
import { type Grade, isWeak } from '../../core/quantity/grade.ts'

/**
 * Two faces meeting, drawn so that the verdict explains itself; the word is its accessible name, and visible where asked.
 * Weak evidence adds a dotted underline. `closed` adds a small mark: a piece in the catalogue closes it.
 */
export function JointShape({
  code,
  evidence = null,
  closed = null,
  word = false,
  small = false,
}: {
  code: Code
  evidence?: Grade | null
  closed?: Code | null
  word?: boolean
  /** Among many in a row. */
  small?: boolean
}) {
  const words = VERDICT_WORDS[code].word
  const closing = closed !== null && closed !== code
  const label = `${words}${closing ? `, closed: ${VERDICT_WORDS[closed].word}` : ''}${evidence && isWeak(evidence) ? `, ${evidence} only` : ''}`
  return (
    <span className="inline-flex items-center gap-1.5">
      <svg
        viewBox="0 0 22 16"
        width={small ? 15 : 22}
        height={small ? 11 : 16}
        role="img"
        aria-label={label}
      >
        <title>{label}</title>
        <Drawing code={code} />
        {closing && <circle cx="11" cy="1.6" r="1.6" fill="var(--color-ink)" />}
        {evidence && isWeak(evidence) && (
          <line
            x1="1"
            y1="15.2"
            x2="21"
            y2="15.2"
            stroke="var(--color-ink)"
            strokeWidth="1"
            strokeDasharray="1.5 2"
          />
        )}
      </svg>
      {word && <span>{words}</span>}
    </span>
  )
}

function Drawing({ code }: { code: Code }) {
  switch (code) {
    case 'fits':
      return <path d="M1 3.5h9.6v9H1zM11.4 3.5H21v9h-9.6z" fill="var(--color-fits)" />
    case 'work':
      return <path d="M1 3.5h9.8v9H1zM11.2 3.5h3.2l2 3 2-3H21v9h-9.8z" fill="var(--color-work)" />
    case 'bridge':
      return (
        <>
          <path
            d="M1.6 4.1h5v7.8h-5zM15.4 4.1h5v7.8h-5z"
            fill="none"
            stroke="var(--color-bridge)"
            strokeWidth="1.2"
          />
          <path d="M8.4 2.5h5.2v11H8.4z" fill="var(--color-bridge)" />
        </>
      )
    case 'clash':
      return (
        <>
          <path d="M1 3.5h11.5v9H1z" fill="var(--color-clash)" />
          <path
            d="M9.1 4.1h11.3v7.8H9.1z"
            fill="var(--color-ground)"
            fillOpacity="0.85"
            stroke="var(--color-clash)"
            strokeWidth="1.2"
          />
          <path d="M8 13.5 13.6 2.5" stroke="var(--color-clash)" strokeWidth="1.6" />
        </>
      )
    default:
      return (
        <>
          <path
            d="M1.6 4.1h5.8v7.8H1.6zM14.6 4.1h5.8v7.8h-5.8z"
            fill="none"
            stroke="var(--color-unmeasured)"
            strokeWidth="1.2"
          />
          <path
            d="M11 3v10"
            stroke="var(--color-unmeasured)"
            strokeWidth="1.2"
            strokeDasharray="1.6 2"
          />
        </>
      )
  }
}

/** The legend of shapes. */
export function Legend() {
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-line px-4 py-2 text-steel">
      {(['fits', 'work', 'bridge', 'clash', 'unmeasured'] as const).map((code) => (
        <JointShape key={code} code={code} word />
      ))}
      <span className="ml-auto">
        Dot: closed by a piece in reach. Dotted: weak evidence. Not an engineering approval.
      </span>
    </div>
  )
}
