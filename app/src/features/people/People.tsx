import type { z } from 'zod';
import { zodResolver } from '@hookform/resolvers/zod';
import { newPersonSchema, ROLES, type DeviceSession, type Member } from '@weskopos/contract';
import { useEffect, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { Heading } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { problemWords } from '../../words/problemWords';
import { call } from '../../sync/workshop';
import { people as say } from '@weskopos/words/en/pages/people';
import { DevicesCard } from './DevicesCard';
import { PersonCard } from './PersonCard';
import { common } from '@weskopos/words/en/pages/common';

/** Who works here, where they are signed in, and what a workshop cannot do without. Needs the server. */
export function People() {
  const [people, setPeople] = useState<readonly Member[]>([]);
  const [sessions, setSessions] = useState<readonly DeviceSession[]>([]);
  const [problem, setProblem] = useState<string>();
  const form = useForm<z.infer<typeof newPersonSchema>>({
    resolver: zodResolver(newPersonSchema),
    defaultValues: { name: '', secret: '', role: 'inspector' },
  });

  useEffect(() => {
    const failed = (error: unknown) => setProblem(problemWords(error));
    call('people').then(setPeople, failed);
    call('sessions').then(setSessions, failed);
  }, []);

  const add = form.handleSubmit(async (body) => {
    setProblem(undefined);
    try {
      const person = await call('addPerson', { body });
      setPeople((before) => [...before, { ...person, state: 'here', invited: false }]);
      form.reset();
    } catch (error) {
      setProblem(problemWords(error));
    }
  });

  const attempt = (work: () => Promise<void>) => {
    setProblem(undefined);
    work().catch((error: unknown) => setProblem(problemWords(error)));
  };
  const changed = (member: Member) => {
    setPeople((before) => before.map((one) => (one.id === member.id ? member : one)));
    // Whoever was changed is signed out everywhere.
    setSessions((before) => before.filter(({ personId, here }) => personId !== member.id || here));
  };
  const end = ({ id }: DeviceSession) =>
    attempt(async () => {
      await call('endSession', { params: { id } });
      setSessions((before) => before.filter((one) => one.id !== id));
    });

  return (
    <Page title={common.people}>
      <Problem>{problem}</Problem>
      {people.map((member) => (
        <PersonCard key={member.id} member={member} onTry={attempt} onChanged={changed} />
      ))}
      <DevicesCard sessions={sessions} named onEnd={end} />
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
      <Press kind="main" label={say.add} onPress={() => void add()} />
    </Page>
  );
}
