import type { JointHardware } from '../../../core/fasteners/bolt-set.ts'

const mm = (value: number | null): string =>
  value === null ? '?' : String(Number(value.toFixed(1)))

/** Bolts and fits of a joint: what to get, how deep, how tight, and how it is located. */
export function Hardware({ hardware }: { hardware: JointHardware }) {
  if (hardware.bolts.length + hardware.fits.length === 0) return null
  return (
    <section aria-label="Bolts and fits">
      <h3 className="font-bold">Bolts and fits</h3>
      {hardware.bolts.map((set) => (
        <div key={set.words} className="border-b border-line py-1">
          {set.words}:{' '}
          <span className="figure">
            {set.count === null ? '' : `${set.count} × `}
            {set.thread}
            {set.lengthMm === null ? '' : ` × ${mm(set.lengthMm)}`}, {set.boltClass}
          </span>
          <div className="text-steel">
            {set.tightness}. At least {mm(set.engagedMm)} mm screwed in
            {set.gripMm === null ? '' : `, grip ${mm(set.gripMm)} mm`}
            {set.drillMm === null
              ? ''
              : `; where a thread is cut, drill ${mm(set.drillMm)}, ${mm(set.edgeMm)} mm to an edge, ${mm(set.wallMm)} mm between holes`}
            .
          </div>
        </div>
      ))}
      {hardware.fits.map((fit) => (
        <div key={fit.words} className="flex items-baseline gap-3 border-b border-line py-1">
          <span>
            {fit.words}
            {fit.nominal && <span className="block text-steel">{fit.nominal}</span>}
          </span>
          <span className="figure ml-auto shrink-0 text-right">
            {fit.greatestMm <= 0
              ? `${(-fit.greatestMm).toFixed(3)} to ${(-fit.leastMm).toFixed(3)} tight`
              : `${fit.leastMm.toFixed(3)} to ${fit.greatestMm.toFixed(3)} clear`}
          </span>
        </div>
      ))}
    </section>
  )
}
