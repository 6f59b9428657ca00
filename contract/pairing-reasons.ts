import { z } from 'zod'

const minor = z.number().int().min(0).max(1e15)
const id = z.string().min(1).max(200)
const spread = z.strictObject({ low: minor, likely: minor, high: minor })

/** A pairing as it was weighed when the choice was made. */
export const weighedPairing = z.strictObject({
  engineId: id,
  transmissionId: id,
  transferId: id.nullable(),
  name: z.string().min(1).max(400),
  /** What it came to, beside its money what money does not count; null where it was out, which `out` says why. */
  minor: minor.nullable(),
  out: z.string().max(200).nullable(),
  money: spread.nullable(),
  open: z.number().int().min(0).max(200),
})

/** Why a pairing was chosen: kept with it from that day on. */
export const pairingReasons = z.strictObject({
  /** ISO date. */
  on: z.string().max(10),
  /** In the words of whoever chose it. */
  because: z.string().max(2000).nullable(),
  chosen: weighedPairing,
  beat: z.array(weighedPairing).max(6),
  /** What was not known then. */
  unknown: z.array(z.string().max(300)).max(40),
  /** The pairing that was last told of as coming out better, by its parts. */
  told: z.string().max(700).nullable(),
})
export type PairingReasons = z.output<typeof pairingReasons>
export type WeighedPairing = z.output<typeof weighedPairing>
