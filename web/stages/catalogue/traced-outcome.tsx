import { useState } from 'react'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import type { TracedPattern } from '../../../core/patterns/from-trace.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Button, Caution } from '../../components/ui.tsx'
import { PatternDrawing } from '../../drawing/pattern.tsx'

/** What the marks give, with its misfits, and keeping it. */
export function Outcome({
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
