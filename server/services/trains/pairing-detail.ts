import type { JointHardware } from '../../../core/fasteners/bolt-set.ts'
import { hardwareOf } from '../../../core/fasteners/joint-hardware.ts'
import { JOINTS, jointNamed } from '../../../core/joints/index.ts'
import { COUPLING_SETS } from '../../../core/pairing/coupling.ts'
import { torqueLine } from '../../../core/pairing/torque-line.ts'
import { type Assembly, assemble, contextOf as jointContext } from '../../../core/pairing/train.ts'
import { portOf } from '../../../core/ports/index.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { trainFigure } from '../../../core/train/train-figure.ts'
import { type BuildView, contextOf } from '../builds/build-view.ts'
import { runBuildPairing } from './pairing-run.ts'
import { plateOf } from './plate.ts'
import { roadOf } from './road.ts'

/** One pairing as the screen reads it: verdicts, closing sets by name, coupling with what could replace it, what it is drawn from. */
export function pairingDetail(
  view: BuildView,
  engineId: string,
  transmissionId: string,
  transferId: string | null = null,
) {
  const { result, train, insertable, row, heard } = runBuildPairing(
    view,
    engineId,
    transmissionId,
    transferId,
  )
  const name = (id: string): string => view.catalogue.parts.get(id)?.name ?? id
  const inserted = result.chosen.flatMap((id) => insertable.find((part) => part.id === id) ?? [])
  const assembly = assemble({ ...train, inserted })
  const plateMm = inserted.reduce(
    (sum, part) => sum + (portOf(part, 'plate').thicknessMm.v || 0),
    0,
  )
  return {
    ...result,
    engineName: train.engine.name,
    transmissionName: train.transmission.name,
    engineFamily: portOf(train.engine, 'face', 'rearward').family.v,
    transmissionFamily: portOf(train.transmission, 'face', 'forward').family.v,
    chosenPairing: row?.chosen === true && transferId === null,
    joints: result.joints.map((joint) => ({
      ...joint,
      title: jointNamed(joint.joint)?.title ?? joint.joint,
      decides: jointNamed(joint.joint)?.decides ?? '',
      number: jointNamed(joint.joint)?.number ?? 0,
      drawing: jointNamed(joint.joint)?.drawing ?? null,
      hardware: hardwareAt(assembly, joint.joint, plateMm),
      answer: heard.get(joint.joint)?.answer ?? null,
      conflicts: heard.get(joint.joint)?.conflicts ?? [],
    })),
    sets: result.closedBy.map((set) => ({
      ...set,
      names: set.parts.map(name),
      kits: kitsHolding(view, set.parts),
    })),
    chosenNames: result.chosen.map(name),
    coupling: COUPLING_SETS[
      portOf(train.transmission, 'ratios').type.v === 'automatic' ? 'automatic' : 'manual'
    ].flatMap((kind) => {
      const part = train.coupling.find((one) => one.kind === kind)
      const others = view.catalogue.ofKind(kind)
      return part || others.length > 0
        ? [
            {
              kind,
              words: kindWords(kind),
              partId: part?.id ?? null,
              name: part?.name ?? null,
            },
          ]
        : []
    }),
    torqueLine: torqueLine(
      assembly.meetings.whole[0]!.a,
      assembly.meetings.whole[0]!.b,
      jointContext(assembly, contextOf(view)),
    ),
    plate: plateOf(train.engine, train.transmission, result, view.catalogue.tolerances),
    transfer: {
      partId: train.transfer?.id ?? null,
      name: train.transfer?.name ?? null,
      other: transferId,
      isOffered: view.catalogue.ofKind('transfer-case').length > 0,
    },
    train: trainFigure({ ...train, inserted }, contextOf(view).placement),
    road: roadOf(view, train),
    columns: JOINTS.map(({ id, short, title, number }) => ({ id, short, title, number })),
  }
}

/** Bolts and fits of one joint, at each pair of faces that meet there. */
function hardwareAt(assembly: Assembly, joint: string, plateMm: number): JointHardware {
  const all = assembly.meetings[jointNamed(joint)!.meets].map(({ a, b }, index) =>
    hardwareOf(joint, a, b, index === 0 ? plateMm : 0),
  )
  return { bolts: all.flatMap(({ bolts }) => bolts), fits: all.flatMap(({ fits }) => fits) }
}

/** Kits that hold every part of a set. */
function kitsHolding(view: BuildView, parts: readonly string[]): string[] {
  return view.catalogue.trade.kits
    .filter((kit) => parts.every((part) => kit.items.some((item) => item.partId === part)))
    .map((kit) => kit.name)
}
