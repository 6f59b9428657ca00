import clsx from 'clsx'
import type { SourcingView } from '../../../contract/answers/planning.ts'
import { Money } from '../../components/ui.tsx'
import { NumberSays } from '../parts/number-says.tsx'

/** The plan line by line, with what bundles and shipping add. */
export function PlanTable({
  view,
  selected,
  onSelect,
}: {
  view: SourcingView
  selected: string | null
  onSelect: (need: string) => void
}) {
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-ink">
          <th className="py-1 pl-4">Line</th>
          <th>Source</th>
          <th>Number says</th>
          <th className="text-right">Packs</th>
          <th className="pr-4 text-right">{view.currency}</th>
        </tr>
      </thead>
      <tbody>
        {view.lines.map((line) => (
          <tr
            key={line.need}
            aria-selected={line.need === selected}
            className={clsx(
              'border-b border-line',
              line.need === selected ? 'bg-chosen' : 'hover:bg-bench/50',
            )}
          >
            <td className="py-1.5 pl-4">
              <button
                type="button"
                className="text-left font-bold"
                onClick={() => onSelect(line.need)}
              >
                {line.words}
              </button>
            </td>
            <td>{line.source?.words ?? line.bundleName}</td>
            <td>{line.source ? <NumberSays verdict={line.source.number} /> : ''}</td>
            <td className="figure text-right">{line.packs}</td>
            <td className="pr-4 text-right">
              <Money minor={line.costMinor} currency={view.currency} />
            </td>
          </tr>
        ))}
        {view.bundles.map((bundle) => (
          <tr key={bundle.bundle} className="border-b border-line">
            <td className="py-1.5 pl-4 font-bold">{bundle.name}</td>
            <td className="text-steel" colSpan={3}>
              price <Money minor={bundle.priceMinor} currency={view.currency} />
              {bundle.resaleMinor + bundle.scrapMinor > 0 && (
                <>
                  , less resale and scrap{' '}
                  <Money minor={bundle.resaleMinor + bundle.scrapMinor} currency={view.currency} />
                </>
              )}
            </td>
            <td className="pr-4 text-right">
              <Money
                minor={bundle.priceMinor - bundle.resaleMinor - bundle.scrapMinor}
                currency={view.currency}
              />
            </td>
          </tr>
        ))}
        {view.baskets.map((basket) => (
          <tr key={basket.supplier} className="border-b border-line">
            <td className="py-1.5 pl-4">Shipping, {basket.name}</td>
            <td colSpan={3} />
            <td className="pr-4 text-right">
              <Money minor={basket.shippingMinor} currency={view.currency} />
            </td>
          </tr>
        ))}
        <tr className="border-b border-ink">
          <td className="py-2 pl-4 font-bold" colSpan={4}>
            Total, tax included
            {view.boundMinor !== null && view.status === 'gap' ? ', nothing is below ' : ''}
            {view.boundMinor !== null && view.status === 'gap' && (
              <Money minor={view.boundMinor} currency={view.currency} />
            )}
          </td>
          <td className="pr-4 text-right font-bold">
            <Money minor={view.totalMinor} currency={view.currency} />
          </td>
        </tr>
      </tbody>
    </table>
  )
}
