import { addDays } from 'date-fns/addDays';
import { formatISO } from 'date-fns/formatISO';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { SPACE } from '../../kit/tokens';
import { nowIso } from '../../sync/clock';
import { works as say } from '@weskopos/words/en/pages/works';
import { dateWords } from '@weskopos/words/show';
import { AskRow } from './AskRow';

/** Days that are offered, from today on. */
const AHEAD = 28;

interface PlanDayProps {
  /** Hears an ISO date. */
  readonly onDay: (on: string) => void;
  readonly onLeave: () => void;
}

/** Which day a work is planned for: the next four weeks to choose from. */
export function PlanDay({ onDay, onLeave }: PlanDayProps) {
  const [day, setDay] = useState<string | null>(null);
  const today = new Date(nowIso());
  const days = Array.from({ length: AHEAD }, (_, n) => formatISO(addDays(today, n), { representation: 'date' }));
  return (
    <View style={styles.form}>
      <Choice
        label={say.whichDay}
        options={days}
        word={(one) => dateWords(new Date(one), 'weekday')}
        value={day}
        onChoose={setDay}
        oneLine
      />
      <AskRow
        keep={say.keep}
        disabled={day === null}
        onKeep={() => (day === null ? undefined : onDay(day))}
        onLeave={onLeave}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: SPACE.s },
});
