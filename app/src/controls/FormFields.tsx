import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { View, type TextInputProps } from 'react-native';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { Press } from '../kit/Press';
import { Problem } from '../kit/Problem';
import { SPACE } from '../kit/tokens';

interface Bound<Form extends FieldValues> {
  readonly control: Control<Form>;
  readonly name: FieldPath<Form>;
  readonly label: string;
}

interface FormFieldProps<Form extends FieldValues>
  extends Bound<Form>, Pick<TextInputProps, 'placeholder' | 'autoComplete' | 'autoFocus' | 'multiline' | 'maxLength'> {
  /** What is allowed, told when it is not met. */
  readonly allowed?: string;
  readonly figures?: boolean;
  readonly secret?: boolean;
  readonly help?: string;
  /** Hears that something was typed. */
  readonly onTyped?: () => void;
}

/** A line of a form. */
export function FormField<Form extends FieldValues>({
  control,
  name,
  label,
  allowed,
  figures = false,
  secret = false,
  onTyped,
  ...rest
}: FormFieldProps<Form>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          inputRef={field.ref}
          label={label}
          value={String(field.value ?? '')}
          onChangeText={(text) => {
            field.onChange(text);
            onTyped?.();
          }}
          onBlur={field.onBlur}
          inputMode={figures ? 'decimal' : 'text'}
          {...(figures ? { figures: { signed: true } } : {})}
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
  readonly hideLabel?: boolean;
}

/** One of a few, in a form. */
export function FormChoice<Form extends FieldValues, Option extends string>({
  control,
  name,
  label,
  ...choice
}: FormChoiceProps<Form, Option>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <View ref={(node) => field.ref({ focus: () => bringIntoView(node) })} style={{ gap: SPACE.xs }}>
          <Choice label={label} {...choice} value={field.value} onChoose={field.onChange} />
          {fieldState.error ? <Problem size="m">{fieldState.error.message}</Problem> : null}
        </View>
      )}
    />
  );
}

/** Where a form was not taken, what is wrong comes into view by itself; on the web a view is an element. */
function bringIntoView(node: View | null): void {
  if (node instanceof HTMLElement) node.scrollIntoView({ block: 'center' });
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
