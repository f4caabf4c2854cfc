import type { Life } from '@weskopos/contract';
import {
  axleAt,
  changeOfSets,
  changesOfSets,
  isOnHub,
  isStored,
  lastFigure,
  hubPlaces,
  threadParts,
  tyresAtHub,
  type VehicleOutlook,
  recordOf,
  type Part,
  type Place,
  type Vehicle,
  type Wheel,
} from '@weskopos/core';
import { CORNERS, rotationOf } from '@weskopos/core/calculators/rotation';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { nowIso } from '../../sync/clock';
import { words } from '@weskopos/words/en';
import { HouseLine } from '../../controls/HouseLine';
import { capital, day, houseRules, meterWords, placeWords } from '@weskopos/words/show';
import { putEntry } from '../../visit/putEntry';
import { life as say } from '@weskopos/words/en/pages/life';
import { common } from '@weskopos/words/en/pages/common';

interface PartsCardProps {
  readonly life: Life;
  readonly parts: VehicleOutlook['parts'];
  readonly meter: number | null;
}

/** What sits where and since when; tyres are rotated in one act. */
export function PartsCard({ life: { vehicle, entries }, parts, meter }: PartsCardProps) {
  const [open, setOpen] = useState<'rotation' | 'sets' | null>(null);
  const book = threadParts(entries);
  const axles = vehicle.axles.length;
  const places = hubPlaces(vehicle.axles);
  const now = nowIso();
  const wheels = places.flatMap((place) => tyresAtHub(vehicle.axles, place)).filter(isOnHub);
  const lastChange = changesOfSets(entries).at(-1);
  // A part stands on the outlook by the worst of its spots.
  const tread = (place: Place) => {
    const one = parts.find(({ series }) => series.point === 'tyre.tread' && series.place === place);
    return (one && lastFigure(one.series)) ?? NaN;
  };
  const fourSingle =
    axles === 2 && vehicle.axles.every(({ dual }) => !dual) && CORNERS.every((place) => Number.isFinite(tread(place)));
  const told = (what: 'tyre' | 'pads' | 'shoes', place: Place): string[] => {
    const part = book.partAt(what, place, now);
    const since = part.places.length > 1 ? part.places.at(-1)?.since : undefined;
    if (!part.fittedAt && !since) return [];
    const gone =
      meter !== null && part.fittedMeter !== null && meter > part.fittedMeter
        ? say.onIt(meterWords(meter - part.fittedMeter, vehicle.meterUnit))
        : '';
    return [
      `${capital(placeWords(place, axles))}: ${words.partKind[what].toLowerCase()} ${cameFrom(part, gone)}${since ? say.hereSince(day(since)) : ''}`,
    ];
  };
  const known = places.flatMap((place) => [
    ...tyresAtHub(vehicle.axles, place).flatMap((tyre) => told('tyre', tyre)),
    ...told(axleAt(vehicle.axles, place)?.brake === 'drum' ? 'shoes' : 'pads', place),
  ]);
  return (
    <Card>
      <Heading level={2}>{say.parts}</Heading>
      {known.length === 0 ? <Words soft>{say.nothingOnRecordOfWhen}</Words> : null}
      {known.map((line) => (
        <Words key={line} size="m">
          {line}
        </Words>
      ))}
      {lastChange ? <Words size="m">{say.inStore(wheels.length, day(lastChange.at))}</Words> : null}
      {open === null ? (
        <View style={styles.row}>
          {fourSingle ? <Press label={words.entryKind.rotate} onPress={() => setOpen('rotation')} /> : null}
          <Press label={say.changeSets} onPress={() => setOpen('sets')} />
        </View>
      ) : null}
      {open === 'rotation' ? (
        <Rotation vehicle={vehicle} tread={tread} meter={meter} onDone={() => setOpen(null)} />
      ) : null}
      {open === 'sets' ? (
        <SetsChange
          isFirst={lastChange === undefined}
          onLeave={() => setOpen(null)}
          onChanged={() => {
            void putEntry({ vehicleId: vehicle.id, meter }, { kind: 'rotate', moves: changeOfSets(wheels) });
            setOpen(null);
          }}
        />
      ) : null}
    </Card>
  );
}

/** Since when a part is on record. @param gone what it has done since it was new, as words */
function cameFrom({ fittedAt, places: [first] }: Part, gone: string): string {
  if (fittedAt) return say.newOn(day(fittedAt), gone);
  return first && isStored(first.place) ? say.ofTheOtherSet : say.thatCameWithIt;
}

