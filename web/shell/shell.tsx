import clsx from 'clsx'
import { lazy, Suspense, useEffect } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { useHotkeys } from 'react-hotkeys-hook'
import { Link, NavLink, Outlet, useLocation, useMatch, useNavigate } from 'react-router'
import { useAnswer } from '../api/answer.ts'
import { useEvents } from '../api/events.ts'
import { useBuild } from '../api/hooks.ts'
import { undoNewest } from '../api/undo.ts'
import { Button, Failed, Loading } from '../components/ui.tsx'
import { usePageKey } from '../components/use-page-key.ts'
import { BenchPerson } from './bench-person.tsx'
import { BuildTotals } from './build-totals.tsx'
import { Find } from './find.tsx'
import { useFocusKept } from './focus.ts'
import { KeysSheet } from './keys-sheet.tsx'
import { PhoneCode } from './phone-code.tsx'
import { usePrintPage } from './print-page.ts'
import { SetAsideNotice } from './set-aside-notice.tsx'
import { STAGES } from './stages.ts'
import { setTheme, useTheme } from './theme.ts'
import { useFollowingPlan } from './use-following-plan.ts'

// Seldom asked for: its form is loaded then.
const SignIn = lazy(() => import('./sign-in.tsx'))

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
    if (stage.digit === null) continue
    // biome-ignore lint/correctness/useHookAtTopLevel: STAGES is a constant, so the hooks run in the same order.
    useHotkeys(
      `alt+${stage.digit}`,
      () => build && navigate(`/builds/${build}/${stage.id}`),
      { preventDefault: true, enableOnFormTags: true },
      [build],
    )
  }
  const { pathname } = useLocation()
  useFollowingPlan(shown, pathname.endsWith('/sourcing'))
  const session = useAnswer('GET /session').data
  const asksPasscode = session?.asks === true && !session.signedIn
  const { isConnected } = useEvents(session !== undefined && !asksPasscode)
  usePageKey('mod+z', () => void undoNewest(), { preventDefault: true })
  useFocusKept()
  usePrintPage()
  const theme = useTheme()
  if (asksPasscode)
    return (
      <Suspense>
        <SignIn />
      </Suspense>
    )
  if (pathname.endsWith('/shop')) return <Outlet />
  return (
    <div className="grid h-[calc(100dvh-var(--told))] grid-cols-[148px_minmax(0,1fr)] grid-rows-[56px_minmax(0,1fr)] max-[900px]:grid-cols-[112px_minmax(0,1fr)] max-[560px]:grid-cols-1 max-[560px]:grid-rows-[auto_auto_minmax(0,1fr)] print:block print:h-auto">
      <header className="col-span-2 flex items-center max-[560px]:col-span-1 max-[560px]:flex-wrap max-[560px]:gap-y-1 max-[560px]:py-1.5 border-b border-ink bg-paper print:hidden">
        <Link
          to="/"
          className="w-[148px] shrink-0 pl-4 text-[19px] font-extrabold tracking-wide [font-stretch:112%] max-[900px]:w-[112px] max-[560px]:w-[92px]"
        >
          Junket
        </Link>
        {shown && <BuildTotals header={shown} />}
      </header>
      <nav
        aria-label="Stages"
        className="flex flex-col overflow-y-auto bg-bench py-2.5 print:hidden max-[560px]:flex-row max-[560px]:items-center max-[560px]:overflow-x-auto max-[560px]:py-0"
      >
        {build &&
          STAGES.map((stage) => (
            <RailLink
              key={stage.id}
              to={`/builds/${build}/${stage.id}`}
              words={stage.words}
              count={shown?.open[stage.id as 'brief'] ?? 0}
              {...(stage.digit === null ? {} : { digit: stage.digit })}
            />
          ))}
        {build && <hr className="mx-3 my-4 border-line max-[560px]:hidden" />}
        {OUTSIDE.map((item) => (
          <RailLink key={item.to} to={item.to} words={item.words} count={0} end={item.to === '/'} />
        ))}
        <div className="mt-auto flex flex-col items-start gap-1 px-3 pt-4 max-[560px]:m-0 max-[560px]:flex-row max-[560px]:items-center max-[560px]:gap-3 max-[560px]:whitespace-nowrap max-[560px]:pt-0">
          <BenchPerson />
          {build && (
            <Link
              to={`/builds/${build}/shop`}
              className="px-1 text-accent underline underline-offset-2"
            >
              Shop mode
            </Link>
          )}
          <Button tone="quiet" onClick={() => setTheme(theme === 'late' ? 'day' : 'late')}>
            {theme === 'late' ? 'Day bench' : 'Late bench'}
          </Button>
          <PhoneCode />
          <Find build={build} />
          <KeysSheet />
        </div>
      </nav>
      <main
        className="min-h-0 overflow-y-auto focus-visible:-outline-offset-2 print:overflow-visible"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard.
        tabIndex={0}
        key={here ?? 'outside'}
      >
        {!isConnected && (
          <p role="status" className="border-b border-clash bg-bench px-4 py-1.5">
            Junket does not answer just now. What you type is kept here and can be saved when it is
            back.
          </p>
        )}
        <SetAsideNotice />
        <ErrorBoundary
          resetKeys={[pathname]}
          fallbackRender={({ error: fault, resetErrorBoundary }) => (
            <Failed error={fault} retry={resetErrorBoundary} />
          )}
        >
          <Suspense fallback={<Loading what="the page" />}>
            <Outlet />
          </Suspense>
        </ErrorBoundary>
      </main>
    </div>
  )
}

function RailLink({
  to,
  words,
  count,
  digit,
  end = false,
}: {
  to: string
  words: string
  count: number
  digit?: number
  end?: boolean
}) {
  return (
    <NavLink
      to={to}
      end={end}
      title={digit === undefined ? words : `${words} (Alt+${digit})`}
      className={({ isActive }) =>
        clsx(
          'flex items-center gap-1.5 border-l-[3px] py-1.5 pl-3 pr-3.5',
          isActive ? 'border-accent bg-paper font-bold' : 'border-transparent hover:bg-paper/60',
        )
      }
    >
      {words}
      {count > 0 && <span className="figure ml-auto font-normal text-steel">{count}</span>}
    </NavLink>
  )
}
