import type { AnswerOf, KeeperLink } from '@weskopos/contract';
import { LANGUAGES, LINK_PATH, type Language } from '@weskopos/contract/device';
import { isClosed, worksOf } from '@weskopos/core/works/worksOf';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { Problem } from '../../kit/Problem';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { readDevice, writeDevice } from '../../sync/deviceNotes';
import { nowIso } from '../../sync/clock';
import { askPrices } from '../../sync/usePrices';
import { call } from '../../sync/workshop';
import { putEntry } from '../../visit/putEntry';
import { keeper as say } from '@weskopos/words/en/pages/keeper';
import { report as paperSay } from '@weskopos/words/en/pages/report';
import { keeperLetter } from '@weskopos/words/keeperLetter';
import { inTongue } from '@weskopos/words/tongue';
import { fetchTongue } from '../../words/fetchTongue';
import { problemWords } from '../../words/problemWords';
import { day } from '@weskopos/words/show';
import type { SheetProps } from '../sheet/VehiclePage';
import { SecretAddress } from './SecretAddress';

const DAYS = ['7', '30', '90'] as const;
const FROM = 'weskopos.keeperFrom';

interface KeeperCardProps extends Pick<SheetProps, 'life'> {
  readonly onDone: () => void;
}

/** Puts all open works of a vehicle to its keeper: a link to a page of his own, told once. */
export function KeeperCard({ life, onDone }: KeeperCardProps) {
  const { vehicle, entries } = life;
  const works = worksOf(entries).filter((work) => !isClosed(work));
  const [from, setFrom] = useState(readDevice(FROM) ?? '');
  const [days, setDays] = useState<(typeof DAYS)[number]>('30');
  const [language, setLanguage] = useState<Language>('en');
  const [given, setGiven] = useState<AnswerOf<'giveLink'>>();
  const [links, setLinks] = useState<readonly KeeperLink[]>([]);
  const [problem, setProblem] = useState<string>();
  const failed = (error: unknown) => setProblem(problemWords(error));
  const id = vehicle.id;
  useEffect(() => {
    call('links', { params: { id } }).then(setLinks, (error: unknown) => setProblem(problemWords(error)));
  }, [id]);
  const make = async () => {
    setProblem(undefined);
    // Asked for now: a link made in a hurry tells its prices too.
    const { list } = await askPrices();
    const letter = inTongue(await fetchTongue(language), () =>
      keeperLetter(works, life, vehicle, from.trim(), language, list),
    );
    setGiven(await call('giveLink', { params: { id }, body: { letter, days: Number(days) } }));
    writeDevice(FROM, from.trim());
    for (const { id: refers, state } of works)
      if (state === 'proposed' || state === 'asked' || state === 'declined')
        await putEntry(
          { vehicleId: id, meter: null },
          { kind: 'work-step', refers, step: 'put', words: '', on: null, keeper: '' },
        );
    setLinks(await call('links', { params: { id } }));
  };
  const withdraw = async (link: string) => {
    setProblem(undefined);
    await call('endLink', { params: { id: link } });
    if (given?.id === link) setGiven(undefined);
    setLinks(await call('links', { params: { id } }));
  };
  const open = links.filter(({ endedAt, until }) => endedAt === null && until > nowIso());
  const url = given ? `${window.location.origin}${LINK_PATH}/${given.token}` : '';
  return (
    <Card>
      <Heading level={2}>{say.put}</Heading>
      {given ? (
        <SecretAddress url={url} words={say} onFailed={failed}>
          {'share' in navigator ? (
            <Press kind="main" label={say.share} onPress={() => void navigator.share({ url }).catch(dismissed)} />
          ) : null}
          <Press label={say.look} role="link" onPress={() => window.open(url, '_blank', 'noopener')} />
        </SecretAddress>
      ) : (
        <>
          <Words>{say.help}</Words>
          <Words strong>{say.told(works.length)}</Words>
          <Field label={say.from} value={from} onChangeText={setFrom} maxLength={120} />
          <Choice
            label={paperSay.language}
            options={LANGUAGES}
            word={(one) => paperSay.languageName[one]}
            value={language}
            onChoose={setLanguage}
          />
          <Choice label={say.days} options={DAYS} word={(one) => say.daysWord[one]} value={days} onChoose={setDays} />
        </>
      )}
      <Problem>{problem}</Problem>
      {open.length > 0 ? <Heading level={3}>{say.links}</Heading> : null}
      {open.map(({ id: link, givenAt, givenBy, until }) => (
        <View key={link} style={styles.line}>
          <Words soft style={styles.grow}>
            {say.link(day(givenAt), givenBy, day(until))}
          </Words>
          <Press
            label={say.withdraw}
            hint={say.withdrawOf(day(givenAt))}
            onPress={() => void withdraw(link).catch(failed)}
          />
        </View>
      ))}
      <View style={styles.row}>
        <Press label={say.leave} onPress={onDone} style={styles.grow} />
        {given ? null : (
          <Press
            kind="main"
            label={say.make}
            disabled={works.length === 0}
            onPress={() => void make().catch(failed)}
            style={styles.grow}
          />
        )}
      </View>
    </Card>
  );
}

/** Who closes the sheet of the phone shares nothing: no fault. */
const dismissed = () => undefined;
const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
