import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import type { Pixel } from '../../../core/patterns/from-trace.ts'
import { parseQuantity } from '../../../core/quantity/units.ts'
import { usePart, useReading } from '../../api/hooks.ts'
import { Field } from '../../components/fields/field.tsx'
import { Select } from '../../components/fields/select.tsx'
import { Button, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { KnownDistances } from './known-distances.tsx'
import { Canvas } from './trace-canvas.tsx'
import { BLANK, type Marks, type Picture, TOOLS, type Tool, trace } from './trace-marks.ts'
import { Outcome } from './traced-outcome.tsx'

const ASKS: Readonly<Record<Tool, readonly [string, string]>> = {
  known: ['Mark one end of the scale bar, or of any distance you measured.', 'Mark its other end.'],
  axis: ['Mark the middle of the crank or register bore.', ''],
  hole: ['Mark the middle of a hole.', 'Mark a point on its edge.'],
  dowel: ['Mark the middle of a dowel.', 'Mark a point on its edge.'],
}

const VIEWS = [
  { value: 'looking at the face', words: 'as I see it, looking at it' },
  { value: 'mirrored', words: 'mirrored: a rubbing turned over, a scan from behind' },
] as const

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
          <Field label="The picture shows the face">
            {({ id }) => (
              <Select
                id={id}
                value={marks.view}
                options={VIEWS}
                onChange={(view) => set({ view })}
              />
            )}
          </Field>
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
