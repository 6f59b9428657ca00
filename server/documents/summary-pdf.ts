import PDFDocument from 'pdfkit'
import type { OwnerSummary } from '../services/choosing/owner-summary.ts'

const MARGIN = 48
const INK = '#1d2327'
const STEEL = '#55636b'

/** What a PDF's own letters can write: others are taken for their nearest. */
const plain = (text: string): string => text.replaceAll('−', '-').replaceAll('’', "'")

/** The same page on A4 (or Letter), in one column; text smaller where it would run over. */
export async function summaryToPdf(
  { title, vehicle, on, sections }: OwnerSummary,
  paper: 'A4' | 'Letter',
): Promise<Buffer> {
  const document = new PDFDocument({
    size: paper === 'A4' ? 'A4' : 'LETTER',
    margin: MARGIN,
    info: { Title: `${title}: summary for the owner` },
  })
  const chunks: Buffer[] = []
  document.on('data', (chunk: Buffer) => chunks.push(chunk))
  const ended = new Promise<void>((done) => document.once('end', done))
  const count = sections.reduce(
    (sum, { lines, table = [] }) => sum + lines.length + table.length + 2,
    0,
  )
  const size = count > 44 ? 9 : 10.5
  document.fillColor(INK).font('Helvetica-Bold').fontSize(18).text(plain(title))
  document
    .fillColor(STEEL)
    .font('Helvetica')
    .fontSize(size)
    .text(plain(`${vehicle} · as planned on ${on}`))
  for (const { title: head, lines, table = [] } of sections) {
    document.moveDown(0.8).fillColor(INK).font('Helvetica-Bold').fontSize(12).text(plain(head))
    document.font('Helvetica').fontSize(size)
    for (const { words, before, after } of table) {
      const { y } = document
      document.text(plain(words), MARGIN, y, { width: 220 })
      document.text(plain(before), MARGIN + 230, y, { width: 110 })
      document.text(plain(after), MARGIN + 350, y, { width: 120 })
    }
    document.x = MARGIN
    for (const line of lines) document.text(plain(`– ${line}`))
  }
  document.end()
  await ended
  return Buffer.concat(chunks)
}
