import { Link } from 'react-router'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { Row, Rows } from '../../components/rows.tsx'

/** In which builds the part stands, and as what. */
export function UsedIn({ part }: { part: PartDetail }) {
  if (part.usedIn.length === 0) return null
  return (
    <section aria-label="Where it is used">
      <h2 className="mb-1 font-bold">Where it is used</h2>
      <Rows label="Builds">
        {part.usedIn.map(({ build, name, as }) => (
          <Row key={build}>
            <Link className="text-accent underline" to={`/builds/${build}/parts`}>
              {name}
            </Link>
            <span className="text-steel">{as.join(', ')}</span>
          </Row>
        ))}
      </Rows>
    </section>
  )
}
