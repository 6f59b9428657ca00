import type { ReactNode } from 'react'
import type { KitsCompared } from '../../../contract/answers/kits.ts'
import { JointShape } from '../../components/joint-shape.tsx'
import { STANDING_WORDS } from '../../components/standing.tsx'
import { Button, GradeWord, Money } from '../../components/ui.tsx'

type Kit = KitsCompared['kits'][number]

const mm = (value: number | null, digits = 2): string =>
  value === null ? 'not known' : `${value.toFixed(digits)} mm`

/** Joints that read otherwise in one of the kits than in another. */
const differing = (kits: readonly Kit[]): readonly Kit['joints'][number][] =>
  kits[0]!.joints.filter(({ joint }) => {
    const codes = kits.map((kit) => kit.joints.find((one) => one.joint === joint)?.code)
    return new Set(codes).size > 1
  })

/** Kits in columns: joint by joint, how good they are, what each leaves to be got, and what the build comes to. */
export function KitColumns({
  found: { kits, currency },
  onTake,
}: {
  found: KitsCompared
  onTake: (kit: string) => void
}) {
  const joints = differing(kits)
  const alike = kits[0]!.joints.length - joints.length
  const alikeLines = linesAlike(kits)
  const row = (words: string, cell: (kit: Kit) => ReactNode) => (
    <tr key={words} className="border-line border-t align-top">
      <th scope="row" className="w-32 py-1 pr-3 text-left font-semibold">
        {words}
      </th>
      {kits.map((kit) => (
        <td key={kit.id} className="py-1 pr-4">
          {cell(kit)}
        </td>
      ))}
    </tr>
  )
  return (
    <div className="overflow-x-auto">
      <table
        aria-label="Kits compared"
        className="w-full table-fixed border-collapse"
        style={{ minWidth: 128 + kits.length * 210 }}
      >
        <tbody>
          <tr className="align-top">
            <td className="w-32" />
            {kits.map((kit) => (
              <td key={kit.id} className="pb-2 pr-4">
                <b>{kit.name}</b>
                <div className="text-steel">
                  {[kit.supplier, kit.standing && STANDING_WORDS[kit.standing]]
                    .filter(Boolean)
                    .join(', ')}
                </div>
                <Button aria-label={`Take ${kit.name}`} onClick={() => onTake(kit.id)}>
                  Take it
                </Button>
              </td>
            ))}
          </tr>
          {row('Kit', (kit) => (
            <Money minor={kit.priceMinor} currency={currency} />
          ))}
          {row('To finish', (kit) => (
            <Totals kit={kit} currency={currency} />
          ))}
          {row('Flywheel off by', (kit) => (
            <span className="figure">{mm(kit.depthMm)}</span>
          ))}
          {row('Axes apart', ({ offset }) =>
            offset === null ? (
              <span className="text-steel">not known</span>
            ) : (
              <span className="figure">
                {mm(offset.valueMm, 3)}
                {offset.plusMinusMm === null
                  ? ', ± not known'
                  : ` ± ${offset.plusMinusMm.toFixed(3)}`}
                {offset.mostMm === null ? '' : `, at most ${offset.mostMm}`}
              </span>
            ),
          )}
          {row('Least metal', ({ wall }) =>
            wall === null ? (
              <span className="text-steel">no plate of its own, or not known</span>
            ) : (
              <>
                <span className="figure">{mm(wall.wallMm, 1)}</span>, wanted{' '}
                <span className="figure">{wall.wantedMm.toFixed(1)}</span>
                <div className="text-steel">{wall.between}</div>
              </>
            ),
          )}
          {joints.map(({ joint, title }) =>
            row(title, (kit) => {
              const own = kit.joints.find((one) => one.joint === joint)
              return own ? (
                <span className="flex items-start gap-2">
                  <JointShape code={own.code} evidence={own.evidence} />
                  <span className={own.code === 'fits' ? 'text-steel' : ''}>{own.words}</span>
                </span>
              ) : null
            }),
          )}
          {row('Taken beside it', ({ beside }) =>
            beside.length > 0 ? beside.join(', ') : <span className="text-steel">nothing</span>,
          )}
          {row('Lines', (kit) => (
            <Lines kit={kit} alike={alikeLines} currency={currency} />
          ))}
          {row('Leaves out', ({ omits }) => omits ?? <span className="text-steel">not said</span>)}
          {row('How good', (kit) => (
            <Quality kit={kit} />
          ))}
          {row('Had again', ({ pieces }) => {
            const wears = pieces.filter((piece) => piece.wears)
            return wears.length === 0 ? (
              <span className="text-steel">nothing of it wears</span>
            ) : (
              <ul>
                {wears.map((piece) => (
                  <li key={piece.id}>
                    {piece.name}: {piece.hadAgain ?? <b>nobody says how</b>}
                  </li>
                ))}
              </ul>
            )
          })}
          {row('Said of it', (kit) => (
            <Reports kit={kit} />
          ))}
        </tbody>
      </table>
      <p className="pt-2 text-steel">
        {alike} {alike === 1 ? 'joint reads' : 'joints read'} alike with all of them.
      </p>
    </div>
  )
}

