import { CHANGE_JOBS, HOUSE_RANGES, typedKeys, type ChangeCap, type ChangeJob, type HouseRules } from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { FigureField } from './FigureField';
import { rules as say } from '@weskopos/words/en/pages/rules';

const NO_CAP: ChangeCap = { km: null, months: null, hours: null };
const RANGES = { km: HOUSE_RANGES.capKm, months: HOUSE_RANGES.capMonths, hours: HOUSE_RANGES.capHours } as const;
const MEASURES = typedKeys(RANGES);

interface CapsCardProps {
  readonly caps: HouseRules['changeCaps'];
  readonly onChange: (caps: HouseRules['changeCaps']) => void;
}

/** The longest a fluid or filter stays in by the house, whatever its maker allows. */
export function CapsCard({ caps, onChange }: CapsCardProps) {
  const [more, setMore] = useState<ChangeJob | null>(null);
  const shown = CHANGE_JOBS.filter((job) => caps[job] !== undefined || job === more);
  const rest = CHANGE_JOBS.filter((job) => !shown.includes(job));
  const set = (job: ChangeJob, change: Partial<ChangeCap>) => {
    const { [job]: before = NO_CAP, ...others } = caps;
    const cap = { ...before, ...change };
    onChange(MEASURES.every((measure) => cap[measure] === null) ? others : { ...others, [job]: cap });
  };
  return (
    <Card>
      <Heading level={2}>{say.caps}</Heading>
      <Words size="m" soft>
        {say.capsHint}
      </Words>
      {shown.map((job) => (
        <View key={job} style={styles.job}>
          <Label>{words.job[job]}</Label>
          {MEASURES.map((measure) => (
            <FigureField
              key={measure}
              label={say.capOf(words.job[job], measure)}
              value={caps[job]?.[measure] ?? null}
              least={RANGES[measure].least}
              most={RANGES[measure].most}
              onValue={(value) => set(job, { [measure]: measure === 'months' ? Math.round(value) : value })}
              onEmpty={() => set(job, { [measure]: null })}
            />
          ))}
        </View>
      ))}
      <Choice label={say.capAnother} options={rest} word={(job) => words.job[job]} value={null} onChoose={setMore} />
    </Card>
  );
}

const styles = StyleSheet.create({ job: { gap: SPACE.xs, paddingBottom: SPACE.s } });
