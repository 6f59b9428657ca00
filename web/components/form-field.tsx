import { useId } from 'react'
import type { FieldErrors, UseFormRegister } from 'react-hook-form'
import type { FieldSpec, Values } from './form-values.ts'

/** How an input of a form looks. */
export const input =
  'w-full rounded border border-steel bg-ground px-2 py-1.5 aria-[invalid=true]:border-clash'

/** One field of a form: label, input, hint or fault. */
export function FormField({
  spec,
  register,
  errors,
}: {
  spec: FieldSpec
  register: UseFormRegister<Values>
  errors: FieldErrors<Values>
}) {
  const id = useId()
  const message = errors[spec.name]?.message as string | undefined
  const shared = {
    id,
    'aria-invalid': message !== undefined,
    'aria-describedby': `${id}-help`,
    ...register(spec.name),
  }
  if (spec.type === 'check')
    return (
      <label className="flex items-center gap-2 self-end py-1.5">
        <input
          type="checkbox"
          className="size-4 accent-(--color-accent)"
          {...register(spec.name)}
        />
        {spec.label}
      </label>
    )
  return (
    <div className={spec.wide ? 'col-span-full' : ''}>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {spec.label}
      </label>
      {spec.type === 'select' ? (
        <select {...shared} className={input}>
          {!spec.required && <option value="">Not said</option>}
          {spec.options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.words}
            </option>
          ))}
        </select>
      ) : spec.type === 'area' ? (
        <textarea {...shared} rows={3} className={input} />
      ) : (
        <input
          {...shared}
          type={spec.type === 'date' ? 'date' : spec.type === 'secret' ? 'password' : 'text'}
          inputMode={
            spec.type === 'money' || spec.type === 'number' || spec.type === 'percent'
              ? 'decimal'
              : undefined
          }
          autoComplete="off"
          className={`${input} ${spec.type === 'text' || spec.type === 'secret' ? '' : 'figure text-right'}`}
        />
      )}
      <p
        id={`${id}-help`}
        className={message ? 'mt-1 border-l-[3px] border-clash pl-2' : 'mt-0.5 text-steel'}
      >
        {message ?? spec.hint}
      </p>
    </div>
  )
}
