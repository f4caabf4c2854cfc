import {
  cataloguePoint,
  hubPlaces,
  mainSlot,
  readingAt,
  readingValue,
  tyresAtHub,
  worstFirst,
  worstGrade,
  type Axle,
  type GradedPoint,
  type Hub,
  AXLE_NUMBERS,
} from '@weskopos/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONT, SIZE, SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Label, Words } from '../../kit/Words';
import { figure, pointShort, unitOf } from '../../words/show';
import { words } from '../../words/en';
import { DeckMark } from './DeckMark';
import { DECKS, isOnDeck, type DeckName } from './deckNames';
import { hubSpot, nearestPoint } from './nearestPoint';
import { decks as say } from '../../words/en/pages/decks';

const WIDTH = 420;
const HEIGHT = 196;
const NOSE = 10;

interface DecksProps {
  readonly axles: readonly Axle[];
  readonly points: readonly GradedPoint[];
  /** Which floors are drawn; all without. */
  readonly only?: readonly DeckName[];
  /** Lets a tap on a deck go to the point that is meant. */
  readonly onPoint?: (key: string) => void;
}

/** The vehicle from above on three floors: what is under the bonnet, the wheels, the underside. Front to the left. */
export function Decks(props: DecksProps) {
  return (
    <View style={styles.decks}>
      {(props.only ?? DECKS).map((deck) => (
        <View key={deck} style={styles.deck}>
          <Label size="m" soft>
            {words.deck[deck]}
          </Label>
          <Deck deck={deck} {...props} />
          <DeckNote deck={deck} points={props.points} axles={props.axles} />
        </View>
      ))}
    </View>
  );
}

function Deck({ deck, ...props }: DecksProps & { readonly deck: DeckName }) {
  const { axles, points, onPoint } = props;
  const [width, setWidth] = useState(0);
  const drawing = (
    <Svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} style={styles.drawing} role="img" aria-label={deckWords(deck, props)}>
      <Outline />
      {deck === 'wheels' ? <Wheels {...props} /> : <Floor deck={deck} {...props} />}
    </Svg>
  );
  if (!onPoint) return drawing;
  return (
    <Pressable
      role="button"
      aria-label={say.tapAPlace(words.deck[deck])}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      onPress={({ nativeEvent: { locationX, locationY } }) => {
        const at = { x: locationX / width, y: locationY / (width * (HEIGHT / WIDTH)) };
        const meant = nearestPoint(deck, at, axles, points);
        if (meant) onPoint(meant.key);
      }}
    >
      <View style={styles.through}>{drawing}</View>
    </Pressable>
  );
}

/** Most names under one deck; the rest is counted. */
const MOST_NAMED = 4;

/** What is not well on a deck, in words under its drawing. */
function DeckNote({ deck, points, axles }: DecksProps & { readonly deck: DeckName }) {
  const palette = usePalette();
  const here = onDeck(deck, points);
  const bad = worstFirst(here).filter(({ result }) => result.grade === 'fail' || result.grade === 'advisory');
  const unseen = here.filter(({ result }) => result.grade === 'not-seen').length;
  if (bad.length === 0 && unseen === 0) return null;
  return (
    <Words size="m" soft>
      {bad.slice(0, MOST_NAMED).map(({ key, point, place, result }, index) => (
        <Words key={key} size="m" strong colour={gradeColours(palette, result.grade).line}>
          {`${index > 0 ? ', ' : ''}${pointShort(point, place, axles.length)}`}
        </Words>
      ))}
      {bad.length > MOST_NAMED ? say.andMore(bad.length - MOST_NAMED) : ''}
      {unseen > 0 ? say.notSeen(bad.length > 0 ? ' · ' : '', unseen) : ''}
    </Words>
  );
}

function onDeck(deck: DeckName, points: readonly GradedPoint[]): GradedPoint[] {
  return points.filter((graded) => isOnDeck(deck, graded));
}

/** The drawing in words, for who does not see it. */
function deckWords(deck: DeckName, { axles, points }: DecksProps): string {
  const here = onDeck(deck, points);
  const seen = here.filter(({ result }) => result.grade !== 'not-seen').length;
  const bad = here.filter(({ result }) => result.grade !== 'pass');
  const list = bad.map(
    (point) => `${pointShort(point.point, point.place, axles.length)} ${words.grade[point.result.grade].toLowerCase()}`,
  );
  // What nobody looked at is no pass.
  const none = seen === 0 ? say.nobodyLooked : say.lookedAllPass(seen);
  return `${words.deck[deck]}: ${list.length > 0 ? list.join(', ') : none}`;
}

function Outline() {
  const palette = usePalette();
  return (
    <Path
      d={`M${NOSE + 44} 4H${WIDTH - 16}Q${WIDTH - 4} 4 ${WIDTH - 4} 16V${HEIGHT - 16}Q${WIDTH - 4} ${HEIGHT - 4} ${WIDTH - 16} ${HEIGHT - 4}H${NOSE + 44}C${NOSE + 10} ${HEIGHT - 10} ${NOSE} ${HEIGHT * 0.72} ${NOSE} ${HEIGHT / 2}C${NOSE} ${HEIGHT * 0.28} ${NOSE + 10} 10 ${NOSE + 44} 4Z`}
      fill={palette.card}
      stroke={palette.ink}
      strokeWidth={1.5}
    />
  );
}

