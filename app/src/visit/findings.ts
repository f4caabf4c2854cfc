import {
  cataloguePoint,
  contentOf,
  currentFindings,
  isLookChange,
  nextFinding,
  pointKey,
  unmetNeeds,
  vehicleState,
  type Finding,
  type FindingChange,
  type PointRef,
} from '@weskopos/core';
import { create } from 'zustand';
import { nowIso, nowMs } from '../sync/clock';
import { readTab, writeTab } from '../sync/tabStorage';
import { record, selectLife, useWorkshop } from '../sync/workshop';

/** The visit a change belongs to. */
export interface Target {
  readonly vehicleId: string;
  readonly visitId: string;
  /** Changes are gathered here rather than written down one by one: an amendment is kept as a whole. */
  readonly draft?: Draft;
}

/** An entry that is not written down yet. */
export interface Draft {
  readonly now: Finding | null;
  /** What stands at the point. */
  readonly before: Finding | undefined;
  readonly set: (finding: Finding) => void;
}

/** One act: usually one point, several when a whole station was said to be sound. */
interface UndoEntry extends Target {
  readonly points: readonly { readonly ref: PointRef; readonly before: Finding | undefined }[];
}

interface UndoState {
  readonly entries: readonly UndoEntry[];
  /** Ids of what was written here, oldest first. */
  readonly own: readonly string[];
}

/** So much can be taken back, and so much is known to be one's own: nobody undoes a whole day tap by tap. */
const MOST_UNDONE = 60;
const MOST_OWN = 600;

const UNDO = 'weskopos-undo';
/** What can be taken back: outlives a reload, dies with the tab. */
export const useUndo = create<UndoState>(() => readTab<UndoState>(UNDO) ?? { entries: [], own: [] });
// The store's own middleware for this would come with all the others, into the piece that every page waits for.
useUndo.subscribe((state) => writeTab(UNDO, state));

function visitNow({ vehicleId, visitId }: Target) {
  return selectLife(useWorkshop.getState(), vehicleId)?.visits.find(({ inspection }) => inspection.id === visitId);
}

function standingNow(target: Target, { point, place }: PointRef): Finding | undefined {
  return currentFindings(visitNow(target)?.findings ?? []).standing.get(pointKey(point, place));
}

function append(target: Target, ref: PointRef, standing: Finding | undefined, change: FindingChange): Promise<void> {
  const stamp = { id: crypto.randomUUID(), at: nowIso() };
  useUndo.setState(({ own }) => ({ own: [...own, stamp.id].slice(-MOST_OWN) }));
  return record({
    kind: 'finding.put',
    body: withoutAuthor(
      nextFinding(standing, { inspectionId: target.visitId, ...ref }, stamp, {
        ...change,
        ...stateOf(target, ref, change),
      }),
    ),
  });
}

/** The states a new look lacks; what only adds to a look leaves them as they were, and what is brought back keeps its own. */
function stateOf(target: Target, { point }: PointRef, change: FindingChange): FindingChange {
  if (change.outOf || !isLookChange(change)) return {};
  const visit = visitNow(target);
  if (!visit) return {};
  const state = vehicleState(visit.inspection, visit.acts, nowMs());
  return { outOf: unmetNeeds(cataloguePoint(point).needs, state) };
}

/** Appends an entry to a point: what stands there now, changed. `change` sees the entry that stands. */
export function putFinding(
  target: Target,
  ref: PointRef,
  change: (standing: Finding | undefined) => FindingChange,
): Promise<void> {
  return putFindings(target, [{ ref, change }]);
}

/** Several points in one act: undone in one too. */
export async function putFindings(
  target: Target,
  acts: readonly { readonly ref: PointRef; readonly change: (standing: Finding | undefined) => FindingChange }[],
): Promise<void> {
  if (target.draft) return drafted(target, target.draft, acts);
  const points = acts.map(({ ref }) => ({ ref, before: standingNow(target, ref) }));
  useUndo.setState(({ entries }) => ({ entries: [...entries, { ...target, points }].slice(-MOST_UNDONE) }));
  await Promise.all(
    acts.map(({ ref, change }, index) => {
      const before = points[index]?.before;
      return append(target, ref, before, change(before));
    }),
  );
}

/** Lays changes over what is drafted; however many, it follows what stands, and of its state nothing is known. */
function drafted({ visitId }: Target, { now, before, set }: Draft, acts: Parameters<typeof putFindings>[1]): void {
  const next = acts.reduce<Finding | undefined>(
    (finding, { ref, change }) =>
      nextFinding(
        finding,
        { inspectionId: visitId, ...ref },
        { id: crypto.randomUUID(), at: nowIso() },
        change(finding),
      ),
    now ?? before,
  );
  if (next) set(withoutAuthor({ ...next, parent: before?.id ?? null, outOf: [] }));
}

/** Takes back all that was said of a point. */
export const clearPoint = (target: Target, ref: PointRef): Promise<void> =>
  putFinding(target, ref, () => contentOf(undefined));

/** What was said of one place was of another: the two change places, in one act. */
export function swapPlaces(target: Target, ref: PointRef, place: PointRef['place']): Promise<void> {
  const other = { ...ref, place };
  const [here, there] = [standingNow(target, ref), standingNow(target, other)];
  return putFindings(target, [
    { ref, change: () => contentOf(there) },
    { ref: other, change: () => contentOf(here) },
  ]);
}

/** Settles a fork: what was chosen is said over each of the others. All entries stay. */
export async function settleFork(target: Target, chosen: Finding, entries: readonly Finding[]): Promise<void> {
  for (const other of entries) if (other.id !== chosen.id) await append(target, other, other, contentOf(chosen));
}

/** What became of taking something back, and the point it was on. */
export interface Undone {
  /** `overtaken`: somebody else, or another tab, has written there since; that stands. */
  readonly status: 'undone' | 'overtaken';
  readonly ref: PointRef | undefined;
}

/** Takes the last act of this visit back, by entries of its own: nothing is erased. Undefined where there is none. */
export function undoLast(visitId: string): Undone | undefined {
  const { entries, own } = useUndo.getState();
  const index = entries.findLastIndex((entry) => entry.visitId === visitId);
  const entry = entries[index];
  if (!entry) return undefined;
  useUndo.setState({ entries: entries.filter((_, at) => at !== index) });
  const overtaken = entry.points.find(({ ref }) => !own.includes(standingNow(entry, ref)?.id ?? ''));
  if (overtaken) return { status: 'overtaken', ref: overtaken.ref };
  for (const { ref, before } of entry.points) void append(entry, ref, standingNow(entry, ref), contentOf(before));
  return { status: 'undone', ref: entry.points[0]?.ref };
}

/** The server stamps who; the wire shape has no place for it. */
function withoutAuthor(finding: Finding & { readonly by?: string }): Finding {
  const { by: _by, ...rest } = finding;
  return rest;
}
