import clsx from 'clsx'
import { Suspense, useEffect } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link, NavLink, Outlet, useLocation, useMatch, useNavigate } from 'react-router'
import { useBuild } from '../api/hooks.ts'
import { Failed, Loading } from '../components/ui.tsx'
import { BuildTotals } from './build-totals.tsx'
import { KeysSheet } from './keys-sheet.tsx'
import { STAGES } from './stages.ts'

const OUTSIDE = [
  { to: '/', words: 'Builds' },
  { to: '/catalogue', words: 'Catalogue' },
  { to: '/suppliers', words: 'Suppliers' },
  { to: '/settings', words: 'Settings' },
] as const

/** Header, stage rail, and the stage. The build last open stays on the rail while one looks things up. */
export function Shell() {
  const match = useMatch('/builds/:build/*')
  const here = match?.params.build
  useEffect(() => {
    if (here) sessionStorage.setItem('build', here)
  }, [here])
  const build = here ?? sessionStorage.getItem('build') ?? undefined
  const { data: header, error } = useBuild(build)
  const shown = error ? undefined : header
  const navigate = useNavigate()
  for (const stage of STAGES) {
    // biome-ignore lint/correctness/useHookAtTopLevel: STAGES is a constant, so the hooks run in the same order.
    useHotkeys(`alt+${stage.digit}`, () => build && navigate(`/builds/${build}/${stage.id}`), { preventDefault: true, enableOnFormTags: true }, [build])
  }
  const { pathname } = useLocation()
  return (
    <div className="grid h-screen grid-cols-[148px_minmax(0,1fr)] grid-rows-[56px_minmax(0,1fr)] max-[900px]:grid-cols-[112px_minmax(0,1fr)]">
      <header className="col-span-2 flex items-center border-b border-ink bg-paper">
        <Link to="/" className="w-[148px] shrink-0 pl-4 text-[19px] font-extrabold tracking-wide [font-stretch:112%] max-[900px]:w-[112px]">
          Junket
        </Link>
        {shown && <BuildTotals header={shown} />}
      </header>
      <nav aria-label="Stages" className="flex flex-col overflow-y-auto bg-bench py-2.5">
        {build &&
          STAGES.map((stage) => (
            <RailLink key={stage.id} to={`/builds/${build}/${stage.id}`} words={stage.words} count={shown?.open[stage.id as 'brief'] ?? 0} digit={stage.digit} />
          ))}
        {build && <hr className="mx-3 my-4 border-line" />}
        {OUTSIDE.map((item) => (
          <RailLink key={item.to} to={item.to} words={item.words} count={0} end={item.to === '/'} />
        ))}
        <div className="mt-auto px-3 pt-4">
          <KeysSheet />
        </div>
      </nav>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard. */}
      <main className="min-h-0 overflow-y-auto focus-visible:-outline-offset-2" tabIndex={0} key={here ?? 'outside'}>
        <ErrorBoundary resetKeys={[pathname]} fallbackRender={({ error: fault, resetErrorBoundary }) => <Failed error={fault} retry={resetErrorBoundary} />}>
          <Suspense fallback={<Loading what="the page" />}>
            <Outlet />
          </Suspense>
        </ErrorBoundary>
      </main>
    </div>
  )
}

function RailLink({ to, words, count, digit, end = false }: { to: string; words: string; count: number; digit?: number; end?: boolean }) {
  return (
    <NavLink
      to={to}
      end={end}
      title={digit === undefined ? words : `${words} (Alt+${digit})`}
      className={({ isActive }) =>
        clsx('flex items-center border-l-[3px] py-1.5 pl-3 pr-3.5', isActive ? 'border-accent bg-paper font-bold' : 'border-transparent hover:bg-paper/60')
      }
    >
      {words}
      {count > 0 && <span className="figure ml-auto font-normal text-steel">{count}</span>}
    </NavLink>
  )
}
