import { zodResolver } from '@hookform/resolvers/zod';
import { setupSchema } from '@weskopos/contract';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { usePalette } from '../../kit/theme';
import { call, signedIn } from '../../sync/workshop';
import { problemWords } from '../../words/problemWords';

const FIELDS = [
  {
    name: 'code',
    label: 'Code from the server’s window',
    help: 'Eight letters and figures, printed when the server started.',
  },
  { name: 'name', label: 'Your name', help: 'You become the workshop lead and can add inspectors.' },
  { name: 'secret', label: 'PIN or password', help: 'Six characters or more.' },
] as const;

/** The first start of an empty workshop makes its lead. */
export function Setup() {
  const palette = usePalette();
  const [problem, setProblem] = useState<string>();
  const form = useForm({ resolver: zodResolver(setupSchema), defaultValues: { code: '', name: '', secret: '' } });
  const submit = form.handleSubmit(async (body) => {
    try {
      await signedIn(await call('setup', { body }));
    } catch (error) {
      setProblem(problemWords(error));
    }
  });
  return (
    <Page title="Set up this workshop" width={420}>
      {FIELDS.map(({ name, label, help }) => (
        <Controller
          key={name}
          control={form.control}
          name={name}
          render={({ field, fieldState }) => (
            <Field
              label={label}
              help={help}
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              secureTextEntry={name === 'secret'}
              problem={fieldState.error && help}
            />
          )}
        />
      ))}
      {problem ? (
        <Words role="alert" colour={palette.fail}>
          {problem}
        </Words>
      ) : null}
      <Press kind="main" label="Begin" onPress={() => void submit()} />
    </Page>
  );
}
