import type { Visit } from '@weskopos/contract';
import { isOpen, isSigned, verdictOfVisit, type Vehicle } from '@weskopos/core';
import type { Work } from '@weskopos/core/works/worksOf';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { GradeMark } from '../../kit/GradeMark';
import { LinkPress } from '../../kit/LinkPress';
import { Press } from '../../kit/Press';
import { SPACE, TOUCH } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { GivenUpNote } from '../../visit/GivenUpNote';
import { putEntry } from '../../visit/putEntry';
import { words } from '@weskopos/words/en';
import { life as about } from '@weskopos/words/en/pages/life';
import { sheet as say } from '@weskopos/words/en/pages/sheet';
import { works } from '@weskopos/words/en/pages/works';
import { stepWords, taskWords } from '@weskopos/words/workWords';
import { entrySentence } from '@weskopos/words/entrySentence';
import { capital, dateWords, day, jobWords, meterWords, templateWords } from '@weskopos/words/show';
import { PhotoStrip } from '../photo/PhotoStrip';
import type { SheetProps } from '../sheet/VehiclePage';
import type { LifeMark } from './lifeLine';

interface LifeMomentProps extends SheetProps {
  readonly mark: LifeMark;
  /** Whether it is marked to be compared; null where one only reads. */
  readonly marked: boolean | null;
  readonly onMark: (visitId: string) => void;
}

/** One mark on the line of time. */
export function LifeMoment({ mark, life, sheet, marked, onMark }: LifeMomentProps) {
  const { vehicle } = life;
  if (mark.kind === 'visit')
    return mark.visit.inspection.voidedAt ? (
      <GivenUpNote visit={mark.visit} />
    ) : (
      <VisitMoment {...{ life, sheet, marked, onMark }} visit={mark.visit} />
    );
  if (mark.kind === 'work') return <WorkMoment work={mark.work} vehicle={vehicle} />;
  const told = mark.kind === 'job' ? capital(jobWords(mark.job.job)) : entrySentence(mark.entry, vehicle, life.entries);
  const meter = mark.kind === 'job' ? mark.job.meter : mark.entry.meter;
  return (
    <Row at={mark.at}>
      <View style={styles.text}>
        <Words>{told}</Words>
        {meter === null ? null : (
          <Words size="s" soft>
            {meterWords(meter, vehicle.meterUnit)}
          </Words>
        )}
      </View>
      {mark.kind === 'entry' ? (
        <Press
          kind="quiet"
          label={about.takeBack}
          hint={about.takeBackEntry(told)}
          onPress={() => void putEntry({ vehicleId: vehicle.id, meter: null }, { kind: 'undo', refers: mark.id })}
        />
      ) : null}
    </Row>
  );
}

/** A work, how it stands, and what was said of it last; all of it stands on its own page. */
function WorkMoment({ work, vehicle }: { readonly work: Work; readonly vehicle: Vehicle }) {
  const palette = usePalette();
  const last = work.steps.at(-1);
  const good = work.state === 'done' || work.state === 'agreed' || work.state === 'planned';
  return (
    <Row at={work.saidAt}>
      <View style={styles.text}>
        <LinkPress href={`/vehicle/${vehicle.id}/works`} style={styles.whole}>
          <View style={styles.told}>
            <Words>{works.work(taskWords(work.task, vehicle))}</Words>
            {last && (last.words !== '' || last.keeper !== '') ? (
              <Words size="s" soft>
                {stepWords(last)}
              </Words>
            ) : null}
          </View>
          <Label size="l" colour={good ? palette.pass : palette.ink} style={styles.state}>
            {work.declines > 1 && work.state === 'declined'
              ? works.declinedTimes(work.declines)
              : works.state[work.state]}
          </Label>
        </LinkPress>
      </View>
    </Row>
  );
}

/** Pictures of a visit that stand on the line. */
const MOST_PHOTOS = 4;
const PHOTO = 64;

interface VisitMomentProps extends Omit<LifeMomentProps, 'mark'> {
  readonly visit: Visit;
}

function VisitMoment({ life: { vehicle }, sheet, visit, marked, onMark }: VisitMomentProps) {
  const palette = usePalette();
  const { id, startedAt, meter } = visit.inspection;
  const signed = isSigned(visit.inspection);
  const rules = sheet.rulesOfVisit(visit.inspection);
  const verdict = signed ? verdictOfVisit(vehicle, visit, rules) : null;
  const grade = verdict?.grade ?? 'not-seen';
  const photos = visit.findings.flatMap(({ photos: taken }) => taken).slice(0, MOST_PHOTOS);
  const { broughtFrom } = visit.inspection;
  const name = `${broughtFrom === null ? templateWords(rules.template) : say.broughtIn}, ${visit.inspector}`;
  const inside = (
    <>
      <GradeMark grade={grade} height={34} />
      <View style={styles.text}>
        <Words strong>{name}</Words>
        <Words size="s" soft>
          {meterWords(meter, vehicle.meterUnit)}
        </Words>
      </View>
      <Label size="l" colour={gradeColours(palette, grade).line}>
        {isOpen(visit.inspection) ? say.halfDone : words.grade[grade]}
      </Label>
    </>
  );
  const at = `/vehicle/${vehicle.id}/visit/${id}` as const;
  return (
    <Row at={startedAt}>
      <View style={styles.text}>
        {marked === null || !signed ? (
          <LinkPress href={signed ? `${at}/report` : at} style={styles.whole}>
            {inside}
          </LinkPress>
        ) : (
          <Pressable
            role="checkbox"
            aria-checked={marked}
            aria-label={say.mark(`${day(startedAt)}, ${name}`)}
            onPress={() => onMark(id)}
            style={[styles.whole, marked ? { backgroundColor: palette.passWash } : null]}
          >
            {inside}
          </Pressable>
        )}
        {photos.length > 0 ? <PhotoStrip photos={photos} label={say.photosOf(day(startedAt))} size={PHOTO} /> : null}
      </View>
    </Row>
  );
}

function Row({ at, children }: { readonly at: string; readonly children: ReactNode }) {
  const palette = usePalette();
  return (
    <View style={styles.row}>
      <Label size="m" soft style={styles.date}>
        {dateWords(new Date(at), 'dayAndMonth')}
      </Label>
      <View style={styles.line} aria-hidden>
        <View style={[styles.thread, { backgroundColor: palette.rule }]} />
        <View style={[styles.knot, { borderColor: palette.soft, backgroundColor: palette.ground }]} />
      </View>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'stretch', gap: SPACE.s, minHeight: TOUCH.least },
  date: { width: 48, paddingTop: SPACE.m },
  line: { width: 12, alignItems: 'center' },
  thread: { position: 'absolute', top: 0, bottom: 0, width: 2 },
  knot: { width: 10, height: 10, borderRadius: 5, borderWidth: 2, marginTop: SPACE.l },
  text: { flex: 1, paddingVertical: SPACE.xs, justifyContent: 'center', gap: SPACE.xs },
  told: { flex: 1 },
  state: { maxWidth: 120, textAlign: 'right' },
  whole: { minHeight: TOUCH.least, flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
});
