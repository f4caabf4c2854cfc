import type { SheetLook } from '@weskopos/contract';
import { fieldsOf, type SheetField, type SheetKind } from '@weskopos/core/sheets/sheetKinds';
import { Card } from '../../../kit/Card';
import { Field } from '../../../kit/Field';
import { Heading, Words } from '../../../kit/Words';
import { table as say } from '@weskopos/words/en/pages/table';

type Reading = SheetLook['guess'];

/** Fields that often are the same for a whole table, beside those it needs. */
const OFTEN: Readonly<Record<SheetKind, readonly SheetField[]>> = {
  readings: ['spot', 'by'],
  log: ['kind', 'fluid', 'by'],
  jobs: ['paper', 'by'],
  parts: ['by'],
  vehicles: ['meterUnit', 'use', 'axles'],
};
/** What the long form of readings needs besides, where no column names a place. */
const LONG: readonly SheetField[] = ['point', 'value'];

/** Fields that no column says, in the order they are asked: what is needed first. */
export function unsaidFields({
  kind,
  columns,
}: Pick<Reading, 'kind' | 'columns'>): { readonly field: SheetField; readonly needed: boolean }[] {
  const said = new Set(columns.map(({ field }) => field));
  const isLong = kind === 'readings' && !said.has('reading');
  const needed = Object.entries(fieldsOf(kind)).flatMap(([field, one]) => (one.needed ? [field as SheetField] : []));
  return [
    ...[...needed, ...(isLong ? LONG : [])].map((field) => ({ field, needed: true })),
    ...OFTEN[kind].filter((field) => field !== 'spot' || isLong).map((field) => ({ field, needed: false })),
  ].filter(({ field }) => !said.has(field));
}

interface EveryRowProps {
  readonly reading: Reading;
  readonly onChange: (fixed: Reading['fixed']) => void;
}

/** What every row says of a field no column has. */
export function EveryRow({ reading, onChange }: EveryRowProps) {
  const unsaid = unsaidFields(reading);
  if (unsaid.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.everyRow}</Heading>
      <Words>{say.everyRowHelp}</Words>
      {unsaid.map(({ field, needed }) => (
        <Field
          key={field}
          label={needed ? say.needed(say.field[field]) : say.field[field]}
          value={reading.fixed[field] ?? ''}
          maxLength={200}
          onChangeText={(text) => {
            const { [field]: _before, ...rest } = reading.fixed;
            onChange(text === '' ? rest : { ...rest, [field]: text });
          }}
        />
      ))}
    </Card>
  );
}
