import type { Owner } from './half.ts'
import type { Read } from './read.ts'
import { fieldAt, portAt, type Scene } from './scene.ts'

/** A read leans on both halves at once: such a train is judged whole. */
export class UnsplitError extends Error {
  override readonly name = 'UnsplitError'
}

/** Splits what a scene reads by who brings it: 0 where the part is one of the engine's, else 1. A piece nobody named is nobody's, and goes to 1. */
export function ownerOf(scene: Scene, isEngines: (part: string) => boolean): Owner {
  const by = (part: string): 0 | 1 => (isEngines(part) ? 0 : 1)
  const together = (one: 0 | 1 | null, other: 0 | 1 | null): 0 | 1 | null => {
    if (one !== other)
      throw new UnsplitError(
        'A value is chosen between what the engine and what the gearbox brings.',
      )
    return one
  }
  const parts = scene.stack.map((part) => by(part.id))
  const read = (one: Read): 0 | 1 | null => {
    const own = leaf(one)
    return (one.only ?? []).reduce(
      (owner, gate) => ('word' in gate ? together(owner, read(gate.word)) : owner),
      own,
    )
  }
  const leaf = ({ source }: Read): 0 | 1 | null => {
    switch (source.at) {
      case 'side':
        return by(fieldAt(scene, source).at.part)
      case 'head':
        return by(portAt(scene, source.side, source.slot).part)
      case 'each':
        return by(scene.each!.part)
      case 'item':
      case 'known':
      case 'strongest':
        return read(source.of)
      case 'computed':
        return Object.values(source.measure.reads).map(read).reduce(together)
      case 'either':
        return together(read(source.one), read(source.other))
      case 'sum': {
        const owners = source.terms.map(({ of }) => read(of))
        return owners.every((owner) => owner === owners[0]) ? (owners[0] ?? 0) : null
      }
      case 'stack':
        return parts.includes(1) ? (parts.includes(0) ? null : 1) : 0
    }
  }
  const known = new Map<Read, 0 | 1 | null>()
  const remembered = (one: Read): 0 | 1 | null => {
    let owner = known.get(one)
    if (owner === undefined) known.set(one, (owner = read(one)))
    return owner
  }
  return { read: remembered, part: (index) => parts[index]! }
}
