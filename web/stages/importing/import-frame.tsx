import type { ReactNode } from 'react'
import type { ListKind } from '../../../core/tables/lists.ts'
import { undoNewest } from '../../api/undo.ts'
import { INPUT } from '../../components/fields/field.tsx'
import { Radios } from '../../components/fields/radios.tsx'
import { Button, PageHead } from '../../components/ui.tsx'
import { ColumnsForm, type WantedField, type Words } from './columns-form.tsx'
import { FilePicker, NothingWrong, WhichList } from './list-parts.tsx'
import type { HowRead, Importing, Looked } from './use-import.ts'

/** A list read in: from a file or pasted, its columns matched, a preview, then all or nothing. */
export function ImportFrame<H extends HowRead, P extends Looked>({
  kind,
  title,
  detail,
  links,
  intro,
  options,
  fields,
  importing,
  onColumns = (columns, instead) => importing.change({ columns, instead } as Partial<H>),
  children,
  next,
}: {
  kind: ListKind | 'offers'
  title: string
  detail: string
  links: ReactNode
  intro?: ReactNode
  /** What is asked of how it is read. */
  options: ReactNode
  fields: readonly WantedField[]
  importing: Importing<H, P>
  onColumns?: (columns: Words, instead: Words) => void
  /** What is told of what was found, before the button that takes it in and behind it. */
  children: { readonly head: ReactNode; readonly foot?: ReactNode } | null
  /** Where to go on after it was taken in. */
  next?: ReactNode
}) {
  const { source, how, preview, said, done, pick, take, forget } = importing
  return (
    <>
      <PageHead title={title} detail={detail}>
        {links}
      </PageHead>
      <div className="max-w-4xl px-4 pb-12">
        <WhichList kind={kind} />
        {intro}
        <FilePicker onPick={(file) => pick({ text: '', file })} />
        <span className="ml-3 text-steel">{source.file?.name}</span>
        {options}
        <label className="mt-4 block">
          <span className="mb-1 block font-semibold">or paste it here</span>
          <textarea
            value={source.text}
            onChange={(event) => pick({ text: event.target.value, file: null })}
            rows={7}
            className={`${INPUT} figure`}
          />
        </label>
        {said && (
          <p role="alert" className="my-3 border-l-[3px] border-clash pl-2.5">
            {said}
          </p>
        )}
        {done && (
          <p role="status" className="my-3">
            Imported: {done.added} added, {done.updated} updated.{' '}
            <Button tone="quiet" onClick={() => void undoNewest().then(forget)}>
              Undo this import
            </Button>{' '}
            {next}
          </p>
        )}
        {preview && preview.heads.length > 0 && (
          <ColumnsForm
            fields={fields}
            heads={preview.heads}
            // What was just chosen, before it is answered.
            columns={how.columns ?? preview.columns}
            instead={how.instead}
            onChange={onColumns}
          />
        )}
        {preview && (
          <section aria-label="Preview" className="mt-4">
            {children?.head}
            {preview.notes.map((note) => (
              <p key={note} className="mb-2 border-l-[3px] border-work pl-2.5">
                {note}
              </p>
            ))}
            <NothingWrong preview={preview} onImport={take} />
            {children?.foot}
          </section>
        )}
      </div>
    </>
  )
}

/** One question on how a list is read. */
export function Asked<V extends string>({
  words,
  value,
  options,
  onChange,
}: {
  words: string
  value: V
  options: readonly { readonly value: V; readonly words: string }[]
  onChange: (value: V) => void
}) {
  return (
    <div className="mt-3">
      <span className="font-semibold">{words}</span>
      <Radios label={words} value={value} options={options} onChange={onChange} />
    </div>
  )
}
