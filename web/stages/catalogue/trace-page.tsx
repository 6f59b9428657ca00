import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import {
  type Pixel,
  patternFromTrace,
  type Trace,
  type TracedPattern,
} from '../../../core/patterns/from-trace.ts'
import { parseQuantity } from '../../../core/quantity/units.ts'
import { call } from '../../api/client.ts'
import { act, usePart, useReading } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Button, Caution, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { PatternDrawing } from '../../drawing/pattern.tsx'

const input = 'rounded border border-steel bg-ground px-2 py-1.5'
const TOOLS = [
  ['known', 'Known distance'],
  ['axis', 'Axis'],
  ['hole', 'Hole'],
  ['dowel', 'Dowel'],
] as const
type Tool = (typeof TOOLS)[number][0]
const ASKS: Readonly<Record<Tool, readonly [string, string]>> = {
  known: ['Mark one end of the scale bar, or of any distance you measured.', 'Mark its other end.'],
  axis: ['Mark the middle of the crank or register bore.', ''],
  hole: ['Mark the middle of a hole.', 'Mark a point on its edge.'],
  dowel: ['Mark the middle of a dowel.', 'Mark a point on its edge.'],
}

interface Marks {
  readonly axis: Pixel | null
  readonly holes: Trace['holes']
  readonly dowels: Trace['dowels']
  readonly known: readonly { readonly from: Pixel; readonly to: Pixel; readonly typed: string }[]
  readonly view: Trace['view']
}
const BLANK: Marks = { axis: null, holes: [], dowels: [], known: [], view: 'looking at the face' }

interface Picture {
  readonly url: string
  readonly width: number
  readonly height: number
}

/** A pattern traced over a photo or scan of the face, with a scale bar. */
export function Component() {
  const { part: id = '' } = useParams()
  return (
    <Loaded of={usePart(id)} what="the part">
      {(detail) => <Face part={detail} />}
    </Loaded>
  )
}

function Face({ part }: { part: PartDetail }) {
  const [params] = useSearchParams()
  const faces = part.ports.filter((port) => port.kind === 'face')
  const face = faces.find((port) => port.id === params.get('port')) ?? faces[0]
  if (!face) return <Empty>This kind of part has no bolted face.</Empty>
  return <Tracing key={face.id} part={part} face={face} />
}

/** A stored draft, or the blank one where it cannot be read. */
function draftOf<T>(storage: Storage, key: string, blank: T): T {
  try {
    return { ...blank, ...JSON.parse(storage.getItem(key) ?? '{}') }
  } catch {
    return blank
  }
}

