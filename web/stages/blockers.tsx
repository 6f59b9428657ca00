import { Link } from 'react-router'
import type { BuildHeader } from '../../contract/answers/builds.ts'
import { Row, Rows } from '../components/rows.tsx'

/** What stops the build, each with the way to its line; nothing where nothing does. */
export function Blockers({
  build,
  blockers,
}: {
  build: string
  blockers: BuildHeader['blockers']
}) {
  if (blockers.length === 0) return null
  return (
    <section aria-label="This stops the build" className="border-l-[3px] border-clash pl-3">
      <h2 className="font-bold">This stops the build</h2>
      <Rows label="What stops the build">
        {blockers.map(({ id, words, why }) => (
          <Row key={id}>
            <Link
              className="text-accent underline underline-offset-2"
              to={`/builds/${build}/parts?line=${encodeURIComponent(id)}`}
            >
              {words}
            </Link>
            <span className="text-steel">{why}</span>
          </Row>
        ))}
      </Rows>
    </section>
  )
}
