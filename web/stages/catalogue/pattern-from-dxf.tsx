import { useState } from 'react'
import { call } from '../../api/client.ts'
import type { Found } from './found-pattern.tsx'

/** Patterns read from a drawing file. */
export function FromDxf({ onFound }: { onFound: (found: Found) => void }) {
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
