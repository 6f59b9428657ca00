import type { Problem } from './problem.ts'

/** Hard enough that no machine proves it at once. Many equal choices under a budget of suppliers. */
export const HARD: Problem = {
  currency: 'EUR',
  needs: Array.from({ length: 120 }, (_, n) => ({ id: `n${n}`, quantity: 1 })),
  candidates: Array.from({ length: 2400 }, (_, c) => ({
    id: `c${c}`,
    need: `n${c % 120}`,
    source: 'buy' as const,
    supplier: `s${(c * 7) % 23}`,
    priceMinor: 1000 + ((c * 7919) % 997),
    weightG: 200 + ((c * 31) % 900),
  })),
  bundles: [],
  suppliers: Array.from({ length: 23 }, (_, s) => ({
    id: `s${s}`,
    minimumMinor: 3000 + s * 100,
    shipping: [
      { id: 'a', chargeMinor: 500 + s * 13, upToG: 2500 },
      { id: 'b', chargeMinor: 1400 + s * 17 },
      { id: 'f', chargeMinor: 0, fromMinor: 14_000 + s * 500 },
    ],
  })),
  limits: { maxSuppliers: 9 },
}
