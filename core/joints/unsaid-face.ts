import { type AnyPort, type Compiled, fieldOf, isOf, PORT_KINDS } from '../ports/index.ts'

const known = new WeakMap<AnyPort, Compiled<'face'>>()

/** A face of which nobody said which way it looks: it stands on neither side, and a limit that wants one says so. */
const isUnsaid = (port: AnyPort): boolean =>
  isOf(port, 'face') && port.present && port.looks === null

/** What stands where a face is wanted and none looks that way: nothing known, named by what is missing. */
export function faceOrUnsaid(
  ports: readonly AnyPort[],
  found: Compiled<'face'> | undefined,
): Compiled<'face'> {
  const unsaid = found ? undefined : ports.find(isUnsaid)
  if (!unsaid) return found ?? PORT_KINDS.face.missing
  let standIn = known.get(unsaid)
  if (!standIn)
    known.set(
      unsaid,
      (standIn = PORT_KINDS.face.compile(
        { id: '?/face/main', kind: 'face', slot: 'main', claims: {} },
        {
          id: '?',
          name: `${fieldOf(unsaid, 'holes')!.at.partName}: nobody said whether its face looks forward or rearward`,
        },
        undefined,
        false,
      )),
    )
  return standIn
}

/** Ports without faces of which nobody said which way they look. */
export const withoutUnsaid = (ports: readonly AnyPort[]): readonly AnyPort[] =>
  ports.some(isUnsaid) ? ports.filter((port) => !isUnsaid(port)) : ports