function Floor({ deck, points }: DecksProps & { readonly deck: 'bonnet' | 'under' }) {
  const palette = usePalette();
  const here = onDeck(deck, points);
  return (
    <G>
      {deck === 'bonnet' ? (
        <>
          <Line x1={190} x2={190} y1={6} y2={HEIGHT - 6} stroke={palette.rule} strokeWidth={2} />
          <Rect x={70} y={62} width={88} height={72} rx={8} fill={palette.panel} stroke={palette.rule} />
        </>
      ) : (
        <>
          <Rect x={60} y={62} width={76} height={72} rx={8} fill={palette.panel} stroke={palette.rule} />
          <Line x1={136} x2={330} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke={palette.rule} strokeWidth={8} />
          <Path d={`M130 128C160 158 240 160 ${WIDTH - 30} 158`} fill="none" stroke={palette.panel} strokeWidth={9} />
        </>
      )}
      {here.map(({ key, point, result }) => {
        const at = cataloguePoint(point).deck;
        return at ? <DeckMark key={key} grade={result.grade} x={at.x * WIDTH} y={at.y * HEIGHT} /> : null;
      })}
    </G>
  );
}

const TYRE = { width: 42, height: 17 } as const;

function Wheels({ axles, points }: DecksProps) {
  const palette = usePalette();
  const xOf = (hub: Hub) => hubSpot(hub, axles).x * WIDTH;
  const hubs = AXLE_NUMBERS.slice(0, axles.length).map((n): Hub => `${n}L`);
  const wheels = onDeck('wheels', points);
  return (
    <G>
      {hubs.map((hub) => (
        <Line key={hub} x1={xOf(hub)} x2={xOf(hub)} y1={26} y2={HEIGHT - 26} stroke={palette.rule} strokeWidth={4} />
      ))}
      <Line
        x1={xOf('1L')}
        x2={xOf(hubs.at(-1) ?? '1L')}
        y1={HEIGHT / 2}
        y2={HEIGHT / 2}
        stroke={palette.rule}
        strokeWidth={4}
      />
      {hubPlaces(axles).map((hub) => {
        const left = hub.endsWith('L');
        const rear = Number.parseInt(hub, 10) === axles.length;
        const tyres = tyresAtHub(axles, hub);
        const atHub = wheels.filter(({ place }) => place === hub || tyres.includes(place));
        const text = ['tyre.tread', 'pad.outer', 'pad.inner']
          .flatMap((code) => atHub.filter(({ point }) => point === code))
          .flatMap((point) => lowest(point) ?? []);
        return (
          <G key={hub}>
            {tyres.map((tyre, index) => {
              const grade = worstGrade(
                atHub
                  .filter(({ place, station }) => station === 'wheel' && (place === tyre || place === hub))
                  .map(({ result }) => result.grade),
              );
              const y = left ? 10 + index * (TYRE.height + 2) : HEIGHT - 10 - TYRE.height - index * (TYRE.height + 2);
              const { line } = gradeColours(palette, grade);
              const hollow = grade === 'not-seen' || grade === 'recorded';
              return (
                <G key={tyre}>
                  <Rect
                    x={xOf(hub) - TYRE.width / 2}
                    y={y}
                    width={TYRE.width}
                    height={TYRE.height}
                    rx={5}
                    fill={hollow ? palette.card : line}
                    stroke={line}
                    strokeWidth={2}
                    {...(hollow ? { strokeDasharray: '4 3' } : {})}
                  />
                  {grade === 'fail' || grade === 'advisory' ? (
                    <Path
                      d={`M${xOf(hub) - 6} ${y - 1}l6 ${TYRE.height * (grade === 'fail' ? 1 : 0.55) + 1}l6 ${-TYRE.height * (grade === 'fail' ? 1 : 0.55) - 1}Z`}
                      fill={palette.card}
                    />
                  ) : null}
                </G>
              );
            })}
            <SvgText
              x={rear ? xOf(hub) - TYRE.width / 2 - 8 : xOf(hub) + TYRE.width / 2 + 8}
              textAnchor={rear ? 'end' : 'start'}
              y={left ? 26 : HEIGHT - 14}
              fill={palette.ink}
              fontFamily={FONT.label}
              fontSize={SIZE.l}
            >
              {text.join(' · ')}
            </SvgText>
          </G>
        );
      })}
      <SvgText x={xOf('1L') + 26} y={HEIGHT / 2 - 8} fill={palette.soft} fontFamily={FONT.label} fontSize={SIZE.m}>
        {say.leastTreadOuterInnerPad(unitOf('lining'))}
      </SvgText>
    </G>
  );
}

/** The least of a point's readings: what decides it. */
function lowest({ point, finding }: GradedPoint): string | null {
  const slot = mainSlot(cataloguePoint(point));
  if (!slot) return null;
  const values = slot.spots.flatMap((spot) => {
    const reading = readingAt(finding, slot.measure, spot);
    return reading && reading.bound === 'exact' ? [readingValue(reading)] : [];
  });
  return values.length > 0 ? figure(slot.measure, Math.min(...values)) : null;
}

const styles = StyleSheet.create({
  decks: { gap: SPACE.m },
  deck: { gap: SPACE.xs },
  drawing: { width: '100%', aspectRatio: WIDTH / HEIGHT },
  // Places are told by the deck, not by the mark under the finger.
  through: { pointerEvents: 'none' },
});
