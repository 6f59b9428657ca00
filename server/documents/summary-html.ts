import type { OwnerSummary } from '../services/choosing/owner-summary.ts'

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`)

const STYLE = `
  body { font: 15px/1.5 system-ui, sans-serif; color: #1d2327; background: #fff; max-width: 46rem; margin: 2rem auto; padding: 0 1rem }
  h1 { font-size: 1.5rem; margin: 0 } h2 { font-size: 1rem; margin: 1.4rem 0 .3rem; border-bottom: 1px solid #1d2327 }
  p, ul { margin: .2rem 0 } ul { padding-left: 1.2rem } .quiet { color: #55636b }
  table { border-collapse: collapse; margin: .4rem 0 } th, td { text-align: left; padding: .15rem 1.4rem .15rem 0; border-bottom: 1px solid #ddd6c8 }
  td { font-variant-numeric: tabular-nums }
  @page { margin: 15mm } @media print { body { margin: 0; max-width: none } }
`

/** One self-contained page that is only read: no script, nothing fetched. */
export function summaryToHtml({ title, vehicle, on, sections }: OwnerSummary): string {
  const table = (rows: NonNullable<OwnerSummary['sections'][number]['table']>): string =>
    `<table><thead><tr><th></th><th>Now</th><th>Planned</th></tr></thead><tbody>${rows
      .map(
        ({ words, before, after }) =>
          `<tr><th scope="row">${escaped(words)}</th><td>${escaped(before)}</td><td>${escaped(after)}</td></tr>`,
      )
      .join('')}</tbody></table>`
  const body = sections
    .map(
      (one) =>
        `<h2>${escaped(one.title)}</h2>${one.table ? table(one.table) : ''}<ul>${one.lines
          .map((line) => `<li>${escaped(line)}</li>`)
          .join('')}</ul>`,
    )
    .join('\n')
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>${escaped(title)}: summary for the owner</title><style>${STYLE}</style></head>
<body><h1>${escaped(title)}</h1><p class="quiet">${escaped(vehicle)} · as planned on ${escaped(on)}</p>
${body}
</body></html>
`
}
