import { FACT_ROWS, factWords, isFactKey } from '../../../core/facts/index.ts'
import { assumedOf, ofYear } from '../../../core/templates/by-age.ts'
import { templateOf } from '../../../core/templates/index.ts'
import { Folded } from '../../components/ui.tsx'
import { TypePicture } from '../../drawing/train/type-picture.tsx'
import { valueWords } from '../known/question-row.tsx'

/** A type as it is drawn and what is assumed of it, by its year where one is typed. */
export function TypeCard({ id, year }: { id: string; year: string }) {
  const type = templateOf(id)
  if (!type) return null
  const template = /^\d{4}$/.test(year.trim()) ? ofYear(type, Number(year)) : type
  const assumed = assumedOf(template)
  return (
    <div className="mt-1 border border-line bg-ground px-2 py-1">
      <TypePicture template={template} />
      {assumed.length > 0 && (
        <Folded
          words={`${assumed.length} things assumed of ${year.trim() ? `one of ${year.trim()}` : 'it'}`}
        >
          <ul className="columns-2 text-[13px] max-[560px]:columns-1">
            {assumed.map(([key, value]) => (
              <li key={key} className="break-inside-avoid">
                {isFactKey(key) ? (FACT_ROWS[key].asks ?? factWords(key)) : key}{' '}
                <b>{valueWords(value).toLowerCase()}</b>
              </li>
            ))}
          </ul>
        </Folded>
      )}
    </div>
  )
}