function Tracing({ part, face }: { part: PartDetail; face: PartDetail['ports'][number] }) {
  const key = `trace:${face.id}`
  const [marks, setMarks] = useState<Marks>(() => draftOf(localStorage, key, BLANK))
  const [picture, setPicture] = useState<Picture | null>(
    () => draftOf<Picture | { url: '' }>(sessionStorage, key, { url: '' }) as Picture,
  )
  const [tool, setTool] = useState<Tool>('known')
  const [first, setFirst] = useState<Pixel | null>(null)
  const reading = useReading()
  const set = (more: Partial<Marks>): void => {
    const next = { ...marks, ...more }
    setMarks(next)
    localStorage.setItem(key, JSON.stringify(next))
  }
  const load = async (file: File): Promise<void> => {
    const url = await new Promise<string>((resolve) => {
      const reader = new FileReader()
      reader.onload = () => resolve(String(reader.result))
      reader.readAsDataURL(file)
    })
    const image = new Image()
    image.onload = () => {
      const read = { url, width: image.naturalWidth || 1000, height: image.naturalHeight || 750 }
      setPicture(read)
      try {
        sessionStorage.setItem(key, JSON.stringify(read))
      } catch {
        // A picture too large to keep is asked for again after a reload; the marks are kept.
      }
    }
    image.src = url
  }
  const mark = (point: Pixel): void => {
    setFirst(tool === 'axis' || first ? null : point)
    if (tool === 'axis') set({ axis: point })
    if (tool === 'axis' || !first) return
    if (tool === 'known') set({ known: [...marks.known, { from: first, to: point, typed: '' }] })
    else if (tool === 'hole') set({ holes: [...marks.holes, { centre: first, edge: point }] })
    else set({ dowels: [...marks.dowels, { centre: first, edge: point }] })
  }
  const looks = face.looks === 'forward' ? 'forward' : 'rearward'
  const traced = trace(marks, looks, (typed) => parseQuantity(typed, 'mm', reading))
  const hasPicture = picture !== null && picture.url !== ''
  return (
    <>
      <PageHead title={`Trace ${part.name}`} detail={`${face.slot} face, looks ${looks}`}>
        <Link
          className="self-center text-accent underline"
          to={`/catalogue/parts/${encodeURIComponent(part.id)}/pattern?port=${encodeURIComponent(face.id)}`}
        >
          The pattern
        </Link>
      </PageHead>
      <div className="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] gap-6 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div>
          <label className="mb-2 flex flex-wrap items-center gap-2">
            <span className="font-semibold">Picture of the face</span>
            <input
              type="file"
              accept="image/*"
              onChange={(event) => event.target.files?.[0] && void load(event.target.files[0])}
            />
          </label>
          {hasPicture ? (
            <Canvas
              picture={picture}
              marks={marks}
              first={first}
              asks={ASKS[tool][first ? 1 : 0]}
              onMark={mark}
            />
          ) : (
            <p className="border border-dashed border-steel p-6 text-steel">
              Photograph the face square on from as far as the lens allows, or lay it on a scanner.
              A steel rule in the plane of the face is the scale bar; two or three more distances,
              measured by caliper in other directions, tell how far the picture is from true.
            </p>
          )}
        </div>
        <div className="flex flex-col gap-4">
          <fieldset>
            <legend className="font-bold">Mark</legend>
            <div className="flex flex-wrap gap-2 pt-1">
              {TOOLS.map(([one, words]) => (
                <Button
                  key={one}
                  aria-pressed={tool === one}
                  className={tool === one ? 'border-accent! bg-chosen' : ''}
                  onClick={() => {
                    setTool(one)
                    setFirst(null)
                  }}
                >
                  {words}
                </Button>
              ))}
            </div>
            <p role="status" className="pt-1 text-steel">
              {hasPicture ? ASKS[tool][first ? 1 : 0] : 'Choose the picture first.'}
            </p>
          </fieldset>
          <label>
            <span className="mb-0.5 block font-semibold">The picture shows the face</span>
            <select
              value={marks.view}
              onChange={(event) => set({ view: event.target.value as Trace['view'] })}
              className={`${input} w-full`}
            >
              <option value="looking at the face">as I see it, looking at it</option>
              <option value="mirrored">mirrored: a rubbing turned over, a scan from behind</option>
            </select>
          </label>
          <KnownDistances
            marks={marks}
            traced={typeof traced === 'string' ? null : traced}
            onChange={(known) => set({ known })}
          />
          <p>
            <span className="figure">{marks.holes.length}</span>{' '}
            {marks.holes.length === 1 ? 'hole' : 'holes'},{' '}
            <span className="figure">{marks.dowels.length}</span> dowels,{' '}
            {marks.axis ? 'axis marked' : 'no axis yet'}.{' '}
            <Button
              tone="quiet"
              disabled={marks.holes.length + marks.dowels.length === 0}
              onClick={() =>
                marks.dowels.length > 0 && tool === 'dowel'
                  ? set({ dowels: marks.dowels.slice(0, -1) })
                  : set({ holes: marks.holes.slice(0, -1) })
              }
            >
              Take the last away
            </Button>
            <Button tone="quiet" onClick={() => set(BLANK)}>
              Start over
            </Button>
          </p>
          {typeof traced === 'string' ? (
            <p className="border-l-[3px] border-unmeasured pl-2.5">{traced}</p>
          ) : (
            <Outcome part={part} face={face} traced={traced} />
          )}
        </div>
      </div>
    </>
  )
}

