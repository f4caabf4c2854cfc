import { pointKey, type WalkStep } from '@weskopos/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { putFindings, undoLast, type Target } from '../../visit/findings';
import { quickLook, type QuickLook } from '../../visit/quickLook';
import type { Panel } from './StepActions';
import type { WalkAct } from './walkKeys';
import type { WalkPoints } from './useWalkPoints';

/** Where one is in the walk, and everything that leads on from there. */
export interface WalkWay {
  /** Undefined where nothing is to be walked. */
  readonly step: WalkStep | undefined;
  readonly index: number;
  readonly isLast: boolean;
  /** What the whole step can be said to be by one touch. */
  readonly quick: QuickLook | null;
  readonly panel: Panel;
  readonly setPanel: (panel: Panel) => void;
  readonly jumping: boolean;
  readonly setJumping: (jumping: boolean) => void;
  readonly help: boolean;
  /** What was to be undone was written over since: it stands. */
  readonly overtaken: boolean;
  readonly goTo: (step: WalkStep | undefined) => void;
  /** To the step of a point, by its key. */
  readonly goToPoint: (key: string) => void;
  readonly toStop: (stop: string) => void;
  readonly toEnds: () => void;
  readonly acts: Readonly<Record<WalkAct, (key: string) => void>>;
}

/** @param at key of the point to begin at; null for the first that is not seen */
export function useWalkWay({ background, steps, openSteps }: WalkPoints, target: Target, at: string | null): WalkWay {
  const router = useRouter();
  const isOpen = (step: WalkStep) => openSteps.has(step.id);
  const stepWith = (key: string | null) =>
    steps.find((step) => step.points.some(({ point, place }) => pointKey(point, place) === key));
  // Chosen once: a point that has just been seen must not be whisked away from under the hand.
  const [chosen, setChosen] = useState(() => (stepWith(at) ?? steps.find(isOpen) ?? steps[0])?.id);
  const [panel, setPanel] = useState<Panel>(null);
  const [jumping, setJumping] = useState(false);
  const [help, setHelp] = useState(false);
  const [overtaken, setOvertaken] = useState(false);
  const step = steps.find((one) => one.id === chosen);
  const index = step ? steps.indexOf(step) : 0;
  const isLast = index === steps.length - 1;
  const quick = step ? quickLook(step, background.grading.standing, background.history) : null;
  const visit = `/vehicle/${target.vehicleId}/visit/${target.visitId}` as const;
  const overview = () => router.push(`${visit}/overview`);
  const goTo = (one: WalkStep | undefined) => {
    if (!one) return;
    setChosen(one.id);
    setPanel(null);
    setJumping(false);
    setOvertaken(false);
  };
  const next = () => (isLast ? overview() : goTo(steps[index + 1]));
  const undo = () => {
    const undone = undoLast(target.visitId);
    if (!undone?.ref) return;
    goTo(stepWith(pointKey(undone.ref.point, undone.ref.place)));
    setOvertaken(undone.status === 'overtaken');
  };
  const takeQuick = () => {
    if (!step || !quick) return;
    const changes = step.points.map((ref, position) => ({ ref, change: () => quick.changes[position] ?? {} }));
    void putFindings(target, changes);
    next();
  };
  return {
    step,
    index,
    isLast,
    quick,
    panel,
    setPanel,
    jumping,
    setJumping,
    help,
    overtaken,
    goTo,
    goToPoint: (key) => goTo(stepWith(key)),
    toStop: (stop) =>
      goTo(steps.find((one) => one.stop === stop && isOpen(one)) ?? steps.find((one) => one.stop === stop)),
    toEnds: () => router.push(`${visit}/ends`),
    acts: {
      next,
      back: () => goTo(steps[index - 1]),
      sound: takeQuick,
      'hand-grade': () => setPanel('more'),
      number: typeInto,
      photo: () => setPanel('photo'),
      note: () => setPanel('note'),
      jump: () => setJumping(true),
      undo,
      overview,
      help: () => setHelp((before) => !before),
    },
  };
}

/** A digit pressed anywhere begins the step's first reading. */
function typeInto(digit: string): void {
  const field = document.querySelector<HTMLInputElement>('main input, [role="main"] input');
  if (!field) return;
  field.focus();
  document.execCommand('insertText', false, digit);
}
