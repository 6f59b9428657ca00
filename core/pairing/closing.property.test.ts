import { expect, test } from 'vitest'
import { demoDocument } from '../../demo/index.ts'
import { CODES, UNMEASURED, WORK } from '../joints/code.ts'
import { jointNamed } from '../joints/index.ts'
import { tolerances } from '../joints/tolerances.ts'
import type { Verdict } from '../joints/verdict.ts'
import { type CompiledPart, compilePart } from '../ports/index.ts'
import { GRADES } from '../quantity/grade.ts'
import { closingSets, insertionPlace } from './closing.ts'
import { couplingSet } from './coupling.ts'
import { recordTrain } from './pairing.ts'
import { assemble, contextOf, recordJoint, type Train } from './train.ts'

const { tables } = demoDocument()
const rows = tables.part as { id: string; kind: string; name: string; ownerId?: string }[]
const ctx = { tolerances: tolerances(), use: 'delivery' as const }

/** A part of the demo, its lengths shifted by so much: 0 as it is. */
function partOf({ id, kind, name }: (typeof rows)[number], by = 0, of = id): CompiledPart {
  const ports = tables
    .port!.filter((port) => port.partId === of)
    .map((port) => {
      const claims: Record<string, any[]> = {}
      for (const claim of tables.claim!.filter((one) => one.portId === port.id)) {
        const value =
          typeof claim.value === 'number' && !Number.isInteger(claim.value)
            ? claim.value + by
            : claim.value
        ;(claims[String(claim.field)] ??= []).push({ ...claim, value })
      }
      return {
        id: `${id}/${port.kind}/${port.slot}`,
        kind: String(port.kind),
        slot: String(port.slot),
        looks: port.looks as 'forward' | undefined,
        claims,
      }
    })
  return compilePart({ id, kind, name, ports })
}
const parts = new Map(rows.map((row) => [row.id, partOf(row)]))
const ownedBy = (owner: string): CompiledPart[] =>
  rows.filter((row) => row.ownerId === owner).map((row) => parts.get(row.id)!)
const loose = rows.filter((row) => insertionPlace(parts.get(row.id)!) !== null && !row.ownerId)
/** The demo's plates, spacers and pilots, its wheels, and each again a little off. */
const catalogue = [
  ...loose.flatMap((row) =>
    [0, 0.02, -0.4].map((by) =>
      partOf({ ...row, id: by === 0 ? row.id : `${row.id} ${by}` }, by, row.id),
    ),
  ),
  ...rows
    .filter((row) => row.kind === 'flywheel')
    .flatMap((row, i) =>
      i % 4 === 0 ? [partOf({ ...row, id: `loose ${row.id}` }, 0, row.id)] : [],
    ),
]
const cost = (id: string): number =>
  [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 997, 7)

/** The same by the sentence: every part at its place, every pair of places, every joint of each recorded. */
function byTrying(train: Train, bare: readonly Verdict[]): object[] {
  const mates = (part: CompiledPart): boolean => {
    const joint = { face: 'block-face', flange: 'crank-flange', pilot: 'pilot' }[
      insertionPlace(part)!
    ]
    const assembly = assemble({ ...train, inserted: [part] })
    const verdict = recordJoint(jointNamed(joint)!, assembly, contextOf(assembly, ctx))
    return verdict !== null && CODES.indexOf(verdict.code) <= WORK
  }
  const tried = catalogue.filter(mates)
  const at = (place: string): CompiledPart[] =>
    tried.filter((part) => insertionPlace(part) === place)
  const sets: CompiledPart[][] = [
    ...tried.map((part) => [part]),
    ...(['face flange', 'face pilot', 'flange pilot'] as const).flatMap((two) =>
      at(two.split(' ')[0]!).flatMap((p) => at(two.split(' ')[1]!).map((q) => [p, q])),
    ),
  ]
  const found: { parts: string[]; closes: string; weakest: number; cost: number }[] = []
  for (const inserted of sets) {
    if (
      found.some(
        (set) =>
          set.closes === 'yes' && set.parts.every((id) => inserted.some((part) => part.id === id)),
      )
    )
      continue
    let [isOpen, fails, weakest] = [false, false, 6]
    const now = recordTrain({ ...train, inserted }, ctx)
    for (const before of bare.filter(({ joint }) => jointNamed(joint)!.place === 'coupling')) {
      const after = now.find(({ joint }) => joint === before.joint)
      if (!after) continue
      weakest = Math.min(weakest, after.evidence === null ? 6 : GRADES.indexOf(after.evidence))
      const [code, was] = [CODES.indexOf(after.code), CODES.indexOf(before.code)]
      const bridged = before.limits.some((limit) => limit.code === 'bridge')
      if (code <= WORK || (!bridged && code <= was && code !== UNMEASURED)) continue
      if (code !== UNMEASURED) fails = true
      else if (bridged || was !== UNMEASURED) {
        if (after.limits.some((limit) => limit.code === 'bridge')) fails = true
        else isOpen = true
      }
    }
    if (!fails)
      found.push({
        parts: inserted.map(({ id }) => id),
        closes: isOpen ? 'may' : 'yes',
        weakest,
        cost: inserted.reduce((sum, { id }) => sum + cost(id), 0),
      })
  }
  const rank = (closes: string): number => (closes === 'yes' ? 0 : 1)
  return found
    .sort(
      (p, q) =>
        rank(p.closes) - rank(q.closes) ||
        p.parts.length - q.parts.length ||
        q.weakest - p.weakest ||
        p.cost - q.cost ||
        (p.parts.join() < q.parts.join() ? -1 : 1),
    )
    .map(({ parts, closes }) => ({ parts, closes }))
}

test.each(['wick-1', 'wick-2', 'quill-early', 'quill-late', 'anvil', 'hob'])(
  'sets found by leaving out what cannot close are those of trying all: %s with every gearbox of the demo',
  (engine) => {
    let closing = 0
    for (const box of rows.filter(({ kind }) => kind === 'transmission').slice(0, 9)) {
      const transmission = parts.get(box.id)!
      const train: Train = {
        engine: parts.get(engine)!,
        transmission,
        recipient: parts.get('packet')!,
        coupling: couplingSet(transmission, ownedBy(engine), ownedBy(box.id)).parts,
        inserted: [],
      }
      const bare = recordTrain(train, ctx)
      const sets = closingSets(train, bare, ctx, catalogue, { cost }).map(({ parts, closes }) => ({
        parts,
        closes,
      }))
      const all = byTrying(train, bare)
      expect([box.id, sets]).toEqual([box.id, all.slice(0, 60)])
      closing += all.length
    }
    if (engine !== 'hob') expect(closing).toBeGreaterThan(0)
  },
)
