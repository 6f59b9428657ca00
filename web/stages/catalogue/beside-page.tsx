import { Link, useSearchParams } from 'react-router'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { fieldsOf, type PortKindName } from '../../../core/ports/index.ts'
import { printTyped } from '../../../core/ports/parse.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import type { Grade } from '../../../core/quantity/grade.ts'
import { usePart } from '../../api/hooks.ts'
import { ButtonLink, Empty, GradeWord, Loaded, PageHead } from '../../components/ui.tsx'
import { MOST_BESIDE } from './most-beside.ts'

interface Line {
  readonly key: string
  readonly head: string
  readonly label: string
  readonly cells: readonly { readonly words: string; readonly grade: Grade | null }[]
}

/** Up to four parts side by side, field by field; where they differ it is marked. */
export function Component() {
  const [params] = useSearchParams()
  const ids = (params.get('parts') ?? '').split(',').filter(Boolean).slice(0, MOST_BESIDE)
  // Hooks run the same number of times however many there are.
  const parts = [usePart(ids[0]), usePart(ids[1]), usePart(ids[2]), usePart(ids[3])].slice(
    0,
    ids.length,
  )
  const waiting = parts.find(({ data, error }) => error || !data)
  return (
    <>
      <PageHead title="Side by side" detail="What is known of each, and where they differ">
        <ButtonLink to="/catalogue">Catalogue</ButtonLink>
      </PageHead>
      {ids.length < 2 ? (
        <Empty>Mark two to four parts in the catalogue, and set them side by side.</Empty>
      ) : waiting ? (
        <Loaded of={waiting} what="the parts">
          {() => null}
        </Loaded>
      ) : (
        <Table parts={parts.flatMap(({ data }) => data ?? [])} />
      )}
    </>
  )
}

function linesOf(parts: readonly PartDetail[]): Line[] {
  const plain = (label: string, of: (part: PartDetail) => string): Line => ({
    key: label,
    head: 'What it is',
    label,
    cells: parts.map((part) => ({ words: of(part), grade: null })),
  })
  const ports = new Map(
    parts.flatMap(({ ports: own }) => own.map((port) => [`${port.kind}/${port.slot}`, port])),
  )
  return [
    plain('Kind', ({ kind }) => kindWords(kind)),
    plain('Years', ({ fromYear, toYear }) => [fromYear, toYear].filter(Boolean).join('–')),
    plain('Mass, kg', ({ massG }) => (massG === null ? '' : String(massG / 1000))),
    plain('Numbers', ({ numbers }) =>
      numbers.flatMap((one) => (one.struckDay ? [] : `${one.issuer} ${one.number}`)).join(', '),
    ),
    ...[...ports].flatMap(([key, port]) =>
      port.fields.map(
        (field): Line => ({
          key: `${key}.${field.name}`,
          head: port.slot === 'main' ? port.title : `${port.title}, ${port.slot}`,
          label: field.unit ? `${field.label}, ${field.unit}` : field.label,
          cells: parts.map((part) => {
            const own = part.ports
              .find((one) => `${one.kind}/${one.slot}` === key)
              ?.fields.find(({ name }) => name === field.name)
            return own?.value === null || own === undefined
              ? { words: '', grade: null }
              : {
                  words: printTyped(fieldsOf(port.kind as PortKindName)[field.name]!, own.value),
                  grade: own.grade,
                }
          }),
        }),
      ),
    ),
  ].filter(({ cells }) => cells.some(({ words }) => words !== ''))
}

function Table({ parts }: { parts: readonly PartDetail[] }) {
  const lines = linesOf(parts)
  return (
    <div className="overflow-x-auto px-4 pb-12">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1.5 pr-3">Field</th>
            {parts.map(({ id, name }) => (
              <th key={id} className="py-1.5 pr-3">
                <Link
                  className="text-accent underline"
                  to={`/catalogue/parts/${encodeURIComponent(id)}`}
                >
                  {name}
                </Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ key, head, label, cells }, at) => {
            const said = new Set(cells.flatMap(({ words }) => (words === '' ? [] : words)))
            const differs = said.size > 1
            return (
              <tr key={key} className="border-b border-line align-top">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {head !== lines[at - 1]?.head && <b className="block pt-2">{head}</b>}
                  {label}
                  {differs && <span className="font-semibold"> · differs</span>}
                </th>
                {cells.map(({ words, grade }, i) => (
                  <td
                    key={parts[i]!.id}
                    className={`figure py-1 pr-3 align-bottom ${differs && words !== '' ? 'border-l-[3px] border-rule pl-2 font-semibold' : ''}`}
                  >
                    {words === '' ? <span className="text-steel">not known</span> : words}{' '}
                    {grade && (
                      <span className="font-sans font-normal">
                        <GradeWord grade={grade} />
                      </span>
                    )}
                  </td>
                ))}
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}
