import { createBrowserRouter } from 'react-router'
import { RouteError } from './shell/route-error.tsx'
import { Shell } from './shell/shell.tsx'

/** Lazy routes: each stage loads when it is first opened. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    hydrateFallbackElement: <p />,
    errorElement: <RouteError />,
    children: [
      {
        path: '/',
        lazy: () => import('./stages/builds/builds-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/brief',
        lazy: () => import('./stages/brief/brief-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/recipient',
        lazy: () => import('./stages/recipient/recipient-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/recipient/card',
        lazy: () => import('./stages/recipient/card-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/catalogue/parts/:part/trace',
        lazy: () => import('./stages/catalogue/trace-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/pairing',
        lazy: () => import('./stages/pairing/pairing-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/parts',
        lazy: () => import('./stages/parts/parts-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/sourcing',
        lazy: () => import('./stages/sourcing/sourcing-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/budget',
        lazy: () => import('./stages/budget/budget-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/catalogue',
        lazy: () => import('./stages/catalogue/catalogue-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/catalogue/new/:what',
        lazy: () => import('./stages/catalogue/new-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/catalogue/parts/:part',
        lazy: () => import('./stages/catalogue/part-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/catalogue/parts/:part/pattern',
        lazy: () => import('./stages/catalogue/pattern-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/suppliers',
        lazy: () => import('./stages/suppliers/suppliers-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/suppliers/import',
        lazy: () => import('./stages/suppliers/import-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/settings',
        lazy: () => import('./stages/settings/settings-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/shop',
        lazy: () => import('./stages/shop/shop-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/start',
        lazy: () => import('./stages/start/start-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/first',
        lazy: () => import('./stages/start/first-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/donors',
        lazy: () => import('./stages/donors/donors-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/donors/:donor/sheet',
        lazy: () => import('./stages/donors/sheet-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/mating',
        lazy: () => import('./stages/mating/mating-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/builds/:build/bench',
        lazy: () => import('./stages/mating/bench-page.tsx'),
        errorElement: <RouteError />,
      },
      {
        path: '/safekeeping',
        lazy: () => import('./stages/safekeeping/safekeeping-page.tsx'),
        errorElement: <RouteError />,
      },
      { path: '*', lazy: () => import('./shell/not-found.tsx') },
    ],
  },
])
