import { Link } from 'react-router'
import { useAnswer } from '../api/answer.ts'

const NAMED = 3

/** Says on every page that something could not be read, by name, and where to mend it. */
export function SetAsideNotice() {
  const rows = (useAnswer('GET /set-aside').data?.items ?? []).filter((row) => row.because === null)
  if (rows.length === 0) return null
  const names = rows.slice(0, NAMED).map((row) => row.name)
  return (
    <p role="status" className="border-b border-bridge bg-bench px-4 py-1.5 print:hidden">
      {rows.length === 1 ? 'One thing' : `${rows.length} things`} could not be read and{' '}
      {rows.length === 1 ? 'is' : 'are'} left out of everything here: <b>{names.join(', ')}</b>
      {rows.length > NAMED ? ' and more' : ''}.{' '}
      <Link to="/safekeeping" className="text-accent underline underline-offset-2">
        Mend {rows.length === 1 ? 'it' : 'them'} in People and safekeeping
      </Link>
    </p>
  )
}
