import { type Control, Controller, type FieldErrors, type UseFormRegister } from 'react-hook-form'
import { Field, INPUT } from './fields/field.tsx'
import { OptionSelect } from './fields/option-select.tsx'
import { PartField } from './fields/part-field.tsx'
import type { FieldSpec, Values } from './form-values.ts'

/** One field of a form: label, input, hint or fault. */
export function FormField({
  spec,
  register,
  control,
  errors,
}: {
  spec: FieldSpec
  register: UseFormRegister<Values>
  control: Control<Values>
  errors: FieldErrors<Values>
}) {
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
    <Field
      label={spec.label}
      hint={spec.hint}
      fault={errors[spec.name]?.message as string | undefined}
      isWide={spec.wide ?? false}
    >
      {(shared) =>
        spec.type === 'part' ? (
          <Controller
            control={control}
            name={spec.name}
            render={({ field }) => (
              <PartField
                {...shared}
                ref={field.ref}
                value={String(field.value ?? '')}
                kind={spec.kind}
                onChange={field.onChange}
              />
            )}
          />
        ) : spec.type === 'select' ? (
          <Controller
            control={control}
            name={spec.name}
            render={({ field }) => (
              <OptionSelect
                {...shared}
                ref={field.ref}
                value={String(field.value ?? '')}
                options={spec.options}
                nothing={spec.required ? undefined : 'Not said'}
                onChange={field.onChange}
                onBlur={field.onBlur}
              />
            )}
          />
        ) : spec.type === 'area' ? (
          <textarea {...shared} {...register(spec.name)} rows={3} className={INPUT} />
        ) : (
          <input
            {...shared}
            {...register(spec.name)}
            type={spec.type === 'date' ? 'date' : spec.type === 'secret' ? 'password' : 'text'}
            inputMode={
              spec.type === 'money' || spec.type === 'number' || spec.type === 'percent'
                ? 'decimal'
                : undefined
            }
            autoComplete="off"
            className={`${INPUT} ${spec.type === 'text' || spec.type === 'secret' ? '' : 'figure text-right'}`}
          />
        )
      }
    </Field>
  )
}
