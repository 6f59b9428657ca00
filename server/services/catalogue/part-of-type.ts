import { COUPLING_SETS, isCouplingKind } from '../../../core/pairing/coupling.ts'
import { kindWords, typedPorts } from '../../../core/ports/part-kinds.ts'
import type { Claim } from '../../../core/quantity/claim.ts'
import { ofYear } from '../../../core/templates/by-age.ts'
import { PATTERN_FAMILIES } from '../../../core/templates/families.ts'
import { fromTemplate, templateOf } from '../../../core/templates/index.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { UnprocessableError } from '../../errors.ts'
import { insertPort, rebuildPortValues } from './one-part.ts'

/**
 * A part made of its type, every value assumed, or of its pattern family, with the coupling pieces that came with it.
 * @throws UnprocessableError where it is not a type of that kind
 */
export async function partOfType(
  tx: Store,
  {
    kind,
    template: id,
    family,
    year,
    name,
    ...row
  }: {
    readonly kind: string
    readonly template?: string | null | undefined
    readonly family?: string | null | undefined
    /** What goes by age is assumed by it. */
    readonly year?: number | null | undefined
  } & Partial<RowOf<'part'>>,
): Promise<RowOf<'part'>> {
  const type = id ? templateOf(id) : undefined
  const template = type && year ? ofYear(type, year) : type
  if (id && template?.kind !== kind)
    throw new UnprocessableError(`"${id}" is not a type of ${kindWords(kind).toLowerCase()}.`, [
      { path: kind, message: 'Not a type that is known.' },
    ])
  const part = await tx.insert('part', {
    massG: template ? template.massKg * 1000 : null,
    isDefault: true,
    ...row,
    kind,
    name:
      name?.trim() ||
      (template
        ? [template.words, year].filter(Boolean).join(', ')
        : `${kindWords(kind)}, ${family}`),
    template: template?.id ?? 'family',
  })
  for (const port of template ? fromTemplate(template, part.id).ports : []) {
    await insertPort(tx, part.id, port)
    for (const [field, claims] of Object.entries(port.claims))
      for (const claim of claims) await insertClaim(tx, port.id, field, claim)
  }
  if (family) await nameFamily(tx, part.id, kind, family)
  await pieces(tx, part.id, kind, part.name)
  await rebuildPortValues(tx, part.id)
  return part
}

const insertClaim = (
  tx: Store,
  portId: string,
  field: string,
  claim: Omit<Claim, 'id'>,
): Promise<RowOf<'claim'>> =>
  tx.insert('claim', {
    portId,
    field,
    value: claim.value,
    plusMinus: claim.plusMinus ?? null,
    grade: claim.grade,
    source: claim.source ?? null,
    saidBy: claim.by ?? null,
    day: null,
    typed: null,
  })

/** A family that is named settles the face: a published standard brings its holes too. */
async function nameFamily(tx: Store, partId: string, kind: string, family: string): Promise<void> {
  const face = typedPorts(kind).find((port) => port.kind === 'face')
  if (!face) return
  const portId = `${partId}/face/${face.slot}`
  await insertPort(tx, partId, { ...face, id: portId, kind: 'face' })
  await insertClaim(tx, portId, 'family', {
    value: family,
    grade: 'heard',
    source: 'Said at the start',
  })
  const standard = PATTERN_FAMILIES.find((one) => one.id === family)
  if (standard)
    await insertClaim(tx, portId, 'holes', {
      value: standard.holes,
      grade: 'heard',
      source: standard.words,
    })
}

/** The coupling pieces that came with it, named and not measured, so that the first measurement has where to go. */
async function pieces(tx: Store, ownerId: string, kind: string, name: string): Promise<void> {
  if (kind !== 'engine' && kind !== 'transmission') return
  const ofEngine = ['flywheel', 'flexplate', 'pilot', 'starter']
  const kinds =
    kind === 'engine'
      ? ofEngine
      : [...new Set([...COUPLING_SETS.manual, ...COUPLING_SETS.automatic])].filter(
          (one) => isCouplingKind(one) && one !== 'separator' && !ofEngine.includes(one),
        )
  for (const one of kinds)
    await tx.insert('part', {
      kind: one,
      name: `${name}, its ${kindWords(one).toLowerCase()}`,
      ownerId,
      isDefault: true,
      template: 'piece',
    })
}
