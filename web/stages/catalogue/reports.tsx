import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Form } from '../../components/form.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { Button, Folded, GradeWord } from '../../components/ui.tsx'

const OUTCOMES = [
  { value: 'held', words: 'It held' },
  { value: 'failed', words: 'It failed' },
] as const

type Of = { readonly kit: string } | { readonly part: string } | { readonly supplier: string }

/** What is said to have held or failed of a kit, a part or what a supplier sells: how many say so, and who told. */
export function Reports({ of, what }: { of: Of; what: string }) {
  const reports = useAnswer('GET /reports', { query: of }).data?.items ?? []
  const { name } = usePerson()
  const sum = (outcome: string): number =>
    reports.filter((one) => one.outcome === outcome).reduce((all, { howMany }) => all + howMany, 0)
  const id = Object.values(of)[0] as string
  return (
    <section>
      <h2 className="mb-1 font-bold">What is said of it</h2>
      {reports.length > 0 && (
        <p className="text-steel">
          {sum('held')} say that it held, {sum('failed')} that it failed.
        </p>
      )}
      <Rows label={`Said of ${what}`}>
        {reports.map((report) => (
          <Row
            key={report.id}
            end={
              <Button
                tone="quiet"
                aria-label={`Remove: ${report.what}`}
                onClick={() =>
                  void removeWithUndo(
                    'DELETE /reports/{id}',
                    { params: { id: report.id } },
                    'What was said is in the trash.',
                  )
                }
              >
                Remove
              </Button>
            }
          >
            <b>{report.outcome === 'held' ? 'Held' : 'Failed'}</b> {report.what}
            <span className="text-steel">
              {report.howMany === 1 ? 'one says so' : `${report.howMany} say so`}
              {report.source ? `, ${report.source}` : ''}, <GradeWord grade={report.grade} />
            </span>
          </Row>
        ))}
      </Rows>
      <Folded words="Say that it held or failed">
        <Form
          id={`report-${id}`}
          columns={1}
          fields={[
            {
              name: 'outcome',
              label: 'What became of it',
              type: 'select',
              required: true,
              options: OUTCOMES,
            },
            { name: 'what', label: 'What happened', type: 'text', required: true },
            { name: 'howMany', label: 'How many say so', type: 'number', whole: true },
            { name: 'source', label: 'Where it was heard', type: 'text' },
          ]}
          initial={{ outcome: 'failed', howMany: 1 }}
          action="Keep it"
          submit={async ({ outcome, what: said, howMany, source }) => {
            await act(
              () =>
                call('POST /reports', {
                  body: {
                    ...('kit' in of
                      ? { kitId: of.kit }
                      : 'part' in of
                        ? { partId: of.part }
                        : { supplierId: of.supplier }),
                    outcome: outcome === 'held' ? 'held' : 'failed',
                    what: said,
                    howMany: howMany ?? 1,
                    source,
                    saidBy: name || null,
                  },
                }),
              'It is kept.',
            )
          }}
        />
      </Folded>
    </section>
  )
}
