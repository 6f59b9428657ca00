import { couplingSet } from '../../../core/pairing/coupling.ts'
import { type CompiledPart, compilePart } from '../../../core/ports/index.ts'
import { fromTemplate, templateOf } from '../../../core/templates/index.ts'
import type { Template } from '../../../core/templates/template.ts'
import { engineFigure } from '../../../core/train/engine-figure.ts'
import { gearboxFigure } from '../../../core/train/gearbox-figure.ts'
import { trainFigure } from '../../../core/train/train-figure.ts'
import { transferFigure } from '../../../core/train/transfer-figure.ts'
import type { Layout } from '../../../core/train/vehicle-figure.ts'
import { engineSide } from './engine-side.ts'
import { gearboxSide } from './gearbox-side.ts'
import type { Mark } from './mark.ts'
import { sceneOf } from './scene.ts'
import { TrainPicture } from './train-picture.tsx'
import { transferSide } from './transfer-side.ts'

/** What commonly stands in a vehicle of a layout, so that its card shows where its train is. */
const COMMON: Readonly<Record<Layout, readonly [engine: string, transmission: string]>> = {
  lengthwise: ['iron-four-lengthwise', 'light-four-speed'],
  crosswise: ['alloy-four-crosswise', 'manual-transaxle'],
  mid: ['alloy-four-crosswise', 'manual-transaxle'],
  rear: ['alloy-four-crosswise', 'manual-transaxle'],
  tractor: ['diesel-four-heavy', 'heavy-four-speed'],
}

/** Everything of a type is assumed: its card draws it plainly, and says so in words. */
const plainly = (marks: readonly Mark[]): readonly Mark[] =>
  marks.map((mark) => ({ ...mark, known: true }))

function marksOf(template: Template, part: CompiledPart): readonly Mark[] {
  if (template.kind === 'engine') return engineSide(engineFigure(part))
  if (template.kind === 'transmission') return gearboxSide(gearboxFigure(part))
  if (template.kind === 'transfer-case') return transferSide(transferFigure(part))
  const compiled = (id: string): CompiledPart => compilePart(fromTemplate(templateOf(id)!, id))
  const layout = trainFigure({
    engine: part,
    transmission: part,
    recipient: part,
    coupling: [],
    inserted: [],
  }).vehicle.layout
  const [engine, transmission] = COMMON[layout].map(compiled)
  const { vehicle, train } = sceneOf(
    trainFigure({
      engine: engine!,
      transmission: transmission!,
      recipient: part,
      coupling: couplingSet(transmission!, [], []).parts,
      inserted: [],
    }),
    'side',
  )
  return [...vehicle, ...train]
}

/** A type seen from its left, front to the left, to scale from the lengths it is assumed to have. */
export function TypePicture({ template }: { template: Template }) {
  const part = compilePart(fromTemplate(template, template.id))
  return (
    <TrainPicture
      marks={plainly(marksOf(template, part))}
      width={360}
      height={112}
      label={`${template.words}, from the left`}
      className="h-[104px] w-full"
    />
  )
}
