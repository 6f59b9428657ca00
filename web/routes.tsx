import type { ComponentType } from 'react'
import { createBrowserRouter, type RouteObject } from 'react-router'
import { RouteError } from './shell/route-error.tsx'
import { Shell } from './shell/shell.tsx'

/** A page by its address; what goes wrong on it stands in its place. */
const page = (path: string, lazy: () => Promise<{ Component: ComponentType }>): RouteObject => ({
  path,
  lazy,
  errorElement: <RouteError />,
})

/** Lazy routes: each stage loads when it is first opened. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    hydrateFallbackElement: <p />,
    errorElement: <RouteError />,
    children: [
      page('/', () => import('./stages/builds/builds-page.tsx')),
      page('/builds/:build/brief', () => import('./stages/brief/brief-page.tsx')),
      page('/builds/:build/recipient', () => import('./stages/recipient/recipient-page.tsx')),
      page('/builds/:build/recipient/card', () => import('./stages/recipient/card-page.tsx')),
      page('/catalogue/parts/:part/trace', () => import('./stages/catalogue/trace-page.tsx')),
      page('/builds/:build/pairing', () => import('./stages/pairing/pairing-page.tsx')),
      page('/builds/:build/compare', () => import('./stages/compare/compare-page.tsx')),
      page('/builds/:build/measure-next', () => import('./stages/measure-next/card-page.tsx')),
      page('/builds/:build/against', () => import('./stages/against/against-page.tsx')),
      page('/builds/:build/summary', () => import('./stages/summary/summary-page.tsx')),
      page('/builds/:build/road', () => import('./stages/road/road-page.tsx')),
      page('/builds/:build/kits', () => import('./stages/kits/kits-page.tsx')),
      page('/builds/:build/arrivals', () => import('./stages/arrivals/arrivals-page.tsx')),
      page('/builds/:build/known', () => import('./stages/known/known-page.tsx')),
      page('/builds/:build/parts', () => import('./stages/parts/parts-page.tsx')),
      page('/builds/:build/sourcing', () => import('./stages/sourcing/sourcing-page.tsx')),
      page('/builds/:build/budget', () => import('./stages/budget/budget-page.tsx')),
      page('/catalogue', () => import('./stages/catalogue/catalogue-page.tsx')),
      page('/catalogue/beside', () => import('./stages/catalogue/beside-page.tsx')),
      page('/catalogue/conflicts', () => import('./stages/catalogue/conflicts-page.tsx')),
      page('/catalogue/import/:kind', () => import('./stages/importing/import-list-page.tsx')),
      page('/catalogue/check', () => import('./stages/catalogue/check-number-page.tsx')),
      page('/catalogue/new/:what', () => import('./stages/catalogue/new-page.tsx')),
      page('/catalogue/parts/:part', () => import('./stages/catalogue/part-page.tsx')),
      page('/catalogue/kits/:kit', () => import('./stages/catalogue/kit-page.tsx')),
      page('/catalogue/donors/:donor', () => import('./stages/catalogue/donor-page.tsx')),
      page('/catalogue/parts/:part/pattern', () => import('./stages/catalogue/pattern-page.tsx')),
      page('/suppliers', () => import('./stages/suppliers/suppliers-page.tsx')),
      page('/wanted', () => import('./stages/suppliers/wanted-page.tsx')),
      page('/suppliers/import', () => import('./stages/importing/import-offers-page.tsx')),
      page('/settings', () => import('./stages/settings/settings-page.tsx')),
      page('/builds/:build/shop', () => import('./stages/shop/shop-page.tsx')),
      page('/start', () => import('./stages/start/start-page.tsx')),
      page('/builds/:build/first', () => import('./stages/start/first-page.tsx')),
      page('/builds/:build/donors', () => import('./stages/donors/donors-page.tsx')),
      page('/builds/:build/donors/:donor/sheet', () => import('./stages/donors/sheet-page.tsx')),
      page('/builds/:build/mating', () => import('./stages/mating/mating-page.tsx')),
      page('/builds/:build/bench', () => import('./stages/mating/bench-page.tsx')),
      page('/safekeeping', () => import('./stages/safekeeping/safekeeping-page.tsx')),
      { path: '*', lazy: () => import('./shell/not-found.tsx') },
    ],
  },
])
