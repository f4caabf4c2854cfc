import type { YardEntry } from '@weskopos/contract';
import { memo } from 'react';
import { GradeMark } from '../../kit/GradeMark';
import { Slip } from '../../kit/Slip';
import { usePalette } from '../../kit/theme';
import { words } from '@weskopos/words/en';
import { yard as say } from '@weskopos/words/en/pages/yard';
import { dateWords, meterWords } from '@weskopos/words/show';

interface VehicleLineProps {
  readonly entry: YardEntry;
  readonly current?: boolean;
  /** The day alone, without the meter. */
  readonly brief?: boolean;
}

/** One vehicle as a line: how it stands, what it is, when it was last seen and how far it had come. */
export const VehicleLine = memo(function VehicleLine({
  entry: { vehicle, standing, last },
  current,
  brief,
}: VehicleLineProps) {
  const palette = usePalette();
  const seen = standing?.last?.at ?? last?.startedAt;
  const on = seen ? dateWords(new Date(seen), 'dayAndMonth') : '';
  const meter = last && !brief ? [meterWords(last.meter, vehicle.meterUnit)] : [];
  const figure = last && seen ? [on, ...meter].join(' · ') : say.never;
  const grade = standing?.grade ?? 'not-seen';
  return (
    <Slip
      flat
      mark={<GradeMark grade={grade} height={36} />}
      name={vehicle.fleetCode}
      figure={figure}
      figureColour={palette.soft}
      why={[`${vehicle.make} ${vehicle.model}`.trim(), vehicle.use].filter(Boolean).join(' · ')}
      label={say.lineOf(vehicle.fleetCode, words.grade[grade].toLowerCase(), figure)}
      href={`/vehicle/${vehicle.id}`}
      {...(current === undefined ? {} : { current })}
    />
  );
});
