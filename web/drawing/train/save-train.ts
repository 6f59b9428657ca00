import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { saveFile } from '../../components/table/save-file.ts'
import { sceneOf, VIEW_WORDS, type View } from './scene.ts'
import { trainFile } from './train-file.ts'

/** Saves one view of a train as an SVG, in millimetres. */
export function saveTrain(train: TrainFigure, view: View, name: string): void {
  const { vehicle, train: own } = sceneOf(train, view)
  const title = `${name}, ${VIEW_WORDS[view].toLowerCase()} view`
  saveFile(
    `${title}.svg`,
    new Blob([trainFile([...vehicle, ...own], title)], { type: 'image/svg+xml' }),
  )
}
