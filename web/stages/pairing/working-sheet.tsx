import type { PairingWorking } from '../../../contract/answers/pairings.ts'
import type { PlacementSchool } from '../../../core/joints/joint.ts'
import { printMoney } from '../../../core/money/money.ts'
import type { FigureId, WorkingLine } from '../../../core/pairing/working.ts'
import { useAnswer } from '../../api/answer.ts'
import { BELOW_DIALOGS } from '../../components/dialog.tsx'
import { Button, Loaded, SheetHead } from '../../components/ui.tsx'
import { usePageKey } from '../../components/use-page-key.ts'
import type { PairingRow } from './pairing-rows.ts'
import { rounded } from './rounded.ts'

/** How a figure of the marked pairing came about: what it was worked out from, line by line, and the method. */
export function WorkingSheet({
  build,
  row,
  figure,
  school,
  currency,
  onClose,
}: {
  build: string
  row: PairingRow
  figure: FigureId
  school: PlacementSchool
  currency: string
  onClose: () => void
}) {
  const { engineId: engine, transmissionId: transmission, transferId } = row
  const working = useAnswer('GET /builds/{id}/pairing-working', {
    params: { id: build },
    query: { engine, transmission, transfer: transferId ?? undefined, school, figure },
  })
  usePageKey('esc', onClose, BELOW_DIALOGS)
  return (
    <Loaded of={working} what="the working">
      {(told) => (
        <aside
          aria-label={`How it came about: ${told.title}`}
          className="flex flex-col gap-3 px-4 py-3"
        >
          <SheetHead
            title={told.title}
            detail={`${row.engine} with ${row.transmission}`}
            onClose={onClose}
          />
          <p>{told.method}</p>
          <Lines working={told} currency={currency} />
          <p className="text-steel">
            Worked out from what is known now; not an engineering approval.
          </p>
          <Button className="self-start" onClick={() => window.print()}>
            Print
          </Button>
        </aside>
      )}
    </Loaded>
  )
}

const Lines = ({ working, currency }: { working: PairingWorking; currency: string }) => (
  <table className="w-full">
    <tbody>
      {working.lines.map((line, i) => (
        <tr key={i} className="border-b border-line align-top">
          <td className="py-1 pr-2">
            {line.words}
            {line.note && <div className="text-steel">{line.note}</div>}
          </td>
          <Figure line={line} currency={currency} />
        </tr>
      ))}
      {working.lines.length === 0 && (
        <tr className="border-b border-line">
          <td className="py-1 text-steel">None.</td>
          <td />
        </tr>
      )}
    </tbody>
    <tfoot>
      <tr className="border-t border-ink align-top font-bold">
        <td className="py-1 pr-2">
          {working.result.words}
          {working.result.note && (
            <div className="font-normal text-steel">{working.result.note}</div>
          )}
        </td>
        <Figure line={working.result} currency={currency} />
      </tr>
    </tfoot>
  </table>
)

function Figure({ line, currency }: { line: WorkingLine; currency: string }) {
  const { low, value, high, unit } = line
  const print = (one: number): string =>
    unit === 'minor' ? printMoney(one, currency, true) : rounded(one)
  return (
    <td className="figure whitespace-nowrap py-1 text-right">
      {value === null ? '' : print(value)}
      {value !== null && unit !== 'minor' && ` ${unit}`}
      {low !== null && high !== null && (
        <div className="font-normal text-steel">
          {print(low)}–{print(high).replace(/^[^\d−-]+/, '')}
        </div>
      )}
    </td>
  )
}
