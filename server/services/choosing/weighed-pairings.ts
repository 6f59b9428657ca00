import type { WeighedPairing } from '../../../contract/pairing-reasons.ts'
import { briefLimits } from '../../../core/brief/limits.ts'
import { convert } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { ROW_CURRENCY } from '../../../core/needs/line.ts'
import { codeOfLetter } from '../../../core/pairing/code-letters.ts'
import { weigh, weightsOf } from '../../../core/pairing/weigh.ts'
import type { Store } from '../../database/store.ts'
import { sheetAnswers } from '../builds/build-sheets.ts'
import type { BuildView } from '../builds/build-view.ts'
import { readSettings } from '../shop/settings.ts'
import { allFigures, type PairOf } from './pairing-figures.ts'

/** Pairings as they weigh now under the brief, by what the shop weighs them by. */
export async function weighed(
  store: Store,
  view: BuildView,
  pairs: readonly PairOf[],
): Promise<readonly WeighedPairing[]> {
  const { build, catalogue } = view
  const [figures, brief, settings] = await Promise.all([
    allFigures(store, view, pairs),
    sheetAnswers(store, build.id, 'brief'),
    readSettings(store),
  ])
  const rate = rateBetween(catalogue.trade.rates, ROW_CURRENCY, build.currency)
  const euroMinor = rate === null ? 100 : convert(100, ROW_CURRENCY, build.currency, rate)
  const limits = briefLimits(brief, build.currency)
  const weights = weightsOf(settings.weights)
  const name = (id: string): string => catalogue.parts.get(id)?.name ?? id
  return figures.map((one) => {
    const codes = [...one.codes].flatMap((letter, i) => {
      const closed = one.closed[i]
      return codeOfLetter(closed === '-' ? letter : closed) ?? []
    })
    const found = weigh({ ...one, codes }, limits, weights, euroMinor)
    const { engineId, transmissionId, transferId } = one
    return {
      engineId,
      transmissionId,
      transferId,
      name: [
        `${name(engineId)} with ${name(transmissionId)}`,
        ...(transferId === null ? [] : [name(transferId)]),
      ].join(' and '),
      minor: 'out' in found ? null : found.minor,
      out: 'out' in found ? found.out : null,
      money: one.money,
      open: one.open,
    }
  })
}

/** The lightest first; what is out last. */
export const byWeight = (p: WeighedPairing, q: WeighedPairing): number =>
  (p.minor ?? Infinity) - (q.minor ?? Infinity)
