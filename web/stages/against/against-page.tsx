import { useParams } from 'react-router'
import type { Against } from '../../../contract/answers/choice.ts'
import { placeWords } from '../../../core/needs/line.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuild } from '../../api/hooks.ts'
import { Select } from '../../components/fields/select.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, Money, PageHead, Span } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'

/** Two builds, such as two branches of one vehicle, to the end: parts, money and hours. */
export function Component() {
  const { build = '' } = useParams()
  const [params, change] = useAddress()
  const builds = useAnswer('GET /builds')
  const own = useBuild(build).data?.build
  const others = (builds.data?.items ?? []).filter((one) => one.build.id !== build)
  // Branches of the same vehicle first.
  const sorted = others.toSorted(
    (p, q) =>
      Number(q.build.recipientId === own?.recipientId) -
      Number(p.build.recipientId === own?.recipientId),
  )
  const asked = params.get('with') ?? sorted[0]?.build.id ?? null
  const against = useAnswer(
    'GET /builds/{id}/against/{other}',
    asked === null ? null : { params: { id: build, other: asked } },
  )
  if (builds.data && others.length === 0)
    return (
      <Empty action={<ButtonLink to={`/builds/${build}/pairing`}>To the pairing</ButtonLink>}>
        There is no other build. Branch this one on Pairing, and the two stand here side by side.
      </Empty>
    )
  return (
    <>
      <PageHead title="Against another build" detail={own?.name}>
        <Select
          isNarrow
          aria-label="The other build"
          value={asked ?? ''}
          options={sorted.map(({ build: { id, name } }) => ({ value: id, words: name }))}
          onChange={(id) => change({ with: id })}
        />
        <Button onClick={() => window.print()}>Print</Button>
      </PageHead>
      <Loaded of={against} what="the two builds">
        {(data) => <Sides data={data} />}
      </Loaded>
    </>
  )
}

type Side = Against['a']
const ROWS: readonly (readonly [string, (side: Side) => React.ReactNode])[] = [
  ['Pairing', ({ pairing }) => pairing ?? <span className="text-steel">not chosen</span>],
  [
    'Likely',
    ({ likely, currency }) => (likely ? <Span range={likely} currency={currency} /> : '–'),
  ],
  [
    'Hours',
    ({ hours }) =>
      hours ? (
        <span className="figure">
          {Math.round(hours.low)} to {Math.round(hours.high)}
        </span>
      ) : (
        '–'
      ),
  ],
  ['Lines', ({ lines }) => <span className="figure">{lines}</span>],
  ['Joints not measured', ({ unmeasured }) => <span className="figure">{unmeasured}</span>],
]

function Sides({ data: { a, b, lines, alike } }: { data: Against }) {
  return (
    <div className="overflow-x-auto px-4 pb-12">
      <table aria-label="The two builds" className="mb-6 w-full table-fixed">
        <thead>
          <tr className="border-ink border-b text-left">
            <th className="w-44 py-1">
              <span className="sr-only">What</span>
            </th>
            <th>{a.name}</th>
            <th>{b.name}</th>
          </tr>
        </thead>
        <tbody>
          {ROWS.map(([words, of]) => (
            <tr key={words} className="border-line border-b">
              <th scope="row" className="py-1 text-left">
                {words}
              </th>
              <td>{of(a)}</td>
              <td>{of(b)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pb-2 text-steel">
        <span className="figure">{lines.length}</span> lines differ,{' '}
        <span className="figure">{alike}</span> are alike.
      </p>
      <DataTable
        id="against"
        what="lines that differ"
        rows={lines}
        columns={columnsOf(a, b)}
        keyOf={({ id }) => id}
      />
    </div>
  )
}

type Line = Against['lines'][number]
const columnsOf = (a: Side, b: Side): readonly Column<Line>[] => [
  { id: 'words', head: 'Line', isFixed: true, value: ({ words }) => words },
  { id: 'place', head: 'Place', value: ({ place }) => placeWords(place) },
  ...(['a', 'b'] as const).flatMap((which): Column<Line>[] => {
    const side = which === 'a' ? a : b
    return [
      {
        id: `${which}-money`,
        head: side.name,
        align: 'right',
        value: (line) => line[which]?.priceMinor,
        cell: (line) =>
          line[which] ? (
            <Money minor={line[which].priceMinor} currency={side.currency} whole />
          ) : (
            '–'
          ),
      },
      {
        id: `${which}-hours`,
        head: 'Hours',
        title: `Hours, ${side.name}`,
        align: 'right',
        value: (line) => line[which]?.hours,
        cell: (line) => (line[which] ? line[which].hours || '–' : '–'),
      },
    ]
  }),
]
