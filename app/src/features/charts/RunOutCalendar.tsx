import { scaleTime } from 'd3-scale';
import { addMonths } from 'date-fns/addMonths';
import { startOfMonth } from 'date-fns/startOfMonth';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { Card } from '../../kit/Card';
import { FONT, SIZE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Words } from '../../kit/Words';
import { dateWords, pointShort } from '@weskopos/words/show';
import { dueMs, today, whenOf, type FleetPart } from './fleetPart';
import { charts as say } from '@weskopos/words/en/pages/charts';

const MONTHS = 18;
const ROW = 26;
const NAMES = 128;
const HEAD = 24;
const FOOT = 22;
const MOST = 24;
/** Room the words of the next visit need before the edge. */
const NEXT_VISIT = 70;
/** Under this width, px, half a year is as near as two months' names may stand. */
const NARROW = 360;
/** Room a month's name needs before the edge. */
const LABEL = 48;
const DAY_MS = 86_400_000;

interface RunOutCalendarProps {
  readonly parts: readonly FleetPart[];
  /** All of one vehicle: it is not named in every row, and its next visit is drawn. */
  readonly ofOne?: { readonly nextVisit: string | null };
}

/** Each part as a bar from its early to its late end, with a mark at the middle, soonest above. */
export function RunOutCalendar({ parts, ofOne }: RunOutCalendarProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const now = new Date(today());
  const [from, to] = [startOfMonth(now), addMonths(startOfMonth(now), MONTHS)];
  const nameOf = (part: FleetPart) =>
    `${ofOne ? '' : `${part.vehicle.fleetCode} `}${pointShort(part.point, part.place, part.seats)}`;
  const shown = [...parts]
    .sort((a, b) => dueMs(a) - dueMs(b))
    .filter((part) => dueMs(part) <= to.getTime())
    .slice(0, MOST);
  const nextVisit = ofOne?.nextVisit ? new Date(ofOne.nextVisit) : null;
  const visitShown = nextVisit !== null && nextVisit >= from && nextVisit <= to;
  const x = scaleTime()
    .domain([from, to])
    .range([NAMES, Math.max(NAMES + 10, width - 8)])
    .clamp(true);
  const height = HEAD + shown.length * ROW + (visitShown ? FOOT : 6);
  const step = width < NARROW ? 6 : width < 500 ? 4 : 2;
  const months = Array.from({ length: MONTHS / step + 1 }, (_, index) => addMonths(from, index * step));
  const spoken = shown.map((part) => `${nameOf(part)} ${whenOf(part)}`).join('; ');
  return (
    <Card>
      <Heading level={2}>{ofOne ? say.runsOut : say.runOutCalendar}</Heading>
      {shown.length === 0 ? <Words soft>{say.nothingRunsOutWithinMonths(MONTHS)}</Words> : null}
      <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)} style={{ height }}>
        {width > 0 && shown.length > 0 ? (
          <Svg width={width} height={height} role="img" aria-label={say.runOutCalendarSpoken(spoken)}>
            {months.map((month) => (
              <G key={month.getTime()}>
                <Line x1={x(month)} x2={x(month)} y1={HEAD - 4} y2={height} stroke={palette.rule} strokeWidth={1} />
                {x(month) > width - LABEL ? null : (
                  <SvgText x={x(month) + 3} y={15} fill={palette.soft} fontFamily={FONT.label} fontSize={SIZE.m}>
                    {dateWords(month, month.getMonth() < step ? 'monthAndShortYear' : 'month')}
                  </SvgText>
                )}
              </G>
            ))}
            {shown.map((part, row) => {
              const y = HEAD + row * ROW + ROW / 2;
              const at = (days: number | null) => (days === null ? to.getTime() : Date.parse(part.at) + days * DAY_MS);
              const [low, high] = [x(at(part.days?.low ?? 0)), x(at(part.days?.high ?? null))];
              const late = dueMs(part) <= now.getTime();
              return (
                <G key={`${part.vehicle.vehicleId}${part.key}`}>
                  <SvgText x={0} y={y + 5} fill={palette.ink} fontFamily={FONT.labelStrong} fontSize={SIZE.m}>
                    {nameOf(part).slice(0, 22)}
                  </SvgText>
                  {part.status === 'reached' ? null : (
                    <Rect
                      x={low}
                      width={Math.max(3, high - low)}
                      y={y - 6}
                      height={12}
                      rx={3}
                      fill={palette.forecastWash}
                    />
                  )}
                  <Circle cx={x(dueMs(part))} cy={y} r={5} fill={late ? palette.fail : palette.forecast} />
                </G>
              );
            })}
            {visitShown ? (
              <G>
                <Line
                  x1={x(nextVisit)}
                  x2={x(nextVisit)}
                  y1={HEAD - 4}
                  y2={height - FOOT + 4}
                  stroke={palette.ink}
                  strokeWidth={1.5}
                  strokeDasharray="2 4"
                />
                <SvgText
                  x={x(nextVisit)}
                  y={height - 4}
                  textAnchor={x(nextVisit) > width - NEXT_VISIT ? 'end' : 'start'}
                  fill={palette.ink}
                  fontFamily={FONT.labelStrong}
                  fontSize={SIZE.m}
                >
                  {say.nextVisit}
                </SvgText>
              </G>
            ) : null}
          </Svg>
        ) : null}
      </View>
      <Words size="s" soft>
        {say.barsHold8Of10}
      </Words>
    </Card>
  );
}
