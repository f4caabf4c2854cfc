import {
  OWN_CODES,
  OWN_LOOK_MOST,
  OWN_NAME_MOST,
  OWN_STATIONS,
  freeOwnPoint,
  isOneOf,
  cataloguePoint,
  type OwnCode,
  type OwnPoints as Points,
  type Station,
} from '@weskopos/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { rules as say } from '@weskopos/words/en/pages/rules';

interface OwnPointsProps {
  readonly station: Station;
  readonly points: Points;
  /** `added`: the point that is new, to be looked at from now on. */
  readonly onChange: (points: Points, added: OwnCode | null) => void;
}

/** Points the workshop adds to a station: a name, and what to look for. */
export function OwnPoints({ station, points, onChange }: OwnPointsProps) {
  const [name, setName] = useState('');
  const [look, setLook] = useState('');
  if (!isOneOf(OWN_STATIONS, station)) return null;
  const free = freeOwnPoint(points, station);
  const named = OWN_CODES.filter((code) => cataloguePoint(code).station === station && points[code] !== undefined);
  const taken = Object.values(points).some((one) => one.name.toLowerCase() === name.trim().toLowerCase());
  const add = () => {
    if (free === null || name.trim() === '' || taken) return;
    onChange({ ...points, [free]: { name: name.trim(), look: look.trim() } }, free);
    setName('');
    setLook('');
  };
  return (
    <View style={styles.stack}>
      <Heading level={3}>{say.ownPoints}</Heading>
      {named.map((code) => (
        <View key={code} style={styles.stack}>
          <Field
            label={say.ownName(points[code]?.name ?? '')}
            value={points[code]?.name ?? ''}
            maxLength={OWN_NAME_MOST}
            onChangeText={(text) => onChange({ ...points, [code]: { look: '', ...points[code], name: text } }, null)}
          />
          <Field
            label={say.ownLook(points[code]?.name ?? '')}
            value={points[code]?.look ?? ''}
            maxLength={OWN_LOOK_MOST}
            onChangeText={(text) => onChange({ ...points, [code]: { name: '', ...points[code], look: text } }, null)}
          />
        </View>
      ))}
      {free === null ? (
        <Words soft>{say.ownAllTaken}</Words>
      ) : (
        <>
          <Field
            label={say.ownNew}
            value={name}
            maxLength={OWN_NAME_MOST}
            onChangeText={setName}
            problem={taken && name.trim() !== '' ? say.ownTaken : undefined}
          />
          <Field label={say.ownNewLook} value={look} maxLength={OWN_LOOK_MOST} onChangeText={setLook} />
          <Press label={say.ownAdd} disabled={name.trim() === '' || taken} onPress={add} style={styles.aside} />
          <Words size="m" soft>
            {say.ownHint}
          </Words>
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s }, aside: { alignSelf: 'flex-start' } });
