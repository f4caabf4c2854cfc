import {
  ENDS_BY_STATION,
  hasEnd,
  hubPlaces,
  isAtAxle,
  isAtWheel,
  isFastened,
  openingProblem,
  placeOf,
  typedKeys,
  AXLE_NUMBERS,
  type Act,
  type EndKind,
  type Place,
  type Vehicle,
} from '@weskopos/core';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { capital, placeWords, stopWords } from '@weskopos/words/show';
import { putAct } from './putAct';
import { ends as say } from '@weskopos/words/en/pages/ends';
import { common } from '@weskopos/words/en/pages/common';

interface OpenEndProps {
  readonly vehicle: Vehicle;
  readonly visitId: string;
  readonly acts: readonly Act[];
}

/** Opens an end by hand: a tap shows what there is to open on this vehicle. */
export function OpenEndCard(props: OpenEndProps) {
  const [shown, setShown] = useState(false);
  if (!shown) return <Press label={say.iHaveOpenedSomething} onPress={() => setShown(true)} />;
  return <OpenEnd {...props} onDone={() => setShown(false)} />;
}

/** Where an end of a kind can be on a vehicle; none for one it has once. */
function placesOf(end: EndKind | null, { axles }: Pick<Vehicle, 'axles'>): Place[] {
  if (end === null) return [];
  if (isAtWheel(end)) return hubPlaces(axles);
  if (!isAtAxle(end)) return [];
  return AXLE_NUMBERS.slice(0, axles.length)
    .filter((_, at) => axles[at]?.driven)
    .map((axle) => placeOf({ axle, side: null, tyre: null }));
}

/** What was opened, where, and how many fasteners held it. */
function OpenEnd({ vehicle, visitId, acts, onDone }: OpenEndProps & { readonly onDone: () => void }) {
  const palette = usePalette();
  const [end, setEnd] = useState<EndKind | null>(null);
  const [chosen, setPlace] = useState<Place | null>(null);
  const [count, setCount] = useState('');
  const places = placesOf(end, vehicle);
  const place = places.length === 1 ? (places[0] ?? null) : chosen !== null && places.includes(chosen) ? chosen : null;
  const studs = end === 'wheel' && vehicle.spec.studs ? String(vehicle.spec.studs) : '';
  const fasteners = Number(count || studs);
  const countRight = Number.isInteger(fasteners) && fasteners >= 1 && fasteners <= 99;
  const missing =
    end === null
      ? say.chooseWhatWasOpened
      : places.length > 0 && place === null
        ? say.chooseAtWhichWheel
        : isFastened(end) && !countRight
          ? say.fasteners1To99
          : null;
  const odd = end === null || missing ? null : openingProblem(acts, end, place ?? '');
  const open = () => {
    if (end === null || missing) return;
    void putAct(visitId, { kind: 'open', end, place: place ?? '', fasteners: isFastened(end) ? fasteners : null });
    onDone();
  };
  return (
    <Card>
      {end ? (
        <Press label={words.end[end]} hint={say.somethingElse(words.end[end])} chosen onPress={() => setEnd(null)} />
      ) : (
        <WhatIsOpen vehicle={vehicle} onChoose={setEnd} />
      )}
      {places.length > 1 ? (
        <Choice
          label={end && isAtAxle(end) ? say.atWhichAxle : say.atWhichWheel}
          options={places}
          word={(one) => capital(placeWords(one, vehicle))}
          value={place}
          onChoose={setPlace}
        />
      ) : null}
      {end && isFastened(end) ? (
        <Field
          label={say.howManyFastenersHoldIt}
          inputMode="numeric"
          figures={{}}
          value={count || studs}
          onChangeText={setCount}
        />
      ) : null}
      {missing ? <Words soft>{missing}</Words> : null}
      {odd ? (
        <Words role="alert" colour={palette.advisory}>
          {words.openingProblem[odd]}
        </Words>
      ) : null}
      <Press
        kind={odd ? 'plain' : 'main'}
        label={odd ? say.openAllTheSame : common.writeItDownAsOpen}
        disabled={missing !== null || odd === 'fill-plug-first'}
        onPress={open}
      />
    </Card>
  );
}

/** What there is to open on a vehicle, by where it is. */
function WhatIsOpen({ vehicle, onChoose }: { readonly vehicle: Vehicle; readonly onChoose: (end: EndKind) => void }) {
  return typedKeys(ENDS_BY_STATION).map((station) => (
    <Choice<EndKind>
      key={station}
      label={stopWords(station, vehicle)}
      options={ENDS_BY_STATION[station].filter((one) => hasEnd(one, vehicle))}
      word={(one) => words.end[one]}
      value={null}
      onChoose={onChoose}
    />
  ));
}
