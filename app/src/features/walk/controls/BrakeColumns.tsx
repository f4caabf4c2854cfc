import { axleAt, pointKey, readingAt, readingValue, type Place, type PointCode, type WalkStep } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { SPACE } from '../../../kit/tokens';
import { usePalette } from '../../../kit/theme';
import { Label, Words } from '../../../kit/Words';
import { figureIn, placeWords, pointName } from '@weskopos/words/show';
import { lookChange, clearedChange, readingChange, withReading } from '../../../visit/readings';
import { Choice } from '../../../kit/Choice';
import { houseRules } from '@weskopos/words/show';
import type { ControlProps, PutFinding, SlidingProps } from './control';
import { LineEntry } from './LineEntry';
import { TapeColumns, type TapeSlot } from './TapeColumns';
import { TypedReading } from '../../../controls/TypedReading';
import { controls as say } from '@weskopos/words/en/pages/controls';
import { common } from '@weskopos/words/en/pages/common';

interface BrakeColumnsProps extends SlidingProps {
  readonly step: WalkStep;
  readonly background: ControlProps['background'];
  readonly phase: ControlProps['phase'];
  readonly put: PutFinding;
}

const DISC = { width: 64, height: 100 } as const;
/** Disc thicknesses drawn to scale up to this, mm. */
const MOST_DRAWN_MM = 36;
/** Drawn where neither thickness nor minimum is known, mm. */
const DRAWN_UNKNOWN_MM = 20;
/** Steps of a go/no-go gauge for lining, mm: the thickest step that goes in is told. */
const GAUGE_STEPS = ['2', '3', '4', '6', '8'] as const;

/** A brake from outside in: outer pad, the disc between, inner pad. */
export function BrakeColumns({ step, background, phase, draft, onDraft, put }: BrakeColumnsProps) {
  const { standing, vehicle } = background.grading;
  const refOf = (code: string) => step.points.find(({ point }) => point === code);
  const [outer, disc, inner] = [refOf('pad.outer'), refOf('disc'), refOf('pad.inner')];
  const pads = [outer, inner].filter((ref) => ref !== undefined);
  const slots = pads.map((pointRef): TapeSlot => ({
    pointRef,
    measure: 'lining',
    spot: 'whole',
    title: pointName(pointRef.point),
  }));
  const place = step.points[0]?.place ?? '';
  const where = placeWords(place, vehicle);
  return (
    <View style={styles.brake}>
      {pads.length === 2 ? (
        <LineEntry
          measure="lining"
          wanted={2}
          label={say.bothPadsOnOneLine(where)}
          help={say.bothPadsHint}
          onValues={(values) =>
            pads
              .slice(0, values.length)
              .forEach((ref, index) =>
                put(ref, (before) =>
                  readingChange(before, { measure: 'lining', spot: 'whole', phase }, values[index] ?? 0),
                ),
              )
          }
        />
      ) : null}
      <View style={styles.row}>
        <View style={styles.side}>
          <TapeColumns
            slots={slots.slice(0, 1)}
            background={background}
            phase={phase}
            draft={draft}
            onDraft={onDraft}
            put={put}
          />
        </View>
        {disc ? (
          <DiscColumn place={place} background={background} phase={phase} put={(change) => put(disc, change)} />
        ) : null}
        <View style={styles.side}>
          <TapeColumns
            slots={slots.slice(1)}
            background={background}
            phase={phase}
            draft={draft}
            onDraft={onDraft}
            put={put}
          />
        </View>
      </View>
      {houseRules().liningAs === 'steps'
        ? pads.map((ref) => (
            <GaugeSteps
              key={ref.point}
              point={ref.point}
              finding={standing.get(pointKey(ref.point, ref.place))}
              phase={phase}
              put={(change) => put(ref, change)}
            />
          ))
        : null}
    </View>
  );
}

type Put = (change: Parameters<PutFinding>[1]) => void;

interface DiscColumnProps {
  readonly place: Place;
  readonly background: ControlProps['background'];
  readonly phase: ControlProps['phase'];
  readonly put: Put;
}

