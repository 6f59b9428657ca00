import clsx from 'clsx'
import type { ButtonHTMLAttributes, ReactNode } from 'react'
import { Link } from 'react-router'
import { printMoney } from '../../core/money/money.ts'
import type { Range } from '../../core/money/range.ts'
import { GRADES, type Grade, isWeak } from '../../core/quantity/grade.ts'
import { ApiProblem } from '../api/client.ts'
import { useTitle } from './use-title.ts'

export function Button({
  tone = 'plain',
  className,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { tone?: 'plain' | 'main' | 'quiet' }) {
  return (
    <button
      type="button"
      {...rest}
      className={clsx(
        'inline-flex items-center justify-center gap-1.5 whitespace-nowrap rounded print:hidden disabled:cursor-default disabled:opacity-50',
        tone === 'main' &&
          'bg-accent px-3 py-1.5 font-semibold text-on-accent hover:brightness-110',
        tone === 'plain' && 'border border-ink bg-ground px-3 py-1.5 font-semibold hover:bg-bench',
        tone === 'quiet' && 'min-h-6 px-1 text-accent underline underline-offset-2 hover:bg-bench',
        className,
      )}
    />
  )
}

export const ButtonLink = ({
  to,
  children,
  tone = 'plain',
}: {
  to: string
  children: ReactNode
  tone?: 'plain' | 'main' | 'quiet'
}) => (
  <Link
    to={to}
    className={clsx(
      'inline-flex items-center whitespace-nowrap rounded max-[560px]:whitespace-normal print:hidden',
      tone === 'quiet'
        ? 'min-h-6 px-1 text-accent underline underline-offset-2 hover:bg-bench'
        : 'px-3 py-1.5 font-semibold',
      tone === 'main' && 'bg-accent text-on-accent hover:brightness-110',
      tone === 'plain' && 'border border-ink bg-ground hover:bg-bench',
    )}
  >
    {children}
  </Link>
)

/** A sum that is not settled: from its least to its most, or one figure where both are the same. */
export const Span = ({ range, currency }: { range: Range; currency: string }) =>
  range.low === range.high ? (
    <Money minor={range.low} currency={currency} whole />
  ) : (
    <>
      <Money minor={range.low} currency={currency} whole /> to{' '}
      <Money minor={range.high} currency={currency} whole />
    </>
  )

/** Title line of a page: what is here, in figures, and its actions. */
export function PageHead({
  title,
  detail,
  children,
}: {
  title: string
  detail?: ReactNode
  children?: ReactNode
}) {
  useTitle(title)
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2.5">
      <h1 className="text-[15px] font-bold">{title}</h1>
      <span className="text-steel">{detail}</span>
      <span className="ml-auto flex flex-wrap gap-2">{children}</span>
    </div>
  )
}

export const Money = ({
  minor,
  currency,
  whole = false,
}: {
  minor: number | null | undefined
  currency: string
  whole?: boolean
}) => (
  <span className="figure whitespace-nowrap">
    {minor === null || minor === undefined ? '–' : printMoney(minor, currency, whole)}
  </span>
)

const GRADE_WORDS = Object.fromEntries(
  GRADES.map((grade) => [grade, grade.charAt(0).toUpperCase() + grade.slice(1)]),
) as Record<Grade, string>

/** Grade in words; weak grades are underlined with dots. */
export const GradeWord = ({ grade }: { grade: Grade | null }) =>
  grade === null ? (
    <span className="text-steel">–</span>
  ) : (
    <span className={clsx(isWeak(grade) && 'underline decoration-dotted underline-offset-4')}>
      {GRADE_WORDS[grade]}
    </span>
  )

/** An empty state teaches with one sentence and one action. */
export const Empty = ({
  children,
  action,
  like,
}: {
  children: ReactNode
  action?: ReactNode
  /** What it will look like. */
  like?: ReactNode
}) => (
  <div className="mx-4 my-8">
    <div className="max-w-[52ch]">
      <p className="mb-3">{children}</p>
      {action}
    </div>
    {like}
  </div>
)

export const Loading = ({ what }: { what: string }) => (
  <div className="mx-4 my-8 max-w-64 animate-[appear_1ms_300ms_both] text-steel" role="status">
    Reading {what}…
    <span className="mt-2 block h-0.5 overflow-hidden bg-line">
      <span className="block h-full w-1/4 animate-[slide_1.2s_linear_infinite] bg-accent" />
    </span>
  </div>
)

/** What went wrong and a way back. */
export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  const words =
    error instanceof ApiProblem || error instanceof Error ? error.message : String(error)
  return (
    <div className="mx-4 my-8 max-w-[60ch] border-l-[3px] border-clash pl-3" role="alert">
      <p className="mb-3">{words}</p>
      {retry && <Button onClick={retry}>Try again</Button>}
    </div>
  )
}

/** A caution where the step is: ink on an amber rule. */
export const Caution = ({ children }: { children: ReactNode }) => (
  <p className="my-2 border-l-[3px] border-rule py-0.5 pl-2.5">{children}</p>
)

/** Shows the data of a hook, or that it is loading, or why it failed. */
export function Loaded<T>({
  of,
  what,
  children,
}: {
  of: { data: T | undefined; error: unknown; mutate: () => unknown }
  what: string
  children: (data: T) => ReactNode
}) {
  if (of.error && of.data === undefined)
    return <Failed error={of.error} retry={() => void of.mutate()} />
  return of.data === undefined ? <Loading what={what} /> : children(of.data)
}

/** Head of a sheet beside the work: what it is about, and the way to close it. */
export const SheetHead = ({
  mark,
  title,
  detail,
  onClose,
}: {
  mark?: ReactNode
  title: string
  detail?: ReactNode
  onClose: () => void
}) => (
  <div className="flex items-start gap-3">
    {mark && <span className="pt-0.5">{mark}</span>}
    <div>
      <h2 className="text-[15px] font-bold">{title}</h2>
      {detail && <p className="text-steel">{detail}</p>}
    </div>
    <span className="ml-auto">
      <Button tone="quiet" onClick={onClose}>
        Close
      </Button>
    </span>
  </div>
)

/** Something to add, folded until it is wanted. */
export const Folded = ({
  words,
  isOpen,
  children,
}: {
  words: string
  isOpen?: boolean
  children: ReactNode
}) => (
  <details className="mt-2" open={isOpen}>
    <summary className="cursor-pointer text-accent underline">{words}</summary>
    <div className="pt-2">{children}</div>
  </details>
)
