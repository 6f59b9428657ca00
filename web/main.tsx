import './plain-schemas.ts'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { RouterProvider } from 'react-router/dom'
import { Toaster } from 'sonner'
import { SWRConfig } from 'swr'
import { fetcher } from './api/client.ts'
import { router } from './routes.tsx'
import { showTheme } from './shell/theme.ts'
import './styles.css'

showTheme()

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <SWRConfig value={{ fetcher, keepPreviousData: true, shouldRetryOnError: false }}>
      <RouterProvider router={router} />
      <Toaster
        position="bottom-right"
        toastOptions={{
          style: {
            borderRadius: 3,
            fontFamily: 'inherit',
            color: 'var(--color-ink)',
            background: 'var(--color-ground)',
            border: '1px solid var(--color-ink)',
            boxShadow: 'none',
          },
        }}
      />
    </SWRConfig>
  </StrictMode>,
)
