import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import type { Dowel, Hole, Point } from '../../../core/ports/field.ts'
import { usePart } from '../../api/hooks.ts'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { PatternDrawing } from '../../drawing/pattern.tsx'
import { type Found, FoundSheet } from './found-pattern.tsx'
import { FromDistances } from './pattern-from-distances.tsx'
import { FromDxf } from './pattern-from-dxf.tsx'

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
  const [params, change] = useAddress()
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
              onClick={() => change({ port: port.id })}
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
