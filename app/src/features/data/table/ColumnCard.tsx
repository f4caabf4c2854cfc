import { MEASURES, type Unit } from '@weskopos/core';
import { spotsOf } from '@weskopos/core/sheets/pointWords';
import { unitsLike } from '@weskopos/core/sheets/readCell';
import { fieldsOf, type SheetColumn, type SheetField, type SheetKind } from '@weskopos/core/sheets/sheetKinds';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { usePalette } from '../../../kit/theme';
import { SPACE } from '../../../kit/tokens';
import { Label, Words } from '../../../kit/Words';
import { table as say } from '@weskopos/words/en/pages/table';
import { capital, placeWords, pointWords, pointName } from '@weskopos/words/show';
import { words } from '@weskopos/words/en';
import { COLUMN_POINTS, placesOf, readingAt } from './readingPlaces';

interface ColumnCardProps {
  readonly kind: SheetKind;
  readonly heading: string;
  /** Its first cells. */
  readonly sample: readonly string[];
  readonly column: SheetColumn;
  readonly onChange: (column: SheetColumn) => void;
}

/** A heading's places are told as those of a car, but for what only more axles have. */
const axlesOf = (place: string) => Math.max(2, Number(place[0] ?? 0));
const NOTHING = 'nothing';

/** One column: its heading, what is in it, and what it says. */
export function ColumnCard({ kind, heading, sample, column, onChange }: ColumnCardProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  const fields = [
    ...(Object.keys(fieldsOf(kind)) as SheetField[]),
    ...(kind === 'readings' ? (['reading'] as const) : []),
  ];
  const usual = usualUnit(kind, column);
  const told = [meaning(column), column.unit === null ? '' : say.inUnit(column.unit)].filter(Boolean).join(', ');
  return (
    <View style={[styles.column, { borderColor: palette.rule }]}>
      <View style={styles.row}>
        <View style={styles.grow}>
          <Label>{heading}</Label>
          <Words soft numberOfLines={1}>
            {sample.filter(Boolean).slice(0, 3).join(' · ')}
          </Words>
        </View>
        <Press
          label={told}
          hint={say.says(heading, told)}
          expanded={open}
          onPress={() => setOpen(!open)}
          style={styles.says}
        />
      </View>
      {open ? (
        <>
          <Choice
            label={say.says(heading, '')}
            hideLabel
            options={[NOTHING, ...fields]}
            word={(one) => (one === NOTHING ? say.notTaken : one === 'reading' ? say.readingAt : say.field[one])}
            value={column.field ?? NOTHING}
            onChoose={(one) => {
              onChange(columnFor(one));
              if (one !== 'reading') setOpen(false);
            }}
          />
          {column.at ? (
            <ReadingFields at={column.at} onChange={(at) => onChange({ ...column, at, unit: null })} />
          ) : null}
          {usual === null || unitsLike(usual).length < 2 ? null : (
            <Choice
              label={say.unit}
              options={unitsLike(usual)}
              word={(unit) => unit}
              value={column.unit ?? usual}
              onChoose={(unit) => onChange({ ...column, unit: unit === usual ? null : unit })}
            />
          )}
        </>
      ) : null}
    </View>
  );
}

const columnFor = (field: SheetField | 'reading' | typeof NOTHING): SheetColumn => ({
  field: field === NOTHING ? null : field,
  unit: null,
  at: field === 'reading' ? readingAt('tyre.tread') : null,
});

function meaning({ field, at }: SheetColumn): string {
  if (field === null) return say.notTaken;
  if (field !== 'reading') return say.field[field];
  return at ? pointWords(at.point, at.place, axlesOf(at.place), at.spot) : say.readingAt;
}

const usualUnit = (kind: SheetKind, { field, at }: SheetColumn): Unit | null =>
  at ? MEASURES[at.measure].unit : field === null || field === 'reading' ? null : (fieldsOf(kind)[field]?.unit ?? null);

interface ReadingFieldsProps {
  readonly at: NonNullable<SheetColumn['at']>;
  readonly onChange: (at: NonNullable<SheetColumn['at']>) => void;
}

function ReadingFields({ at, onChange }: ReadingFieldsProps) {
  const places = placesOf(at.point);
  const spots = spotsOf(at.point, at.measure);
  return (
    <>
      <Choice
        label={say.pointOf}
        options={COLUMN_POINTS}
        word={pointName}
        value={COLUMN_POINTS.find((one) => one === at.point) ?? null}
        onChoose={(point) => onChange(readingAt(point) ?? at)}
      />
      {places.length > 1 ? (
        <Choice
          label={say.placeOf}
          options={places}
          word={(place) => capital(placeWords(place, axlesOf(place)))}
          value={at.place}
          onChoose={(place) => onChange({ ...at, place })}
        />
      ) : null}
      {spots.length > 1 ? (
        <Choice
          label={say.spotOf}
          options={spots}
          word={(spot) => words.spot[spot]}
          value={at.spot}
          onChoose={(spot) => onChange({ ...at, spot })}
        />
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({
  column: { borderTopWidth: 1, paddingTop: SPACE.s, gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
  says: { maxWidth: '60%' },
});
