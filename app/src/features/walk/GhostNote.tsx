import { cataloguePoint, readingAt, readingValue, type PointRef } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { CORNER, SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { words } from '../../words/en';
import { amount, day, figure, kilometres } from '../../words/show';
import type { Background } from './visitContext';

/** Last visit's look at the same points, behind today's. */
export function GhostNote({
  refs,
  background,
}: {
  readonly refs: readonly PointRef[];
  readonly background: Background;
}) {
  const palette = usePalette();
  const lines = refs.flatMap((ref) => {
    const look = background.lastFinding(ref);
    if (!look) return [];
    const { finding } = look;
    const values = cataloguePoint(ref.point).spots.flatMap((spot) => {
      const reading = readingAt(finding, spot);
      return reading
        ? [
            {
              spot,
              text: figure(reading.measure, readingValue(reading)),
              measure: reading.measure,
              value: readingValue(reading),
            },
          ]
        : [];
    });
    const [only] = values;
    const measured =
      values.length === 1 && only ? amount(only.measure, only.value) : values.map(({ text }) => text).join(' · ');
    const leak = finding.leak
      ? `${words.stage[finding.leak.stage].toLowerCase()}${finding.leak.place ? `, ${words.leakPlace[finding.leak.place]}` : ''}${finding.leak.wiped ? ', wiped' : ''}`
      : '';
    const said =
      [measured, leak, ...finding.words.map((word) => words.word[word])].filter(Boolean).join(', ') || 'sound';
    return [{ ref, look, said: refs.length > 1 ? `${words.point[ref.point].toLowerCase()} ${said}` : said }];
  });
  const [first] = lines;
  if (!first) return null;
  const { inspection } = first.look.visit;
  return (
    <View style={[styles.note, { borderColor: palette.rule }]}>
      <Words size="m" soft>
        {`Last look ${day(inspection.startedAt)}, at ${kilometres(inspection.meterKm)}: `}
        <Words size="m" strong>
          {lines.map(({ said }) => said).join(' · ')}
        </Words>
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  note: {
    borderWidth: 1,
    borderStyle: 'dashed',
    borderRadius: CORNER.s,
    paddingVertical: SPACE.s,
    paddingHorizontal: SPACE.m,
  },
});
