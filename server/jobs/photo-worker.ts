import { FileFault } from '../documents/file-fault.ts'
import { type KeptPhoto, keepPhoto, thumbOf } from '../documents/photo.ts'
import { type BuildZip, readBuildZip } from '../documents/photo-zip.ts'
import { stepBack } from './step-back.ts'

/** What is made of bytes on a thread of its own. */
export interface PhotoWork {
  readonly keep: KeptPhoto
  readonly thumb: Uint8Array
  readonly unzip: BuildZip
}
export interface PhotoTask {
  readonly kind: keyof PhotoWork
  readonly bytes: Uint8Array
}
/** As an answer, not thrown: on its way to another thread an error loses what it is. */
export type PhotoAnswer = { readonly made: PhotoWork[keyof PhotoWork] } | { readonly fault: string }

stepBack()

const WORK = { keep: keepPhoto, thumb: thumbOf, unzip: readBuildZip } as const

export default async function work({ kind, bytes }: PhotoTask): Promise<PhotoAnswer> {
  try {
    return { made: await WORK[kind](bytes) }
  } catch (error) {
    if (error instanceof FileFault) return { fault: error.message }
    throw error
  }
}
