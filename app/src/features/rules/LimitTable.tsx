import {
  BASES,
  SYSTEMS,
  VEHICLE_CLASSES,
  type Basis,
  type LimitRow,
  type LimitSheet,
  type System,
  type VehicleClass,
} from '@weskopos/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE, TOUCH } from '../../kit/tokens';
import { gradeColours, useIsWide, usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { LimitRowEditor } from './LimitRowEditor';
import { appliesWords, edgeWords, isMeant, judgedWords, limitUnit, systemsOf } from './limitWords';
import { useNearby } from './useNearby';
import { rules as say } from '@weskopos/words/en/pages/rules';

interface LimitTableProps {
  readonly sheet: LimitSheet;
  /** What is wrong with a threshold of a row; undefined where nothing is. */
  readonly problemAt: (row: number, threshold: number) => string | undefined;
  readonly onChange: (sheet: LimitSheet) => void;
}

const ANY = 'any';

/** Every measured limit on one line: whom it governs, where it lies, how much of what was read lies near it. Found by any word; edited in place. */
export function LimitTable({ sheet, problemAt, onChange }: LimitTableProps) {
  const wide = useIsWide();
  const [wanted, setWanted] = useState('');
  const [filters, setFilters] = useState(false);
  const [forClass, setForClass] = useState<VehicleClass | typeof ANY>(ANY);
  const [system, setSystem] = useState<System | typeof ANY>(ANY);
  const [basis, setBasis] = useState<Basis | typeof ANY>(ANY);
  const [open, setOpen] = useState<number | null>(null);
  const nearby = useNearby(sheet.rows);
  const shown = sheet.rows
    .map((row, at) => ({ row, at }))
    .filter(
      ({ row }) =>
        isMeant(row, wanted.trim()) &&
        (forClass === ANY || (row.applies.classes?.includes(forClass) ?? true)) &&
        (system === ANY || systemsOf(row).includes(system)) &&
        (basis === ANY || row.thresholds.some((edge) => edge.basis === basis)),
    );
  const word =
    <T extends string>(of: Readonly<Record<T, string>>) =>
    (one: T | typeof ANY) =>
      one === ANY ? say.any : of[one];
  return (
    <>
      <View style={styles.line}>
        <View style={styles.grow}>
          <Field
            label={say.findALimit}
            value={wanted}
            onChangeText={setWanted}
            placeholder={say.findExample}
            hideLabel
          />
        </View>
        <Press label={say.filter} expanded={filters} onPress={() => setFilters(!filters)} />
      </View>
      {filters ? (
        <Card>
          <Choice
            label={say.forClass}
            options={[ANY, ...VEHICLE_CLASSES]}
            word={word(words.vehicleClass)}
            value={forClass}
            onChoose={setForClass}
          />
          <Choice
            label={say.ofSystem}
            options={[ANY, ...SYSTEMS]}
            word={word(words.system)}
            value={system}
            onChoose={setSystem}
          />
          <Choice
            label={say.basis}
            options={[ANY, ...BASES]}
            word={word(words.basis)}
            value={basis}
            onChoose={setBasis}
          />
        </Card>
      ) : null}
      <Words size="m" soft role="status">
        {say.limitsShown(shown.length, sheet.rows.length)}
      </Words>
      <View>
        {wide ? <Head /> : null}
        {shown.map(({ row, at }) => (
          <View key={`${sheet.code}${at}`}>
            <Line
              row={row}
              near={nearby?.[at] ?? null}
              isOpen={open === at}
              onPress={() => setOpen(open === at ? null : at)}
            />
            {open === at ? (
              <LimitRowEditor
                row={row}
                problemAt={(n) => problemAt(at, n)}
                onChange={(edited) =>
                  onChange({ ...sheet, rows: sheet.rows.map((one, n) => (n === at ? edited : one)) })
                }
                onTakeOut={() => {
                  setOpen(null);
                  onChange({ ...sheet, rows: sheet.rows.filter((_, n) => n !== at) });
                }}
              />
            ) : null}
          </View>
        ))}
      </View>
    </>
  );
}

/** What the columns hold; said in the lines themselves to who listens. */
function Head() {
  return (
    <View aria-hidden style={styles.row}>
      {[say.judged, say.governs, words.grade.advisory, words.grade.fail, say.near].map((one, index) => (
        <Label key={one} size="m" soft style={index === 0 ? styles.first : index === 1 ? styles.governs : styles.cell}>
          {one}
        </Label>
      ))}
    </View>
  );
}

interface LineProps {
  readonly row: LimitRow;
  /** How many readings lie near it; null while they are counted, or where nothing is counted. */
  readonly near: number | null;
  readonly isOpen: boolean;
  readonly onPress: () => void;
}

function Line({ row, near, isOpen, onPress }: LineProps) {
  const palette = usePalette();
  const wide = useIsWide();
  const edges = (grade: 'advisory' | 'fail') =>
    row.thresholds
      .filter((edge) => edge.grade === grade)
      .map(edgeWords)
      .join(', ');
  const unit = limitUnit(row);
  const told = (grade: 'advisory' | 'fail') => (edges(grade) ? `${edges(grade)} ${unit}`.trim() : say.noEdge);
  const bases = [...new Set(row.thresholds.map((edge) => words.basis[edge.basis]))].join(', ');
  const nearWords = near === null ? '' : say.nearCount(near);
  return (
    <Pressable
      role="button"
      aria-expanded={isOpen}
      onPress={onPress}
      style={[
        styles.row,
        wide ? null : styles.wrapped,
        { borderColor: palette.rule, backgroundColor: isOpen ? palette.card : 'transparent' },
      ]}
    >
      <View style={styles.first}>
        <Label size="l">{judgedWords(row)}</Label>
        {row.kind === 'value' ? null : (
          <Words size="s" soft>
            {words.limitKind[row.kind]}
          </Words>
        )}
        {wide ? null : (
          <Words size="s" soft>
            {[appliesWords(row), bases, nearWords].filter(Boolean).join(' · ')}
          </Words>
        )}
      </View>
      {wide ? (
        <Words size="m" style={styles.governs}>
          {appliesWords(row)}
        </Words>
      ) : null}
      {(['advisory', 'fail'] as const).map((grade) => (
        <View key={grade} style={wide ? styles.cell : styles.figure}>
          <Words size="m" strong colour={gradeColours(palette, grade).line}>
            {wide ? told(grade) : `${words.grade[grade]} ${told(grade)}`}
          </Words>
        </View>
      ))}
      {wide ? (
        <Words size="m" soft style={styles.cell}>
          {[bases, nearWords].filter(Boolean).join(' · ')}
        </Words>
      ) : null}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
  row: {
    minHeight: TOUCH.least,
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.s,
    paddingVertical: SPACE.xs,
    borderTopWidth: 1,
    borderColor: 'transparent',
  },
  wrapped: { flexWrap: 'wrap' },
  first: { flexGrow: 3, flexShrink: 1, flexBasis: 180 },
  governs: { flexGrow: 3, flexShrink: 1, flexBasis: 120 },
  cell: { flexGrow: 2, flexShrink: 1, flexBasis: 96 },
  figure: { flexBasis: 120, flexGrow: 1 },
});