interface SetsChangeProps {
  /** Nobody wrote down yet that there is another set. */
  readonly isFirst: boolean;
  readonly onLeave: () => void;
  readonly onChanged: () => void;
}

/** The set that is on goes into store, the other comes on. */
function SetsChange({ isFirst, onLeave, onChanged }: SetsChangeProps) {
  return (
    <View style={styles.stack}>
      <Words>{say.whatIsOnGoesInto}</Words>
      {isFirst ? <Words soft>{say.nothingKnownOfOtherSet}</Words> : null}
      <Words size="s" soft>
        {say.torqueAfterSets}
      </Words>
      <View style={styles.row}>
        <Press label={say.leaveIt} onPress={onLeave} />
        <Press kind="main" label={say.setsChanged} onPress={onChanged} style={styles.grow} />
      </View>
    </View>
  );
}

interface RotationProps {
  readonly vehicle: Vehicle;
  /** Least tread of the tyre at a corner, mm. */
  readonly tread: (place: Place) => number;
  readonly meter: number | null;
  readonly onDone: () => void;
}

/** Which tyres went where, as the house would have it or as it was done. */
function Rotation({ vehicle, tread, meter, onDone }: RotationProps) {
  const [pattern, setPattern] = useState<'planned' | 'swap-sides' | 'front-rear'>('planned');
  const [arrow, setArrow] = useState<'yes' | 'no' | null>(null);
  const axles = vehicle.axles.length;
  // A house that rotates nothing is proposed nothing; what was done can still be written down.
  const plan = rotationOf({
    tread: recordOf(CORNERS, tread),
    spare: null,
    drive: vehicle.makeUp.drive,
    // Tyres nobody has looked at for an arrow keep their side.
    directional: arrow !== 'no',
    staggered: new Set(vehicle.axles.map(({ tyreSize }) => tyreSize)).size > 1,
    house: houseRules(),
  });
  const moves: { from: Wheel; to: Wheel }[] =
    pattern === 'planned' && plan.status === 'rotate'
      ? CORNERS.map((to) => ({ from: plan.from[to], to: to }))
      : pattern === 'swap-sides'
        ? [
            { from: '1L', to: '1R' },
            { from: '1R', to: '1L' },
            { from: '2L', to: '2R' },
            { from: '2R', to: '2L' },
          ]
        : [
            { from: '1L', to: '2L' },
            { from: '2L', to: '1L' },
            { from: '1R', to: '2R' },
            { from: '2R', to: '1R' },
          ];
  const rotate = async () => {
    await putEntry({ vehicleId: vehicle.id, meter }, { kind: 'rotate', moves });
    onDone();
  };
  return (
    <View style={styles.stack}>
      <Words>
        {plan.status === 'rotate' ? say.byTheHouseRule(words.rotationPattern[plan.pattern]) : say.byTheHouseRuleA}
      </Words>
      <HouseLine question="rotation" />
      <HouseLine question="bestTyres" />
      <Choice
        label={say.arrowOnTheWall}
        options={['yes', 'no'] as const}
        word={(one) => (one === 'yes' ? say.arrowYes : say.arrowNo)}
        value={arrow}
        onChoose={(one) => {
          setArrow(one);
          if (one === 'yes' && pattern === 'swap-sides') setPattern('planned');
        }}
      />
      <Choice
        label={say.howEntered}
        options={[
          ...(plan.status === 'rotate' ? (['planned'] as const) : []),
          'front-rear' as const,
          ...(arrow === 'no' ? (['swap-sides'] as const) : []),
        ]}
        word={(one) => (one === 'planned' ? say.asPlanned : one === 'front-rear' ? say.frontToRear : say.leftToRight)}
        value={pattern === 'planned' && plan.status !== 'rotate' ? 'front-rear' : pattern}
        onChoose={setPattern}
      />
      <Words size="s" soft>
        {moves.map(({ from, to }) => say.placeToPlace(placeWords(from, axles), placeWords(to, axles))).join(', ')}
        {say.torqueTheBoltsOnThe}
      </Words>
      <View style={styles.row}>
        <Press label={say.leaveIt} onPress={() => onDone()} />
        <Press kind="main" label={common.rotated} onPress={() => void rotate()} style={styles.grow} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  grow: { flex: 1 },
});
