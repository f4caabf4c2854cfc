import {
  cataloguePoint,
  mainSlot,
  readingAt,
  readingValue,
  type Finding,
  type MeterUnit,
  type PointRef,
  type Reading,
} from '@weskopos/core';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { CORNER, SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount, day, figure, meterWords, placeWords, type Seats, pointName } from '@weskopos/words/show';
import type { History } from '../../visit/visitContext';
import { walk as say } from '@weskopos/words/en/pages/walk';

/** Last visit's look at the same points, behind today's. */
export const GhostNote = memo(function GhostNote({
  refs,
  history,
  unit,
  axles,
}: {
  readonly refs: readonly PointRef[];
  readonly history: History;
  readonly unit: MeterUnit;
  readonly axles: Seats;
}) {
  const palette = usePalette();
  const lines = refs.flatMap((ref) => {
    const look = history.lastLook(ref);
    return look ? [{ ref, look, said: saidOf(ref, look.finding, refs.length > 1) }] : [];
  });
  const news = refs.flatMap((ref) => (history.lastLook(ref) ? [] : (newWords(ref, history, unit) ?? [])));
  const [first] = lines;
  if (!first && news.length === 0) return null;
  return (
    <View style={[styles.note, { borderColor: palette.rule }]}>
      {first ? (
        <Words size="m" soft>
          {say.lastLookAt(
            day(first.look.visit.inspection.startedAt),
            meterWords(first.look.visit.inspection.meter, unit),
          )}
          <Words size="m" strong>
            {lines.map(({ said }) => said).join(' · ')}
          </Words>
          {first.look.finding.place === first.ref.place
            ? ''
            : say.whenItSat(placeWords(first.look.finding.place, axles))}
        </Words>
      ) : null}
      {news.length > 0 ? (
        <Words size="m" soft>
          {news.join(' · ')}
        </Words>
      ) : null}
    </View>
  );
});

/** A part that is new here and was never read: when it was fitted and what it was. */
function newWords(ref: PointRef, history: History, unit: MeterUnit): string | null {
  const fitted = history.fitted(ref);
  if (!fitted) return null;
  const measure = mainSlot(cataloguePoint(ref.point))?.measure;
  const fresh = fitted.fresh !== null && measure ? amount(measure, fitted.fresh) : '';
  return say.newSince(
    pointName(ref.point),
    day(fitted.at),
    [fitted.meter === null ? '' : meterWords(fitted.meter, unit), fresh].filter(Boolean).join(', '),
  );
}

/** A last look in a few words: its figures, leaks, words, or that it was sound. */
function saidOf(ref: PointRef, finding: Finding, named: boolean): string {
  const slots = cataloguePoint(ref.point).measures.flatMap(({ measure, spots }) =>
    spots.flatMap((spot) => readingAt(finding, measure, spot) ?? []),
  );
  const [only] = slots;
  const told = (reading: Reading) =>
    `${words.bound[reading.bound]} ${figure(reading.measure, readingValue(reading))}`.trim();
  const measured =
    slots.length === 1 && only
      ? `${words.bound[only.bound]} ${amount(only.measure, readingValue(only))}`.trim()
      : slots.map(told).join('\u00a0· ');
  const leaks = finding.leaks.map(
    (leak) =>
      `${words.stage[leak.stage].toLowerCase()}${leak.place ? `, ${words.leakPlace[leak.place]}` : ''}${leak.wiped ? ', wiped' : ''}`,
  );
  const counts = finding.counts
    .filter(({ good, of, item }) => good < of || item === 'all')
    .map(({ item, good, of }) => say.lastCount(item === 'all' ? '' : `${words.lamp[item]} `, good, of));
  const codes = finding.codes.map(({ code }) => code);
  const said =
    [measured, ...leaks, ...counts, ...codes, ...finding.words.map((word) => words.word[word])]
      .filter(Boolean)
      .join(', ') || 'sound';
  return named ? `${pointName(ref.point).toLowerCase()} ${said}` : said;
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
