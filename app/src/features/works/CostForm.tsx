import type { PriceList, WorkPart } from '@weskopos/core';
import { costOf } from '@weskopos/core/prices/priceList';
import type { Work } from '@weskopos/core/works/worksOf';
import { costWords } from '@weskopos/words/priceWords';
import { prices as say } from '@weskopos/words/en/pages/prices';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Words } from '../../kit/Words';
import { putEntry } from '../../visit/putEntry';
import { AskRow } from './AskRow';

const MOST_MINUTES = 10_000;
const MOST_COUNT = 1000;
const MOST_PARTS = 40;

interface Typed {
  readonly name: string;
  readonly number: string;
  readonly count: string;
}
const BLANK: Typed = { name: '', number: '', count: '1' };
const isBlank = ({ name, number }: Typed) => name.trim() === '' && number.trim() === '';
const countOf = ({ count }: Typed): number | null => {
  const figure = Number(count.trim().replace(',', '.'));
  return count.trim() !== '' && figure > 0 && figure <= MOST_COUNT ? figure : null;
};

interface CostFormProps {
  readonly work: Work;
  /** What went in the last time; empty where nobody wrote it. */
  readonly lastNumbers: string;
  readonly list: PriceList | null;
  readonly onLeave: () => void;
}

/** How long a work takes and what parts; what it comes to stands below where the workshop has a list. */
export function CostForm({ work, lastNumbers, list, onLeave }: CostFormProps) {
  const [minutes, setMinutes] = useState(work.minutes === null ? '' : String(work.minutes));
  const [typed, setTyped] = useState<readonly Typed[]>(() =>
    work.parts.length > 0
      ? work.parts.map(({ name, number, count }) => ({ name, number, count: String(count) }))
      : [{ ...BLANK, number: lastNumbers }],
  );
  const took = minutes.trim() === '' ? null : Number(minutes);
  const badMinutes = took !== null && !(Number.isInteger(took) && took >= 1 && took <= MOST_MINUTES);
  const filled = typed.filter((one) => !isBlank(one));
  const badCount = filled.some((one) => countOf(one) === null);
  const parts = filled.map((one): WorkPart => ({
    name: one.name.trim() || one.number.trim(),
    number: one.number.trim(),
    count: countOf(one) ?? 1,
  }));
  const cost = list && !badMinutes && !badCount ? costOf({ task: work.task, parts, minutes: took }, list) : null;
  const usual = list?.times.find(({ code }) => code === work.task.code);
  const change = (at: number, given: Partial<Typed>) =>
    setTyped(typed.map((one, index) => (index === at ? { ...one, ...given } : one)));
  const keep = async () => {
    if (badMinutes || badCount) return;
    await putEntry(
      { vehicleId: work.vehicleId, meter: null },
      { kind: 'work-cost', refers: work.id, minutes: took, parts },
    );
    onLeave();
  };
  return (
    <View style={styles.form}>
      <Field
        label={say.minutes}
        value={minutes}
        onChangeText={setMinutes}
        figures={{ signed: false }}
        help={usual ? say.usualMinutes(usual.minutes) : undefined}
        problem={badMinutes ? say.minutesRange : undefined}
      />
      {typed.map((one, at) => (
        <View key={at} style={styles.part}>
          <View style={styles.wide}>
            <Field
              label={say.partName}
              value={one.name}
              maxLength={120}
              onChangeText={(name) => change(at, { name })}
            />
          </View>
          <View style={styles.narrow}>
            <Field
              label={say.partNumber}
              value={one.number}
              maxLength={60}
              onChangeText={(number) => change(at, { number })}
            />
          </View>
          <View style={styles.count}>
            <Field
              label={say.count}
              value={one.count}
              figures={{ signed: false }}
              onChangeText={(count) => change(at, { count })}
              problem={!isBlank(one) && countOf(one) === null ? say.countRange : undefined}
            />
          </View>
        </View>
      ))}
      {typed.length < MOST_PARTS ? (
        <Press kind="quiet" label={say.another} onPress={() => setTyped([...typed, BLANK])} />
      ) : null}
      {cost && list ? (
        <Words strong role="status">
          {costWords(cost, list.currency)}
        </Words>
      ) : null}
      <AskRow keep={say.keepCost} disabled={badMinutes || badCount} onKeep={() => void keep()} onLeave={onLeave} />
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.s },
  part: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  wide: { flexGrow: 2, flexBasis: 180 },
  narrow: { flexGrow: 1, flexBasis: 110 },
  count: { width: 90 },
});
