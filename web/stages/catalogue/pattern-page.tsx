import { type FormEvent, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import type { Sense } from '../../../core/patterns/from-chords.ts'
import { parseChords } from '../../../core/patterns/parse-chords.ts'
import type { Dowel, Hole, Point } from '../../../core/ports/field.ts'
import { parseQuantity } from '../../../core/quantity/units.ts'
import { call } from '../../api/client.ts'
import { act, usePart, useReading } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { PatternDrawing } from '../../drawing/pattern.tsx'

const input = 'rounded border border-steel bg-ground px-2 py-1.5'

/** A face's pattern: drawn to scale, from distances or DXF, out as DXF. */
export function Component() {
  const { part: id = '' } = useParams()
  const part = usePart(id)
  return (
    <Loaded of={part} what="the part">
      {(detail) => <Faces part={detail} />}
    </Loaded>
  )
}

function Faces({ part }: { part: PartDetail }) {
  const [params, setParams] = useSearchParams()
  const faces = part.ports.filter((port) => port.kind === 'face')
  const face = faces.find((port) => port.id === params.get('port')) ?? faces[0]
  const known = <T,>(name: string): T | null =>
    (face?.fields.find((field) => field.name === name)?.value ?? null) as T | null
  const holes = known<readonly Hole[]>('holes')
  const [found, setFound] = useState<Found | null>(null)
  if (!face) return <Empty>This kind of part has no bolted face.</Empty>
  return (
    <>
      <PageHead
        title={`Pattern of ${part.name}`}
        detail={`${face.slot} face, looks ${face.looks ?? 'rearward'}; seen from the gearbox looking at the engine`}
      >
        {faces.length > 1 &&
          faces.map((port) => (
            <Button
              key={port.id}
              aria-pressed={port === face}
              onClick={() => setParams({ port: port.id })}
            >
              {port.slot}
            </Button>
          ))}
        <ButtonLink
          to={`/catalogue/parts/${encodeURIComponent(part.id)}/trace?port=${encodeURIComponent(face.id)}`}
        >
          Trace a picture
        </ButtonLink>
        {holes && (
          <a
            className="inline-flex items-center rounded border border-ink bg-ground px-3 py-1.5 font-semibold hover:bg-bench print:hidden"
            href={`/api/parts/${encodeURIComponent(part.id)}/faces/${face.slot}/pattern.pdf?paper=A4`}
            target="_blank"
            rel="noreferrer"
          >
            1:1 template
          </a>
        )}
        {holes && (
          <a
            className="inline-flex items-center rounded border border-ink bg-ground px-3 py-1.5 font-semibold hover:bg-bench print:hidden"
            href={`/api/parts/${encodeURIComponent(part.id)}/pattern.dxf`}
          >
            Export DXF
          </a>
        )}
        <Link
          className="self-center text-accent underline"
          to={`/catalogue/parts/${encodeURIComponent(part.id)}`}
        >
          The part
        </Link>
      </PageHead>
      <div className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-8 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div>
          {holes || found ? (
            <PatternDrawing
              label={`Bolt pattern, ${(holes ?? found!.holes).length} holes`}
              holes={holes ?? []}
              dowels={known<readonly Dowel[]>('dowels') ?? []}
              outline={known<readonly Point[]>('outline') ?? []}
              over={found?.holes}
            />
          ) : (
            <p className="text-steel">
              No hole is known yet. Write down distances between them, or read a DXF.
            </p>
          )}
          {found && (
            <FoundSheet
              key={found.from}
              port={face.id}
              found={found}
              onKept={() => setFound(null)}
            />
          )}
        </div>
        <div className="flex flex-col gap-8">
          <FromDistances
            key={face.id}
            port={face.id}
            looks={face.looks === 'forward' ? 'forward' : 'rearward'}
            onFound={setFound}
          />
          <FromDxf onFound={setFound} />
        </div>
      </div>
    </>
  )
}

interface Found {
  readonly from: string
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  readonly says: string
  readonly plusMinus: number | null
  /** A file somebody drew is no measurement of ours. */
  readonly grade: 'measured' | 'catalogue'
}

/** What was read, before it is kept: it lies over what is known, and says how well it fits. */
function FoundSheet({ port, found, onKept }: { port: string; found: Found; onKept: () => void }) {
  const person = usePerson()
  const keep = async (): Promise<void> => {
    const claim = {
      portId: port,
      grade: found.grade,
      plusMinus: found.plusMinus,
      source: found.from,
      by: person.name,
    }
    const done = await act(async () => {
      await call('POST /claims', { body: { ...claim, field: 'holes', value: found.holes } })
      if (found.dowels.length > 0)
        await call('POST /claims', { body: { ...claim, field: 'dowels', value: found.dowels } })
    }, 'Kept with its grade.')
    if (done) onKept()
  }
  return (
    <section aria-label="What was read" className="mt-3 border-l-[3px] border-accent pl-3">
      <p>{found.says}</p>
      <p className="text-steel">
        Dashed in the drawing. A pattern seen from the wrong side is scrap: lay it on the block, or
        check one hole, before it is cut.
      </p>
      <Button tone="main" className="mt-2" onClick={() => void keep()}>
        {found.grade === 'measured' ? 'Keep as a measurement' : 'Keep as drawn by others'}
      </Button>
    </section>
  )
}

/** Least error that hand measuring of a hole's centre has, mm (common practice). */
const LEAST_PM = 0.3

function FromDistances({
  port,
  looks,
  onFound,
}: {
  port: string
  looks: 'forward' | 'rearward'
  onFound: (found: Found) => void
}) {
  const draft = `draft:chords:${port}`
  const [typed, setTyped] = useState<{
    text: string
    count: string
    sense: Sense
    first: string
    hole: string
  }>(() => ({
    text: '',
    count: '6',
    sense: 'clockwise',
    first: '90',
    hole: '10.5',
    ...JSON.parse(localStorage.getItem(draft) ?? '{}'),
  }))
  const [fault, setFault] = useState('')
  const reading = useReading()
  const set = (more: Partial<typeof typed>): void => {
    const next = { ...typed, ...more }
    setTyped(next)
    localStorage.setItem(draft, JSON.stringify(next))
  }
  const work = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    setFault('')
    try {
      const d = parseQuantity(typed.hole, 'mm', reading)
      const chords = parseChords(typed.text, reading)
      const pattern = await call('POST /patterns/chords', {
        body: {
          count: Number(typed.count),
          sense: typed.sense,
          looks,
          firstDeg: Number(typed.first),
          chords,
        },
      })
      const worst = pattern.misfits.reduce(
        (at, misfit, i) => (Math.abs(misfit) > Math.abs(pattern.misfits[at]!) ? i : at),
        0,
      )
      const { from, to } = chords[worst]!
      const name = (hole: number): string => (hole === 0 ? 'the axis' : `hole ${hole}`)
      onFound({
        from: 'Distances between holes',
        holes: pattern.holes.map((hole) => ({
          x: Number(hole.x.toFixed(3)),
          y: Number(hole.y.toFixed(3)),
          d,
        })),
        dowels: [],
        grade: 'measured',
        plusMinus:
          pattern.spare > 0 && pattern.isAxisKnown
            ? Math.max(LEAST_PM, Number(Math.abs(pattern.misfits[worst]!).toFixed(2)))
            : null,
        says: [
          `${chords.length} distances, ${pattern.spare} more than needed; they agree within ${pattern.rmsMm.toFixed(2)} mm in the mean.`,
          pattern.spare > 0
            ? `Worst: ${name(from)} to ${name(to)}, off by ${Math.abs(pattern.misfits[worst]!).toFixed(2)} mm: measure it again if that is much.`
            : 'None to spare, so nothing checks them: measure one more.',
          pattern.isAxisKnown
            ? ''
            : 'Fewer than three distances to the axis: where the pattern stands on the crank is not measured.',
        ].join(' '),
      })
    } catch (error) {
      setFault((error as Error).message)
    }
  }
  return (
    <form onSubmit={(event) => void work(event)} className="flex flex-col gap-3">
      <h2 className="font-bold">From distances between holes</h2>
      <p className="text-steel">
        Number the holes in order. Measure centre to centre, across as well as along, and from at
        least three holes to the middle of the crank or register bore. Between two holes of one
        size, edge to same edge is centre to centre.
      </p>
      <div className="grid grid-cols-4 gap-3">
        <label>
          <span className="mb-1 block font-semibold">Holes</span>
          <input
            value={typed.count}
            inputMode="numeric"
            onChange={(event) => set({ count: event.target.value })}
            className={`${input} figure w-full`}
          />
        </label>
        <label>
          <span className="mb-1 block font-semibold">Hole Ø</span>
          <input
            value={typed.hole}
            onChange={(event) => set({ hole: event.target.value })}
            className={`${input} figure w-full`}
          />
        </label>
        <label className="col-span-2">
          <span className="mb-1 block font-semibold">Numbers run, looking at the face</span>
          <select
            value={typed.sense}
            onChange={(event) => set({ sense: event.target.value as Sense })}
            className={`${input} w-full`}
          >
            <option value="clockwise">clockwise</option>
            <option value="counter-clockwise">counter-clockwise</option>
          </select>
        </label>
      </div>
      <label>
        <span className="mb-1 block font-semibold">
          Hole 1 stands at, ° counter-clockwise from the right, looking at the face
        </span>
        <input
          value={typed.first}
          inputMode="decimal"
          onChange={(event) => set({ first: event.target.value })}
          className={`${input} figure w-28`}
        />
      </label>
      <label>
        <span className="mb-1 block font-semibold">Distances, a line each</span>
        <textarea
          rows={9}
          value={typed.text}
          onChange={(event) => set({ text: event.target.value })}
          placeholder={'1 2 173.2\n1 3 11 1/4 in\n1 axis 180'}
          className={`${input} figure w-full`}
        />
      </label>
      {fault && (
        <p role="alert" className="border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      <Button type="submit" className="self-start">
        Work out the pattern
      </Button>
    </form>
  )
}

function FromDxf({ onFound }: { onFound: (found: Found) => void }) {
  const [fault, setFault] = useState('')
  const read = async (file: File): Promise<void> => {
    setFault('')
    try {
      const { faces, notes } = await call('POST /patterns/dxf', { body: file })
      const most = [...faces].sort((p, q) => q.holes.length - p.holes.length)[0]!
      onFound({
        from: file.name,
        holes: most.holes,
        dowels: most.dowels,
        plusMinus: null,
        grade: 'catalogue',
        says: `${file.name}: ${most.holes.length} holes and ${most.dowels.length} dowels on ${most.name === 'Face' ? 'its layers' : `the ${most.name} face`}. How well they were taken the file does not say: ± stays unknown.${notes.map((note) => ` ${note}`).join('')}`,
      })
    } catch (error) {
      setFault((error as Error).message)
    }
  }
  return (
    <section>
      <h2 className="font-bold">From a DXF file</h2>
      <p className="mb-2 text-steel">
        Circles are holes; those on a layer named for dowels are dowels. The origin is the axis, x
        to the right and y up as seen from the gearbox.
      </p>
      <label className="inline-flex cursor-pointer items-center rounded border border-ink bg-ground px-3 py-1.5 font-semibold focus-within:outline-2 focus-within:outline-accent hover:bg-bench">
        Read a DXF
        <input
          type="file"
          accept=".dxf"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ''
            if (file) void read(file)
          }}
        />
      </label>
      {fault && (
        <p role="alert" className="mt-2 border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
    </section>
  )
}
