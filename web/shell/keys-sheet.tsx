import { useState } from 'react'
import { Dialog } from '../components/dialog.tsx'
import { Button } from '../components/ui.tsx'
import { usePageKey } from '../components/use-page-key.ts'

const KEYS = [
  ['/', 'Find anywhere: builds, parts, numbers, joints, donors, actions'],
  ['Alt+1 2 3 4 7 8', 'Brief, Pairing, Donors, Parts, Sourcing, Budget'],
  ['j  k', 'Next and previous line'],
  ['← →', 'Previous and next joint, in Pairing; line, in shop mode'],
  ['Enter', 'Open what has the focus'],
  ['w', 'Why: the sheet of the selected joint or line'],
  ['c', 'Pick the marked pairing to be compared, or take it out'],
  ['m', 'Record a measurement for the selected joint'],
  ['l', 'Lock the selected source, in Sourcing'],
  ['a', 'Add a line of your own, in Parts'],
  ['x', 'Drop the selected line, in Parts'],
  ['Ctrl+Z', 'Undo the last thing done on this page'],
  ['Esc', 'Close'],
  ['?', 'This sheet'],
] as const

/** The `?` sheet. */
export function KeysSheet() {
  const [open, setOpen] = useState(false)
  usePageKey('shift+?', () => setOpen(true), { useKey: true })
  return (
    <>
      <Button tone="quiet" onClick={() => setOpen(true)}>
        Keys ?
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="Keys">
        <dl className="grid grid-cols-[auto_1fr]">
          {KEYS.map(([keys, words]) => (
            <div
              key={keys}
              className="col-span-2 grid grid-cols-subgrid border-t border-line py-1.5"
            >
              <dt className="figure pr-4">{keys}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    </>
  )
}
