import type { Alarm } from '@weskopos/contract';
import { useEffect, useState } from 'react';
import { GradeMark } from '../../kit/GradeMark';
import { Slip } from '../../kit/Slip';
import { usePalette } from '../../kit/theme';
import { call, useWorkshop } from '../../sync/workshop';
import { data as say } from '@weskopos/words/en/pages/data';

/** Tells leads that the workshop is not kept twice: the last backup failed, or is days old. */
export function BackupAlarm() {
  const palette = usePalette();
  const isLead = useWorkshop((state) => state.person?.role === 'lead');
  const [alarm, setAlarm] = useState<Alarm['alarm']>(null);
  useEffect(() => {
    if (!isLead) return;
    call('backupAlarm').then(
      ({ alarm }) => setAlarm(alarm),
      // Without the workshop nothing is known of it, and nothing can be done.
      () => undefined,
    );
  }, [isLead]);
  if (!isLead || alarm === null) return null;
  return (
    <Slip
      mark={<GradeMark grade="advisory" height={44} />}
      name={alarm === 'failed' ? say.alarmFailed : say.alarm}
      figureColour={palette.advisory}
      why={say.alarmWhy}
      href="/data"
    />
  );
}
