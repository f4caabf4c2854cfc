import { useForm, type DefaultValues, type FieldErrors, type FieldValues, type UseFormReturn } from 'react-hook-form';

/** What is wrong in a form, by field: the words shown there. */
export type Problems<Form> = Partial<Record<keyof Form, string>>;

/** A form whose fields are checked together by one function: each as it is changed, all when it is sent. */
export function useCheckedForm<Form extends FieldValues>(
  blank: DefaultValues<Form>,
  problemsOf: (form: Form) => Problems<Form>,
): UseFormReturn<Form> {
  return useForm<Form>({
    mode: 'onChange',
    defaultValues: blank,
    resolver: (form) => {
      const errors = Object.entries(problemsOf(form)).flatMap(([name, message]) =>
        message === undefined ? [] : [[name, { type: 'validate', message }] as const],
      );
      if (errors.length === 0) return { values: form, errors: {} };
      return { values: {}, errors: Object.fromEntries(errors) as FieldErrors<Form> };
    },
  });
}
