import { changeOfSets, type Series, type Vehicle } from '@weskopos/core';
import { inferredChanges, type InferredChange } from '@weskopos/core/outlook';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount, day, placeWords } from '@weskopos/words/show';
import { putEntry } from '../../visit/putEntry';
import { life as say } from '@weskopos/words/en/pages/life';
import { common } from '@weskopos/words/en/pages/common';

interface InferredCardProps {
  readonly vehicle: Vehicle;
  readonly series: readonly Series[];
}

/** Asked at once; the rest follow when these are answered. */
const MOST = 3;

/** Parts that look changed and nobody wrote it down: asked until somebody says what it was. */
export function InferredCard({ vehicle, series }: InferredCardProps) {
  const asked = inferredChanges(series);
  if (asked.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.whatWasIt}</Heading>
      <Words size="m" soft>
        {say.theseGotBetterBetweenTwo}
      </Words>
      {asked.slice(0, MOST).map((change) => (
        <Question key={`${change.kind}${change.by.inspectionId}${placeOf(change)}`} vehicle={vehicle} change={change} />
      ))}
      {asked.length > MOST ? (
        <Words size="m" soft>
          {say.andMore(asked.length - MOST)}
        </Words>
      ) : null}
    </Card>
  );
}

const placeOf = (change: InferredChange) => (change.kind === 'replaced' ? `${change.what}${change.place}` : '');

function Question({ vehicle, change }: { readonly vehicle: Vehicle; readonly change: InferredChange }) {
  const { after, by } = change;
  const axles = vehicle.axles.length;
  // Nobody knows the day: half-way between the two looks is never far off.
  const between = {
    vehicleId: vehicle.id,
    at: new Date((Date.parse(after.at) + Date.parse(by.at)) / 2).toISOString(),
    meter: by.meter > after.meter ? Math.round((after.meter + by.meter) / 2) : null,
  };
  const dates = say.betweenAnd(day(after.at), day(by.at));
  if (change.kind === 'rotated')
    return (
      <View style={styles.question}>
        <Words>
          {say.theTyresDepthsChangedPlaces(
            dates,
            change.moves
              .map(({ from, to }) => say.placeToPlace(placeWords(from, axles), placeWords(to, axles)))
              .join(', '),
          )}
        </Words>
        <Press label={say.yesRotated} onPress={() => void putEntry(between, { kind: 'rotate', moves: change.moves })} />
      </View>
    );
  if (change.kind === 'all-tyres') {
    const allNew = async () => {
      for (const place of change.wheels)
        await putEntry(between, { kind: 'fit', what: 'tyre', place, fresh: null, note: '' });
    };
    return (
      <View style={styles.question}>
        <Words>{say.allTyresAreBetter(dates)}</Words>
        <View style={styles.row}>
          <Press
            label={say.otherSetIsOn}
            onPress={() => void putEntry(between, { kind: 'rotate', moves: changeOfSets(change.wheels) })}
          />
          <Press label={say.allNew} onPress={() => void allNew()} />
        </View>
      </View>
    );
  }
  const { what, place, jumps } = change;
  const misread = async (of: 'after' | 'by') => {
    for (const { point, spot, readings } of jumps) {
      const at = readings.findIndex(({ inspectionId }) => inspectionId === by.inspectionId);
      const wrong = readings[of === 'by' ? at : at - 1];
      if (!wrong) continue;
      const { inspectionId, meter } = wrong;
      await putEntry(
        { vehicleId: vehicle.id, at: wrong.at, meter },
        { kind: 'misread', inspectionId, point, place, spot },
      );
    }
  };
  const measure = jumps[0]?.measure ?? 'tread';
  return (
    <View style={styles.question}>
      <Words>
        {say.then(
          words.partKind[what],
          placeWords(place, axles),
          amount(measure, after.value),
          amount(measure, by.value),
          dates,
        )}
      </Words>
      <View style={styles.row}>
        <Press
          label={common.newPart}
          hint={say.aNewPart(words.partKind[what], placeWords(place, axles))}
          onPress={() => void putEntry(between, { kind: 'fit', what, place, fresh: null, note: '' })}
        />
        <Press label={say.wasMisread(day(by.at))} onPress={() => void misread('by')} />
        <Press label={say.wasMisread(day(after.at))} onPress={() => void misread('after')} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  question: { gap: SPACE.s, paddingTop: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
