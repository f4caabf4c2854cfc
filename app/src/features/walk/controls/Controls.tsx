import {
  GAUGE_STEPS,
  MEASURES,
  cataloguePoint,
  mainSlot,
  pointKey,
  readingAt,
  soundByEye,
  type CataloguePoint,
  type MeasureCode,
  type MeasureSlot,
  type WalkStep,
} from '@weskopos/core';
import { Fragment, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../../kit/Choice';
import { Press } from '../../../kit/Press';
import { SPACE } from '../../../kit/tokens';
import { words } from '@weskopos/words/en';
import { houseRules, placeWords, pointName } from '@weskopos/words/show';
import { lookChange, withReading, wordChange } from '../../../visit/readings';
import { Aids } from './Aids';
import { BrakeColumns } from './BrakeColumns';
import { CodesPicker } from './CodesPicker';
import { CountPicker } from './CountPicker';
import type { ControlProps, PutFinding, SlidingProps } from './control';
import { Extents } from './Extents';
import { FigureSlots } from './FigureSlots';
import { GaugeLine } from './GaugeLine';
import { GlitterQuestions } from './GlitterQuestions';
import { LeakPicker } from './LeakPicker';
import { LineEntry } from './LineEntry';
import { slotTitle, TapeColumns, type TapeSlot } from './TapeColumns';
import { WearBars } from './WearBars';
import { WordPicker } from './WordPicker';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { common } from '@weskopos/words/en/pages/common';

interface ControlsProps extends SlidingProps {
  readonly step: WalkStep;
  readonly background: ControlProps['background'];
  readonly phase: ControlProps['phase'];
  readonly put: PutFinding;
  /** What stands right under the reading, before what is rarer: the verdict. */
  readonly children?: ReactNode;
}

/** The fitting control for everything a step takes. */
export function Controls({ step, background, phase, draft, onDraft, put, children }: ControlsProps) {
  const { standing } = background.grading;
  const sliding = { draft, onDraft };
  const many = step.points.length > 1;
  return (
    <View style={styles.controls}>
      {step.points.some(({ point }) => point === 'pad.outer') ? (
        <BrakeColumns step={step} background={background} phase={phase} put={put} {...sliding} />
      ) : null}
      {many ? children : null}
      <View style={many ? styles.row : styles.controls}>
        {step.points.map((pointRef) => {
          const finding = standing.get(pointKey(pointRef.point, pointRef.place));
          const props: ControlProps = { pointRef, finding, background, phase, put };
          const point = cataloguePoint(pointRef.point);
          return (
            <Fragment key={pointKey(pointRef.point, pointRef.place)}>
              {many ? null : <Measures {...props} {...sliding} />}
              {many ? null : children}
              {pointRef === step.points[0] ? <GaugeLine measure={gaugedBy(point)} /> : null}
              <Aids {...props} />
              {point.counted ? <CountPicker {...props} /> : null}
              {point.codes ? <CodesPicker {...props} /> : null}
              {point.leakWanted ? <LeakPicker {...props} /> : null}
              {many && point.code === 'disc' ? <RunOut {...props} /> : null}
              {many && soundByEye(point) ? (
                <Press
                  role="checkbox"
                  label={say.looksSound(pointName(pointRef.point))}
                  chosen={finding?.access === 'seen' && finding.words.length === 0}
                  onPress={() => put(pointRef, (before) => lookChange(before, { words: [] }))}
                />
              ) : null}
              {!many && soundByEye(point) ? (
                <WordPicker
                  point={point}
                  finding={finding}
                  onWord={(word) => put(pointRef, (before) => wordChange(before, word))}
                  // While nothing is said, *sound* is the one key in the hand zone.
                  {...(finding && finding.access !== 'open'
                    ? { onSound: () => put(pointRef, (before) => lookChange(before, { words: [] })) }
                    : {})}
                />
              ) : null}
              {asksExtent(props) ? <Extents {...props} /> : null}
              <GlitterQuestions {...props} />
              {!many && point.leakPlaces.length > 0 && !point.leakWanted ? <ExtraLeak {...props} /> : null}
            </Fragment>
          );
        })}
      </View>
    </View>
  );
}

/** The measure of a point that is read with one gauge or another. */
const gaugedBy = ({ measures }: CataloguePoint) => measures.find(({ measure }) => measure in GAUGE_STEPS)?.measure;

/** Whether something was found whose size tells how bad it is. */
const asksExtent = ({ pointRef, finding }: ControlProps) =>
  cataloguePoint(pointRef.point).measures.some(({ measure }) => measure === 'extent') &&
  ((finding?.words.length ?? 0) > 0 || finding?.readings.some(({ measure }) => measure === 'extent'));

const isTape = (measure: MeasureCode) => MEASURES[measure].taken === 'tape';

function Measures(props: ControlProps & SlidingProps) {
  const { pointRef, finding, background, put, phase } = props;
  const point = cataloguePoint(pointRef.point);
  const [more, setMore] = useState(false);
  const wanted = point.measures.filter(({ need }) => need === 'each');
  const ways = point.measures.filter(({ need }) => need === 'one');
  const asked = (slot: MeasureSlot) => background.grading.rules.template.asks.includes(slot.measure);
  // How large damage is, and where, is asked under what was found.
  const extras = point.measures.filter(({ need, measure }) => need === 'extra' && measure !== 'extent');
  const shownExtras = extras.filter(
    (slot) =>
      more ||
      asked(slot) ||
      mainSlot(point) === null ||
      slot.spots.some((spot) => readingAt(finding, slot.measure, spot) !== undefined),
  );
  const told = ways.find(({ measure }) => readingAt(finding, measure) !== undefined);
  const [way, setWay] = useState<MeasureCode | null>(told?.measure ?? ways[0]?.measure ?? null);
  const [bars, setBars] = useState(houseRules().treadAs === 'bars');
  const tread = wanted.find(({ measure }) => measure === 'tread');
  const chosen = ways.filter(({ measure }) => measure === way);
  const slots = [...wanted, ...chosen];
  const tapes = slots
    .filter(({ measure }) => isTape(measure) && !(bars && measure === 'tread'))
    .flatMap(({ measure, spots }) =>
      spots.map((spot): TapeSlot => ({ pointRef, measure, spot, title: slotTitle(measure, spot) })),
    );
  const typed = [...slots.filter(({ measure }) => !isTape(measure)), ...shownExtras];
  const figures = typed.flatMap(({ measure, spots }) => spots.map((spot) => ({ measure, spot })));
  const treadTapes = tapes.filter(({ measure }) => measure === 'tread');
  const others = tapes.filter(({ measure }) => measure !== 'tread');
  return (
    <>
      {ways.length > 1 ? (
        <Choice
          label={common.measuredBy}
          options={ways.map(({ measure }) => measure)}
          word={(measure) => words.measure[measure]}
          value={way}
          onChoose={setWay}
        />
      ) : null}
      {tread ? (
        <View style={styles.line}>
          {bars ? null : (
            <View style={styles.grow}>
              <LineEntry
                measure="tread"
                wanted={3}
                label={say.treadOnOneLine(placeWords(pointRef.place, background.grading.vehicle) || 'spare')}
                help={say.outerCentreInnerEG}
                onValues={(values) =>
                  put(pointRef, (before) =>
                    lookChange(before, {
                      readings: tread.spots
                        .slice(0, values.length)
                        .reduce(
                          (readings, spot, index) =>
                            withReading(readings, { measure: 'tread', spot, phase }, values[index] ?? 0),
                          [...(before?.readings ?? [])],
                        ),
                    }),
                  )
                }
              />
            </View>
          )}
          <Press
            label={bars ? say.byTheGauge : say.byBars}
            hint={bars ? say.byTheGauge : say.byTheWearBars}
            onPress={() => setBars(!bars)}
          />
        </View>
      ) : null}
      {treadTapes.length > 0 ? <TapeColumns {...props} slots={treadTapes} /> : null}
      {others.length > 0 ? <TapeColumns {...props} slots={others} /> : null}
      {tread && bars ? <WearBars {...props} /> : null}
      {figures.length > 0 ? <FigureSlots {...props} slots={figures} /> : null}
      <View style={styles.row}>
        {extras.length > shownExtras.length ? (
          <Press
            label={extraLabel(extras.filter((slot) => !shownExtras.includes(slot)))}
            onPress={() => setMore(true)}
            style={styles.aside}
          />
        ) : null}
      </View>
    </>
  );
}

function extraLabel(extras: CataloguePoint['measures']): string {
  return `${extras.map(({ measure }) => words.measure[measure]).join(', ')}…`;
}

/** Run-out is measured only when the pedal or the wheel tells of it. */
function RunOut(props: ControlProps) {
  const [open, setOpen] = useState(readingAt(props.finding, 'disc-runout') !== undefined);
  return open ? (
    <FigureSlots {...props} slots={[{ measure: 'disc-runout', spot: 'whole' }]} />
  ) : (
    <Press label={say.runOut} onPress={() => setOpen(true)} style={styles.aside} />
  );
}

/** A leak is an extra here: asked for only when there is one. */
function ExtraLeak(props: ControlProps) {
  const [open, setOpen] = useState((props.finding?.leaks.length ?? 0) > 0);
  return open ? (
    <LeakPicker {...props} />
  ) : (
    <Press label={say.itLeaks} onPress={() => setOpen(true)} style={styles.aside} />
  );
}

const styles = StyleSheet.create({
  controls: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  aside: { alignSelf: 'flex-start' },
  line: { flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' },
  grow: { flex: 1 },
});
