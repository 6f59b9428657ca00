import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { saveFile } from '../../components/table/save-file.ts'
import type { Mark } from './mark.ts'
import { matingPlane } from './mating-plane.ts'
import { sceneOf, VIEW_WORDS, type View } from './scene.ts'
import { trainFile } from './train-file.ts'

/** Saves one view of a train, or its mating plane in section, as an SVG, in millimetres. */
export function saveTrain(train: TrainFigure, view: View | 'section', name: string): void {
  const [words, marks] =
    view === 'section'
      ? (['mating plane', matingPlane(train.mating)] as const)
      : ([`${VIEW_WORDS[view].toLowerCase()} view`, whole(train, view)] as const)
  const title = `${name}, ${words}`
  saveFile(`${title}.svg`, new Blob([trainFile(marks, title)], { type: 'image/svg+xml' }))
}

function whole(train: TrainFigure, view: View): readonly Mark[] {
  const { vehicle, train: own } = sceneOf(train, view)
  return [...vehicle, ...own]
}
