import type { z } from 'zod';
import { zodResolver } from '@hookform/resolvers/zod';
import { newPersonSchema, ROLES, type Person } from '@weskopos/contract';
import { useEffect, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Heading, Label, Words } from '../../kit/Words';
import { usePalette } from '../../kit/theme';
import { words } from '../../words/en';
import { problemWords } from '../../words/problemWords';
import { call } from '../../sync/workshop';
import { people as say } from '../../words/en/pages/people';
import { common } from '../../words/en/pages/common';

/** Who works here; a lead adds inspectors and further leads. Needs the server. */
export function People() {
  const palette = usePalette();
  const [people, setPeople] = useState<readonly Person[]>([]);
  const [problem, setProblem] = useState<string>();
  const form = useForm<z.infer<typeof newPersonSchema>>({
    resolver: zodResolver(newPersonSchema),
    defaultValues: { name: '', secret: '', role: 'inspector' },
  });

  useEffect(() => {
    call('people').then(setPeople, (error: unknown) => setProblem(problemWords(error)));
  }, []);

  const add = form.handleSubmit(async (body) => {
    setProblem(undefined);
    try {
      const person = await call('addPerson', { body });
      setPeople((before) => [...before, person]);
      form.reset();
    } catch (error) {
      setProblem(problemWords(error));
    }
  });

  return (
    <Page title={common.people}>
      {people.map((person) => (
        <Card key={person.id}>
          <Label>{person.name}</Label>
          <Words soft>{words.role[person.role]}</Words>
        </Card>
      ))}
      <Heading>{say.addAPerson}</Heading>
      <Controller
        control={form.control}
        name="name"
        render={({ field, fieldState }) => (
          <Field
            label={common.name}
            value={field.value}
            onChangeText={field.onChange}
            problem={fieldState.error && common.oneToSixtyCharacters}
          />
        )}
      />
      <Controller
        control={form.control}
        name="secret"
        render={({ field, fieldState }) => (
          <Field
            label={common.pinOrPassword}
            value={field.value}
            onChangeText={field.onChange}
            secureTextEntry
            help={common.sixCharactersOrMore}
            problem={fieldState.error && common.sixCharactersOrMore}
          />
        )}
      />
      <Controller
        control={form.control}
        name="role"
        render={({ field }) => (
          <Choice
            label={say.role}
            options={ROLES}
            word={(role) => words.role[role]}
            value={field.value}
            onChoose={field.onChange}
          />
        )}
      />
      {problem ? (
        <Words role="alert" colour={palette.fail}>
          {problem}
        </Words>
      ) : null}
      <Press kind="main" label={say.add} onPress={() => void add()} />
    </Page>
  );
}
