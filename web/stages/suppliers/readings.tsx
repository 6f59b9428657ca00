import type { FeedReading } from '../../../contract/answers/feeds.ts'
import { useAnswer } from '../../api/answer.ts'
import { Row, Rows } from '../../components/rows.tsx'

const SHOWN = 5
const counted = (count: number, one: string, more: string): string =>
  `${count} ${count === 1 ? one : more}`

/** How a reading of prices went, in a sentence. */
export function readingWords(reading: FeedReading): string {
  if (!reading.isRead) return reading.why ?? 'not read'
  const { rows, added, moved, gone, badCount, again } = reading
  return [
    `${counted(rows, 'offer', 'offers')} read`,
    ...(added > 0 ? [`${added} new`] : []),
    ...(moved > 0 ? [`${counted(moved, 'price', 'prices')} moved`] : []),
    ...(gone > 0 ? [`${gone} ended`] : []),
    ...(badCount > 0 ? [`${counted(badCount, 'item', 'items')} left out as wrong`] : []),
    ...(again > 0 ? [`asked again ${again === 1 ? 'once' : `${again} times`}`] : []),
  ].join(', ')
}

/** How the newest readings of a supplier's prices went. */
export function Readings({ supplier }: { supplier: string }) {
  const readings = useAnswer('GET /suppliers/{id}/readings', { params: { id: supplier } }).data
  if (!readings || readings.items.length === 0) return null
  return (
    <section className="mt-4">
      <h2 className="font-bold">When its prices were fetched</h2>
      <Rows label="Readings">
        {readings.items.slice(0, SHOWN).map((reading) => (
          <Row
            key={reading.at}
            below={
              reading.bad.length > 0 && (
                <p className="text-steel">
                  Item {reading.bad[0]!.line}, {reading.bad[0]!.column}: {reading.bad[0]!.message}
                </p>
              )
            }
          >
            <span className="figure text-steel">
              {reading.at.slice(0, 16).replace('T', ' ')} UTC
            </span>
            {readingWords(reading)}
          </Row>
        ))}
      </Rows>
    </section>
  )
}
