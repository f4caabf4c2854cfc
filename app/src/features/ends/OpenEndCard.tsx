import { END_KINDS, hubPlaces, isAtWheel, isFastened, type EndKind, type Vehicle, type Hub } from '@weskopos/core';
import { useState } from 'react';
import { Card } from '../../kit/Card';
import { Choice } from '../../kit/Choice';
import { Field } from '../../kit/Field';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { words } from '../../words/en';
import { capital, placeWords } from '../../words/show';
import { putAct } from './putAct';
import { ends as say } from '../../words/en/pages/ends';
import { common } from '../../words/en/pages/common';

/** Opens an end by hand: what was opened, where, and how many fasteners held it. */
export function OpenEndCard({ vehicle, visitId }: { readonly vehicle: Vehicle; readonly visitId: string }) {
  const [shown, setShown] = useState(false);
  const [end, setEnd] = useState<EndKind | null>(null);
  const [place, setPlace] = useState<Hub | null>(null);
  const [count, setCount] = useState('');
  if (!shown) return <Press label={say.iHaveOpenedSomething} onPress={() => setShown(true)} />;
  const studs = end === 'wheel' && vehicle.spec.studs ? String(vehicle.spec.studs) : '';
  const fasteners = Number(count || studs);
  const countRight = Number.isInteger(fasteners) && fasteners >= 1 && fasteners <= 99;
  const missing =
    end === null ? say.chooseWhatWasOpened : isAtWheel(end) && place === null ? say.chooseAtWhichWheel : null;
  const problem = missing ?? (end && isFastened(end) && !countRight ? 'Fasteners: 1 to 99.' : null);
  const open = () => {
    if (end === null || problem) return;
    void putAct(visitId, {
      kind: 'open',
      end,
      place: isAtWheel(end) ? (place ?? '') : '',
      fasteners: isFastened(end) ? fasteners : null,
    });
    setShown(false);
    setEnd(null);
    setPlace(null);
    setCount('');
  };
  return (
    <Card>
      <Choice label={say.whatIsOpen} options={END_KINDS} word={(one) => words.end[one]} value={end} onChoose={setEnd} />
      {end && isAtWheel(end) ? (
        <Choice
          label={say.atWhichWheel}
          options={hubPlaces(vehicle.axles)}
          word={(hub) => capital(placeWords(hub, vehicle.axles.length))}
          value={place}
          onChoose={setPlace}
        />
      ) : null}
      {end && isFastened(end) ? (
        <Field label={say.howManyFastenersHoldIt} inputMode="numeric" value={count || studs} onChangeText={setCount} />
      ) : null}
      {problem ? <Words soft>{problem}</Words> : null}
      <Press kind="main" label={common.writeItDownAsOpen} disabled={problem !== null} onPress={open} />
    </Card>
  );
}
