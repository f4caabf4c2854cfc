import { zodResolver } from '@hookform/resolvers/zod';
import { setupSchema } from '@weskopos/contract';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { call, signedIn } from '../../sync/workshop';
import { problemWords } from '../../words/problemWords';
import { signin as say } from '@weskopos/words/en/pages/signin';
import { common } from '@weskopos/words/en/pages/common';

const FIELDS = [
  {
    name: 'code',
    label: say.codeFromTheServersWindow,
    help: say.eightLettersAndFiguresPrinted,
  },
  { name: 'name', label: say.yourName, help: say.youBecomeTheWorkshopLead },
  { name: 'secret', label: common.pinOrPassword, help: common.sixCharactersOrMore },
] as const;

/** The first start of an empty workshop makes its lead. */
export function Setup() {
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
    <Page title={say.setUpThisWorkshop} width={420}>
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
      <Problem>{problem}</Problem>
      <Press kind="main" label={say.begin} onPress={() => void submit()} />
    </Page>
  );
}
