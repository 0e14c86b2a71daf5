import type { ComponentProps } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { Field } from './Field';

interface FormFieldProps<T extends FieldValues> extends Omit<
  ComponentProps<typeof Field>,
  'name' | 'value' | 'onChangeText' | 'onBlur'
> {
  readonly control: Control<T>;
  /** Which value of the form it is; a text. */
  readonly of: FieldPath<T>;
}

/** A text field of a form: it says what the form's schema finds wrong with it. */
export function FormField<T extends FieldValues>({
  control,
  of,
  error,
  ...rest
}: FormFieldProps<T>) {
  const { field, fieldState } = useController({ control, name: of });
  return (
    <Field
      {...rest}
      value={field.value}
      onChangeText={field.onChange}
      onBlur={field.onBlur}
      error={fieldState.error?.message ?? error}
    />
  );
}