function Totals({ kit, currency }: { kit: Kit; currency: string }) {
  if (kit.totalMinor === null) return <>cannot be planned</>
  const parts: readonly (readonly [string, number | null])[] = [
    ['parts, kit and shipping', kit.partsMinor],
    ['what nobody sells', kit.openMinor],
    [`${Math.round(kit.hours)} hours`, kit.labourMinor],
  ]
  return (
    <>
      <b>
        <Money minor={kit.totalMinor} currency={currency} whole />
      </b>
      <ul className="text-steel">
        {parts.map(([words, minor]) => (
          <li key={words}>
            {words} <Money minor={minor} currency={currency} whole />
          </li>
        ))}
      </ul>
    </>
  )
}

type Line = Kit['lines'][number]
const lineKey = ({ need, from, source, minor }: Line): string =>
  JSON.stringify([need, from, source, minor])

/** Lines that are got alike with each of the kits. */
const linesAlike = (kits: readonly Kit[]): ReadonlySet<string> =>
  new Set(
    kits[0]!.lines
      .filter(({ from }) => from !== 'this kit')
      .map(lineKey)
      .filter((key) => kits.every(({ lines }) => lines.some((line) => lineKey(line) === key))),
  )

/** What a kit brings, and what is got beside it; what is got alike with all of them is counted. */
function Lines({
  kit,
  alike,
  currency,
}: {
  kit: Kit
  alike: ReadonlySet<string>
  currency: string
}) {
  const own = kit.lines.filter(({ from }) => from === 'this kit')
  const beside = kit.lines.filter(({ from }) => from !== 'this kit')
  const others = beside.filter((line) => !alike.has(lineKey(line)))
  return (
    <>
      <p>
        {own.length > 0 ? `Brings ${own.map(({ words }) => words).join(', ')}.` : 'Brings none.'}
      </p>
      <ul>
        {others.map(({ need, words, source, from, minor }) => (
          <li key={need}>
            {words}{' '}
            <span className="text-steel">
              {from === 'open' ? 'nobody sells it, likely ' : `${source} `}
              <Money minor={minor} currency={currency} />
            </span>
          </li>
        ))}
      </ul>
      <p className="text-steel">{beside.length - others.length} more, alike with all of them.</p>
    </>
  )
}

function Quality({ kit: { quality, note, cautions } }: { kit: Kit }) {
  return (
    <>
      <ul>
        {quality.map(({ label, value, from }) => (
          <li key={label}>
            {label}: {value} {from === 'said' && <span className="text-steel">(said)</span>}
          </li>
        ))}
      </ul>
      {note && <p className="text-steel">{note}</p>}
      {cautions.map((words) => (
        <p key={words} className="border-l-[3px] border-work pl-2">
          {words}
        </p>
      ))}
    </>
  )
}

const ABOUT = { kit: 'the kit', part: 'a part of it', maker: 'its maker' } as const
function Reports({ kit: { reports } }: { kit: Kit }) {
  if (reports.length === 0) return <span className="text-steel">nobody says anything</span>
  return (
    <ul>
      {reports.map(({ id, about, outcome, what, howMany, grade, source }) => (
        <li key={id} className={outcome === 'failed' ? 'border-l-[3px] border-clash pl-2' : ''}>
          {what}{' '}
          <span className="text-steel">
            ({howMany === 1 ? 'one says so' : `${howMany} say so`} of {ABOUT[about]}
            {source ? `, ${source}` : ''}, <GradeWord grade={grade} />)
          </span>
        </li>
      ))}
    </ul>
  )
}
