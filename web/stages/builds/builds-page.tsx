import { Link } from 'react-router'
import type { BuildHeader } from '../../../contract/answers/builds.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead, Span } from '../../components/ui.tsx'

const COLUMNS: readonly Column<BuildHeader>[] = [
  {
    id: 'name',
    head: 'Build',
    isFixed: true,
    value: ({ build, recipient }) => [build.name, recipient].filter(Boolean).join(', '),
    cell: ({ build, recipient }) => (
      <>
        <Link
          to={`/builds/${build.id}/pairing`}
          className="font-bold text-accent underline underline-offset-2"
        >
          {build.name}
        </Link>
        <div className="text-steel">{recipient ?? 'No recipient yet'}</div>
      </>
    ),
  },
  {
    id: 'pairing',
    head: 'Pairing',
    value: ({ pairing }) => pairing,
    cell: ({ pairing }) => pairing ?? <span className="text-steel">Not chosen</span>,
  },
  {
    id: 'likely',
    head: 'Likely',
    align: 'right',
    value: ({ totals }) => totals?.middleMinor,
    cell: ({ totals, build }) => totals && <Span range={totals.likely} currency={build.currency} />,
  },
  moneyColumn(
    'repair',
    'Like-for-like',
    ({ build }) => build.likeForLikeMinor,
    ({ build }) => build.currency,
    true,
  ),
  {
    id: 'next',
    head: 'Next',
    value: ({ next }) => next.words,
    cell: ({ build, next }) => (
      <Link
        to={`/builds/${build.id}/${next.stage}`}
        className="text-accent underline underline-offset-2"
      >
        {next.words}
      </Link>
    ),
  },
  {
    id: 'actions',
    head: 'Actions',
    isActions: true,
    align: 'right',
    value: () => null,
    cell: ({ build }) => (
      <>
        <a
          href={`/api/builds/${build.id}/export.json`}
          className="mr-3 text-accent underline underline-offset-2"
        >
          Export JSON
        </a>
        <a
          href={`/api/builds/${build.id}/export.zip`}
          className="mr-3 text-accent underline underline-offset-2"
        >
          with photos
        </a>
        <Button
          tone="quiet"
          className="mr-3"
          aria-label={`Copy ${build.name}`}
          onClick={() =>
            void act(
              () =>
                call('POST /builds/{id}/copy', {
                  params: { id: build.id },
                  body: { name: `${build.name}, copy` },
                }),
              `${build.name}, copy: all that was decided and typed. Its plan is to be solved.`,
            )
          }
        >
          Copy
        </Button>
        <Button
          tone="quiet"
          aria-label={`Remove ${build.name}`}
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
      </>
    ),
  },
]

/** All builds, and the start of a new one. */
export function Component() {
  const builds = useAnswer('GET /builds')
  return (
    <>
      <PageHead title="Builds" detail="Each is one swap">
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
              like={LIKE.builds}
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
            <DataTable
              id="builds"
              what="builds"
              isMain
              rows={items}
              keyOf={({ build }) => build.id}
              columns={COLUMNS}
            />
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
        accept="application/json,.json,application/zip,.zip"
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
