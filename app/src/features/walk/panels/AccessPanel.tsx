import { ACCESS_REASONS, type AccessReason, type Finding, type WalkStep } from '@weskopos/core';
import { Choice } from '../../../kit/Choice';
import { words } from '@weskopos/words/en';
import { putFindings, type Target } from '../../../visit/findings';
import { panels as say } from '@weskopos/words/en/pages/panels';

interface AccessPanelProps {
  readonly step: WalkStep;
  readonly finding: Finding | undefined;
  readonly target: Target;
  readonly onDone: () => void;
}

/** What could not be looked at, or only in part, and why: a result, never a silent pass. */
export function AccessPanel({ step, finding, target, onDone }: AccessPanelProps) {
  const reach = (access: 'partly' | 'not-reached', accessReason: AccessReason) => {
    void putFindings(
      target,
      step.points.map((ref) => ({ ref, change: () => ({ access, accessReason }) })),
    );
    onDone();
  };
  return (
    <>
      <Choice
        label={say.notReachedBecause}
        options={ACCESS_REASONS}
        word={(reason) => words.accessReason[reason]}
        value={finding?.access === 'not-reached' ? finding.accessReason : null}
        onChoose={(reason) => reach('not-reached', reason)}
      />
      <Choice
        label={say.onlyPartlySeenBecause}
        options={ACCESS_REASONS}
        word={(reason) => words.accessReason[reason]}
        value={finding?.access === 'partly' ? finding.accessReason : null}
        onChoose={(reason) => reach('partly', reason)}
      />
    </>
  );
}
