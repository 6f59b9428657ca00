import { Link } from 'react-router'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, Empty, Loaded, Money, PageHead } from '../../components/ui.tsx'

/** All builds, and the start of a new one. */
export function Component() {
  const builds = useAnswer('GET /builds')
  return (
    <>
      <PageHead title="Builds" detail={builds.data && `${builds.data.items.length} here`}>
        <HistoryButton entity="build" title="builds" />
        <ReadDocument />
        <ButtonLink to="/start" tone="main">
          Start a build
        </ButtonLink>
      </PageHead>
      <Loaded of={builds} what="the builds">
        {({ items }) =>
          items.length === 0 ? (
            <Empty
              action={
                <ButtonLink to="/start" tone="main">
                  Start a build
                </ButtonLink>
              }
            >
              A build is one swap, from idea to first thousand kilometres. Name it, say which
              vehicle it is for, and Junket works out what fits, what is needed and what it costs.
            </Empty>
          ) : (
            <table className="w-full">
              <thead>
                <tr className="border-b border-ink">
                  <th className="py-1.5 pl-4">Build</th>
                  <th>Pairing</th>
                  <th className="text-right">Likely</th>
                  <th className="text-right">Like-for-like</th>
                  <th className="pl-6">Next</th>
                  <th aria-label="Actions" />
                </tr>
              </thead>
              <tbody>
                {items.map(({ build, recipient, pairing, totals, next }) => (
                  <tr key={build.id} className="border-b border-line">
                    <td className="py-2 pl-4">
                      <Link
                        to={`/builds/${build.id}/pairing`}
                        className="font-bold text-accent underline underline-offset-2"
                      >
                        {build.name}
                      </Link>
                      <div className="text-steel">{recipient ?? 'No recipient yet'}</div>
                    </td>
                    <td>{pairing ?? <span className="text-steel">Not chosen</span>}</td>
                    <td className="text-right">
                      <Money minor={totals?.likelyMinor} currency={build.currency} whole />
                    </td>
                    <td className="text-right">
                      <Money minor={build.likeForLikeMinor} currency={build.currency} whole />
                    </td>
                    <td className="pl-6">
                      <Link
                        to={`/builds/${build.id}/${next.stage}`}
                        className="text-accent underline underline-offset-2"
                      >
                        {next.words}
                      </Link>
                    </td>
                    <td className="pr-4 text-right">
                      <a
                        href={`/api/builds/${build.id}/export.json`}
                        className="mr-3 text-accent underline underline-offset-2"
                      >
                        Export JSON
                      </a>
                      <Button
                        tone="quiet"
                        onClick={() =>
                          void removeWithUndo(
                            'DELETE /builds/{id}',
                            { params: { id: build.id } },
                            `${build.name} is in the trash.`,
                          )
                        }
                      >
                        Remove
                      </Button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )
        }
      </Loaded>
    </>
  )
}

/** Reads a build document from a file, all or nothing. */
function ReadDocument() {
  return (
    <label className="inline-flex cursor-pointer items-center rounded border border-ink bg-ground px-3 py-1.5 font-semibold focus-within:outline-2 focus-within:outline-accent hover:bg-bench">
      Read a build file
      <input
        type="file"
        accept="application/json,.json"
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file)
            void act(
              async () => call('POST /builds/import', { body: file }),
              `${file.name} was read in.`,
            )
        }}
      />
    </label>
  )
}
