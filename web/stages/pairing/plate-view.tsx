import { useParams } from 'react-router'
import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Folded } from '../../components/ui.tsx'
import { PlateDrawing } from '../../drawing/plate.tsx'

const link = 'text-accent underline'

type Met = NonNullable<PairingDetail['plate']>['match']['met'][number]
const RESIDUALS: readonly Column<Met>[] = [
  { id: 'engine', head: 'Engine', align: 'right', isFixed: true, value: ({ a }) => a + 1 },
  { id: 'gearbox', head: 'Gearbox', align: 'right', value: ({ b }) => b + 1 },
  {
    id: 'off',
    head: 'Off, mm',
    align: 'right',
    value: ({ residual }) => residual,
    cell: ({ residual }) => residual.toFixed(3),
  },
  {
    id: 'play',
    head: 'Play, mm',
    align: 'right',
    value: ({ play }) => play,
    cell: ({ play }) => play.toFixed(3),
  },
]
const boltKey = ({ a }: Met): string => String(a)

/** Both patterns on one axis, how far they meet, and the plate that would join them; out as template and for the cutter. */
export function PlateView({ pairing }: { pairing: PairingDetail }) {
  const { build = '' } = useParams()
  const { plate } = pairing
  if (!plate)
    return (
      <p className="text-steel">
        Both patterns are drawn here once the holes of both faces are known.
      </p>
    )
  const { design, match, engine, gearbox } = plate
  const query = `engine=${encodeURIComponent(pairing.engine)}&transmission=${encodeURIComponent(pairing.transmission)}`
  return (
    <section aria-label="Both patterns">
      <h3 className="font-bold">Both patterns, on one axis</h3>
      <PlateDrawing plate={plate} />
      <p>
        {match.met.length} of {Math.max(engine.holes.length, gearbox.holes.length)} bolts meet as
        they are
        {match.met.length > 0
          ? `, turned ${match.turnDeg.toFixed(1)}°, axes ${match.offsetMm.toFixed(2)} mm apart`
          : ''}
        .
      </p>
      <p>
        A plate: <b>{design.kind}</b>
        {design.thicknessMm === null ? '' : `, ${design.thicknessMm.toFixed(1)} mm by the depth`}
        {design.turnDeg === 0 ? '' : `, gearbox pattern turned ${design.turnDeg}°`}.{' '}
        {design.because}.
      </p>
      {design.turnDeg !== 0 && (
        <p className="text-steel">
          What the turn moves: lever, starter, mount, oil level and breather.
        </p>
      )}
      {design.outside.length > 0 && (
        <p className="text-steel">
          Past the other outline, or near its edge: {design.outside.slice(0, 3).join(', ')}
          {design.outside.length > 3 ? ` and ${design.outside.length - 3} more` : ''}.
        </p>
      )}
      {design.tasks.length > 0 && (
        <ul className="list-disc pl-5">
          {design.tasks.map((task) => (
            <li key={task}>{task}</li>
          ))}
        </ul>
      )}
      {match.met.length > 0 && (
        <Folded words="Each bolt’s residual">
          <DataTable
            id="residuals"
            what="bolts"
            rows={match.met}
            columns={RESIDUALS}
            keyOf={boltKey}
          />
        </Folded>
      )}
      <p className="print:hidden">
        <a
          className={link}
          href={`/api/builds/${build}/plate.pdf?${query}&paper=A4`}
          target="_blank"
          rel="noreferrer"
        >
          1:1 template, A4 sheets
        </a>
        {' · '}
        <a
          className={link}
          href={`/api/builds/${build}/plate.pdf?${query}&paper=whole`}
          target="_blank"
          rel="noreferrer"
        >
          on one sheet
        </a>
        {' · '}
        <a className={link} href={`/api/builds/${build}/plate.dxf?${query}`}>
          DXF for the cutter
        </a>
      </p>
    </section>
  )
}