/** The pattern so far, or what is still missing, in words. */
function trace(
  marks: Marks,
  looks: Trace['looks'],
  read: (typed: string) => number,
): TracedPattern | string {
  if (marks.known.length === 0)
    return 'Mark the scale bar first: two points, and how far apart they are.'
  if (marks.known.some((one) => one.typed.trim() === ''))
    return 'Type how far apart the two ends of each known distance are.'
  if (!marks.axis)
    return 'Mark the axis: without it nothing says where the pattern stands on the crank.'
  try {
    return patternFromTrace({
      ...marks,
      axis: marks.axis,
      looks,
      known: marks.known.map(({ from, to, typed }) => ({ from, to, mm: read(typed) })),
    })
  } catch (error) {
    return (error as Error).message
  }
}

function KnownDistances({
  marks,
  traced,
  onChange,
}: {
  marks: Marks
  traced: TracedPattern | null
  onChange: (known: Marks['known']) => void
}) {
  if (marks.known.length === 0) return null
  return (
    <fieldset>
      <legend className="font-bold">Known distances</legend>
      {marks.known.map((one, index) => (
        <div key={index} className="flex items-center gap-2 py-0.5">
          <label className="flex items-center gap-2">
            {index + 1}
            <input
              aria-label={`Known distance ${index + 1}`}
              value={one.typed}
              placeholder="100 mm"
              onChange={(event) =>
                onChange(
                  marks.known.map((held, i) =>
                    i === index ? { ...held, typed: event.target.value } : held,
                  ),
                )
              }
              className={`${input} figure w-28 py-1`}
            />
          </label>
          {traced?.misfits[index] !== undefined && (
            <span className="figure text-steel">
              off by {Math.abs(traced.misfits[index]).toFixed(2)} mm
            </span>
          )}
          <Button tone="quiet" onClick={() => onChange(marks.known.filter((_, i) => i !== index))}>
            Take away
          </Button>
        </div>
      ))}
    </fieldset>
  )
}

function Outcome({
  part,
  face,
  traced,
}: {
  part: PartDetail
  face: PartDetail['ports'][number]
  traced: TracedPattern
}) {
  const person = usePerson()
  const [isKept, setKept] = useState(false)
  const keep = async (): Promise<void> => {
    const claim = {
      portId: face.id,
      grade: 'measured' as const,
      plusMinus: traced.plusMinus,
      method: 'rubbing',
      source: 'Traced over a picture',
      by: person.name,
    }
    const done = await act(async () => {
      await call('POST /claims', { body: { ...claim, field: 'holes', value: traced.holes } })
      if (traced.dowels.length > 0)
        await call('POST /claims', { body: { ...claim, field: 'dowels', value: traced.dowels } })
    }, 'Kept as a measurement, with its bound.')
    if (done) setKept(true)
  }
  const template = (paper: string): string =>
    `/api/parts/${encodeURIComponent(part.id)}/faces/${face.slot}/pattern.pdf?paper=${paper}`
  return (
    <section aria-label="What was traced">
      <PatternDrawing
        label={`Traced pattern, ${traced.holes.length} holes`}
        holes={traced.holes}
        dowels={traced.dowels}
      />
      <p>
        {traced.skew === null
          ? 'One scale both ways: nothing tells whether the picture is true. Add two known distances in other directions.'
          : traced.skew < 0.002
            ? 'The picture is true within 0.2 %.'
            : `Held aslant: ${(traced.skew * 100).toFixed(1)} % stretched one way, straightened here.`}{' '}
        {traced.plusMinus === null ? 'Its ± is not known.' : `Known to ± ${traced.plusMinus} mm.`}
      </p>
      {traced.isMirrored && (
        <p className="text-steel">Turned over on the way in, as a face looking that way must be.</p>
      )}
      <Caution>
        Lay the printed template on the block before anything is cut: bar measured, every hole
        looked through. A mirrored plate is a scrapped plate.
      </Caution>
      <Button tone="main" onClick={() => void keep()} disabled={isKept}>
        {isKept ? 'Kept' : 'Keep as a measurement'}
      </Button>
      {isKept && (
        <p className="pt-2">
          <a
            className="text-accent underline"
            href={template('A4')}
            target="_blank"
            rel="noreferrer"
          >
            1:1 template on A4
          </a>
          {' · '}
          <a
            className="text-accent underline"
            href={template('whole')}
            target="_blank"
            rel="noreferrer"
          >
            on one sheet
          </a>
        </p>
      )}
    </section>
  )
}

