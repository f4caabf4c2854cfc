import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import type { TextInputProps } from 'react-native';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { Press } from '../kit/Press';

interface Bound<Form extends FieldValues> {
  readonly control: Control<Form>;
  readonly name: FieldPath<Form>;
  readonly label: string;
}

interface FormFieldProps<Form extends FieldValues> extends Bound<Form> {
  /** What is allowed, told when it is not met. */
  readonly allowed?: string;
  readonly figures?: boolean;
  readonly secret?: boolean;
  readonly placeholder?: string;
  readonly autoComplete?: TextInputProps['autoComplete'];
}

/** A line of a form. */
export function FormField<Form extends FieldValues>({
  control,
  name,
  label,
  allowed,
  figures = false,
  secret = false,
  ...rest
}: FormFieldProps<Form>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          value={String(field.value ?? '')}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          inputMode={figures ? 'decimal' : 'text'}
          secureTextEntry={secret}
          problem={fieldState.error && (allowed ?? fieldState.error.message)}
          {...rest}
        />
      )}
    />
  );
}

interface FormChoiceProps<Form extends FieldValues, Option extends string> extends Bound<Form> {
  readonly options: readonly Option[];
  readonly word: (option: Option) => string;
}

/** One of a few, in a form. */
export function FormChoice<Form extends FieldValues, Option extends string>({
  control,
  name,
  label,
  options,
  word,
}: FormChoiceProps<Form, Option>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice label={label} options={options} word={word} value={field.value} onChoose={field.onChange} />
      )}
    />
  );
}

/** Yes or no, in a form. */
export function FormCheck<Form extends FieldValues>({ control, name, label }: Bound<Form>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Press
          role="checkbox"
          label={label}
          chosen={Boolean(field.value)}
          onPress={() => field.onChange(!field.value)}
        />
      )}
    />
  );
}
