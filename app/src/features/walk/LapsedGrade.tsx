import type { GradeOverride, PointGrade } from '@weskopos/core';
import { Press } from '../../kit/Press';
import { Words } from '../../kit/Words';
import { useWorkshop } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { walk as say } from '@weskopos/words/en/pages/walk';

interface LapsedGradeProps {
  readonly lapsed: GradeOverride;
  readonly result: PointGrade;
  readonly onAgain: (override: GradeOverride) => void;
}

/** A grade by hand was given for what was read before: it is asked for again, never carried over by itself. */
export function LapsedGrade({ lapsed, result, onAgain }: LapsedGradeProps) {
  const isLead = useWorkshop(({ person }) => person?.role === 'lead');
  const grade = words.grade[lapsed.grade];
  return (
    <>
      <Words role="status" size="m">
        {say.gradeLapsed(grade.toLowerCase(), lapsed.reason)}
      </Words>
      {result.failsLaw && !isLead ? null : (
        <Press label={say.giveItAgain(grade.toLowerCase())} onPress={() => onAgain(lapsed)} />
      )}
    </>
  );
}
