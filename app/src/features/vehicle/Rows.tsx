import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading } from '../../kit/Words';
import { vehicle as say } from '@weskopos/words/en/pages/vehicle';
import { common } from '@weskopos/words/en/pages/common';

interface RowsProps {
  readonly title: string;
  readonly add: string;
  readonly onAdd: () => void;
  readonly rows: readonly {
    readonly id: string;
    readonly fields: ReactNode;
    readonly onTakeOut: () => void;
    readonly name: string;
  }[];
}

/** A list of the spec sheet: rows to fill in, one more, one less. */
export function Rows({ title, add, onAdd, rows }: RowsProps) {
  return (
    <Card>
      <Heading level={2}>{title}</Heading>
      {rows.map(({ id, fields, onTakeOut, name }) => (
        <View key={id} style={styles.row}>
          {fields}
          <Press label={common.takeOut} hint={say.takeOut(name)} onPress={onTakeOut} style={styles.aside} />
        </View>
      ))}
      <Press label={add} onPress={onAdd} style={styles.aside} />
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { gap: SPACE.s, paddingBottom: SPACE.m },
  aside: { alignSelf: 'flex-start' },
});