/** The disc drawn to scale between its minimum's two lines, with its thickness and its lip to type. */
function DiscColumn({ place, background, phase, put }: DiscColumnProps) {
  const { standing, vehicle } = background.grading;
  const where = placeWords(place, vehicle);
  const finding = standing.get(pointKey('disc', place));
  const thickness = readingAt(finding, 'disc');
  const minimum = axleAt(vehicle.axles, place)?.discMinimumMm ?? null;
  return (
    <View style={styles.disc}>
      <Label size="l">{common.disc}</Label>
      <DiscDrawing thickness={thickness ? readingValue(thickness) : null} minimum={minimum} />
      <TypedReading
        measure="disc"
        label={say.discThicknessTyped(where)}
        value={thickness ? readingValue(thickness) : null}
        onValue={(value) => put((before) => readingChange(before, { measure: 'disc', spot: 'whole', phase }, value))}
        onClear={() => put((before) => clearedChange(before, { measure: 'disc', spot: 'whole', phase }))}
      />
      <Words size="s" soft>
        {minimum === null ? say.noMinimumOnTheSheet : say.minMm(figureIn('mm', minimum))}
      </Words>
      <TypedReading
        measure="disc-lip"
        label={say.discLipTyped(where)}
        value={lipOf(finding)}
        onValue={(value) =>
          put((before) => readingChange(before, { measure: 'disc-lip', spot: 'whole', phase }, value))
        }
        onClear={() => put((before) => clearedChange(before, { measure: 'disc-lip', spot: 'whole', phase }))}
      />
      <Words size="s" soft>
        {say.lip}
      </Words>
    </View>
  );
}

function DiscDrawing({ thickness, minimum }: { readonly thickness: number | null; readonly minimum: number | null }) {
  const palette = usePalette();
  const scale = (mm: number) => (mm / MOST_DRAWN_MM) * DISC.width;
  const drawn = scale(thickness ?? minimum ?? DRAWN_UNKNOWN_MM);
  return (
    <Svg width={DISC.width} height={DISC.height} aria-hidden>
      <Rect
        x={(DISC.width - drawn) / 2}
        y={2}
        width={drawn}
        height={DISC.height - 4}
        fill={thickness === null ? 'none' : palette.unseenWash}
        stroke={palette.ink}
        strokeWidth={1.5}
        {...(thickness === null ? { strokeDasharray: '5 4' } : {})}
      />
      {minimum === null
        ? null
        : [-1, 1].map((side) => (
            <Line
              key={side}
              x1={DISC.width / 2 + (side * scale(minimum)) / 2}
              x2={DISC.width / 2 + (side * scale(minimum)) / 2}
              y1={0}
              y2={DISC.height}
              stroke={palette.fail}
              strokeWidth={2}
            />
          ))}
    </Svg>
  );
}

interface GaugeStepsProps {
  readonly point: PointCode;
  readonly finding: ControlProps['finding'];
  readonly phase: ControlProps['phase'];
  readonly put: Put;
}

/** A go/no-go gauge tells that the lining is thicker than its step. */
function GaugeSteps({ point, finding, phase, put }: GaugeStepsProps) {
  return (
    <Choice
      label={say.thickestGaugeStepThatGoes(pointName(point))}
      options={GAUGE_STEPS}
      word={(one) => say.gaugeStep(one)}
      value={boundOf(finding)}
      onChoose={(one) =>
        put((before) =>
          lookChange(before, {
            readings: withReading(before?.readings ?? [], { measure: 'lining', spot: 'whole', phase }, Number(one), {
              bound: 'over',
            }),
          }),
        )
      }
    />
  );
}

function lipOf(finding: ControlProps['finding']): number | null {
  const reading = readingAt(finding, 'disc-lip');
  return reading ? readingValue(reading) : null;
}

function boundOf(finding: ControlProps['finding']): (typeof GAUGE_STEPS)[number] | null {
  const reading = readingAt(finding, 'lining');
  return reading?.bound === 'over' ? (GAUGE_STEPS.find((one) => Number(one) === readingValue(reading)) ?? null) : null;
}

const styles = StyleSheet.create({
  brake: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' },
  side: { flex: 1 },
  disc: { width: 84, alignItems: 'center', gap: SPACE.xs },
});