/** The picture with its marks. A click marks a point; with the keyboard, arrows move the cross (Shift: ten at once), Enter marks. */
function Canvas({
  picture,
  marks,
  first,
  asks,
  onMark,
}: {
  picture: Picture
  marks: Marks
  first: Pixel | null
  asks: string
  onMark: (point: Pixel) => void
}) {
  const svg = useRef<SVGSVGElement>(null)
  const [cross, setCross] = useState<Pixel | null>(null)
  const unit = Math.max(picture.width, picture.height) / 400
  useEffect(
    () =>
      setCross(
        (held) =>
          held && { x: Math.min(held.x, picture.width), y: Math.min(held.y, picture.height) },
      ),
    [picture],
  )
  const click = (event: PointerEvent): void => {
    const box = svg.current!.getBoundingClientRect()
    onMark({
      x: ((event.clientX - box.left) / box.width) * picture.width,
      y: ((event.clientY - box.top) / box.height) * picture.height,
    })
  }
  const press = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? 10 : 1
    const by = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    }[event.key]
    const at = cross ?? { x: picture.width / 2, y: picture.height / 2 }
    if (by) {
      event.preventDefault()
      setCross({
        x: Math.min(picture.width, Math.max(0, at.x + by[0]!)),
        y: Math.min(picture.height, Math.max(0, at.y + by[1]!)),
      })
    } else if (event.key === 'Enter') {
      event.preventDefault()
      onMark(at)
    }
  }
  return (
    <svg
      ref={svg}
      role="application"
      aria-label={`Picture of the face. ${asks} Arrows move the cross, Enter marks.`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: points are marked in it by keyboard.
      tabIndex={0}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className="w-full cursor-crosshair touch-none border border-line bg-ground"
      onPointerDown={click}
      onKeyDown={press}
    >
      <image href={picture.url} width={picture.width} height={picture.height} />
      <g className="fill-none stroke-accent" strokeWidth={unit}>
        {marks.known.map(({ from, to }, index) => (
          <g key={index}>
            <path
              d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
              strokeDasharray={`${unit * 4} ${unit * 2}`}
            />
            <text
              x={(from.x + to.x) / 2}
              y={(from.y + to.y) / 2 - unit * 3}
              fontSize={unit * 9}
              className="figure fill-accent"
              strokeWidth={0}
            >
              {index + 1}
            </text>
          </g>
        ))}
        {[...marks.holes, ...marks.dowels].map(({ centre, edge }, index) => (
          <g key={index}>
            <circle
              cx={centre.x}
              cy={centre.y}
              r={Math.hypot(edge.x - centre.x, edge.y - centre.y)}
            />
            <path
              d={`M${centre.x - unit * 3} ${centre.y}h${unit * 6}M${centre.x} ${centre.y - unit * 3}v${unit * 6}`}
            />
          </g>
        ))}
        {marks.axis && (
          <path
            d={`M${marks.axis.x - unit * 9} ${marks.axis.y}h${unit * 18}M${marks.axis.x} ${marks.axis.y - unit * 9}v${unit * 18}`}
          />
        )}
        {first && <circle cx={first.x} cy={first.y} r={unit * 2} className="fill-accent" />}
        {cross && (
          <path
            className="stroke-clash"
            d={`M${cross.x - unit * 8} ${cross.y}h${unit * 16}M${cross.x} ${cross.y - unit * 8}v${unit * 16}`}
          />
        )}
      </g>
    </svg>
  )
}
