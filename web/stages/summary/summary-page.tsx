import { useParams } from 'react-router'
import { useAnswer } from '../../api/answer.ts'
import { Button, Loaded, PageHead } from '../../components/ui.tsx'

const LINK = 'text-accent underline underline-offset-2'

/** One page for the vehicle's owner: printed, as PDF, or one file that is only read. */
export function Component() {
  const { build = '' } = useParams()
  const summary = useAnswer('GET /builds/{id}/summary', { params: { id: build } })
  return (
    <>
      <PageHead title="For the owner" detail="Without suppliers, margins or hours">
        <a className={`${LINK} print:hidden`} href={`/api/builds/${build}/summary.pdf`}>
          PDF
        </a>
        <a className={`${LINK} print:hidden`} href={`/api/builds/${build}/summary.html`}>
          One HTML file
        </a>
        <Button onClick={() => window.print()}>Print</Button>
      </PageHead>
      <Loaded of={summary} what="the summary">
        {({ title, vehicle, on, sections }) => (
          <article className="max-w-3xl px-4 pb-12">
            <h2 className="font-bold text-[20px]">{title}</h2>
            <p className="text-steel">
              {vehicle} · as planned on <span className="figure">{on}</span>
            </p>
            {sections.map((section) => (
              <section key={section.title} aria-label={section.title} className="pt-4">
                <h3 className="border-ink border-b font-bold">{section.title}</h3>
                {section.table && (
                  <table className="my-2">
                    <thead>
                      <tr className="text-left text-steel">
                        <th>
                          <span className="sr-only">What</span>
                        </th>
                        <th className="pr-8">Now</th>
                        <th>Planned</th>
                      </tr>
                    </thead>
                    <tbody>
                      {section.table.map(({ words, before, after }) => (
                        <tr key={words} className="border-line border-b">
                          <th scope="row" className="py-0.5 pr-8 text-left font-normal">
                            {words}
                          </th>
                          <td className="figure pr-8">{before}</td>
                          <td className="figure">{after}</td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                )}
                <ul className="list-disc pt-1 pl-5">
                  {section.lines.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              </section>
            ))}
          </article>
        )}
      </Loaded>
    </>
  )
}
