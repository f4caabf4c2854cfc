import type { Scorecard } from '@weskopos/contract';
import { MEASURES, fromStored, newestRulebook, standardUncertainty, type MeasureCode } from '@weskopos/core';
import { offeredRepeatability } from '@weskopos/core/score/repeatability';
import { agesByTime } from '@weskopos/core/states/ageShapes';
import { NAIVE_METHODS } from '@weskopos/core/score/naive';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { useRulebooks } from '../../sync/useLife';
import { call, useWorkshop } from '../../sync/workshop';
import { words } from '../../words/en';
import { meterWords, unitOf, workshopUnit } from '../../words/show';
import { useDesk } from '../fleet/useDesk';

const askScorecard = () => call('scorecard');
const PROMISED = 0.8;
const percent = (share: number) => `${Math.round(share * 100)} %`;
/** 95 % of two readings of one thing lie within this many standard deviations of each other. */
const AGREE = 1.96 * Math.SQRT2;

/** How the forecasts that were shown have held, and how well readings repeat. */
export function ScorecardPage() {
  const { answer, problem } = useDesk<Scorecard>(askScorecard);
  return (
    <Page title="Scorecard" over="Forecasts, judged by what came" back="/" width={760}>
      {problem ? <Words role="alert">{problem}</Words> : null}
      {!answer && !problem ? <Words soft>Adding up…</Words> : null}
      {answer && answer.byKind.every(({ arrived }) => arrived === 0) ? (
        <Card>
          <Heading level={2}>Nothing has come true yet</Heading>
          <Words>{`${answer.forecasts} forecasts are on record. Each is judged when its part is read under the limit; until then it waits.`}</Words>
        </Card>
      ) : null}
      {answer?.byKind
        .filter(({ arrived }) => arrived > 0)
        .map((line) => (
          <ScoreCard key={line.name} line={line} calibrated={answer.calibrated[line.name] ?? 0} />
        ))}
      {answer ? (
        <Card>
          <Heading level={2}>Readings of one thing</Heading>
          {answer.repeats.length === 0 ? (
            <Words>
              No second readings yet: they are taken at close calls, and tell how well gauge and hand repeat.
            </Words>
          ) : null}
          {answer.repeats.map((repeat) => (
            <RepeatLine key={repeat.measure} repeat={repeat} />
          ))}
        </Card>
      ) : null}
      {answer && answer.hands.length > 0 ? (
        <Card>
          <Heading level={2}>Two persons, one thing</Heading>
          {answer.hands.map(({ measure, names: [first, second], pairs, bias, sigma }) => (
            <Words key={`${measure}${first}${second}`}>
              {`${words.wearKind[measure] ?? words.measure[measure]}: ${first} reads ${spread(measure, Math.abs(bias))} ${bias < 0 ? 'less' : 'more'} than ${second} on average; single readings lie within ±${spread(measure, (AGREE / Math.SQRT2) * sigma)} of that (${pairs} read by both).`}
            </Words>
          ))}
          <Words size="s" soft>
            Where two hold a stick or a gauge differently, agree on one way. This is no ranking: neither is known to be
            right.
          </Words>
        </Card>
      ) : null}
      {answer && answer.byInspector.some(({ arrived }) => arrived > 0) ? (
        <Card>
          <Heading level={2}>After whose visits</Heading>
          {answer.byInspector
            .filter(({ arrived }) => arrived > 0)
            .map(({ name, arrived, held, offDays }) => (
              <Words key={name}>
                {`${name}: ${arrived} have come true, ${percent(held ?? 0)} within the 8-in-10 range${offDays === null ? '' : `, half within ${Math.round(offDays)} days`}.`}
              </Words>
            ))}
        </Card>
      ) : null}
    </Page>
  );
}

/** How well one measure repeats, and for a lead the offer to grade by it. */
function RepeatLine({ repeat }: { readonly repeat: Scorecard['repeats'][number] }) {
  const router = useRouter();
  const lead = useWorkshop(({ person }) => person?.role === 'lead');
  const { house } = newestRulebook(useRulebooks());
  const { measure, pairs, sigma } = repeat;
  const gradedBy = house.repeatability[measure] ?? MEASURES[measure].repeatability;
  const offered = offeredRepeatability(repeat, gradedBy);
  const within = (repeatability: number) =>
    `±${spread(measure, AGREE * standardUncertainty({ step: MEASURES[measure].step, repeatability }, 1))}`;
  return (
    <View style={styles.line}>
      <Words>
        {`${words.wearKind[measure] ?? words.measure[measure]}: two readings agree within ±${spread(measure, AGREE * sigma)} (${pairs} times read twice). Graded as if within ${within(gradedBy)}.`}
      </Words>
      {lead && offered !== null ? (
        <Press
          label={`Grade as within ${within(offered)}`}
          onPress={() => router.push({ pathname: '/rules', params: { repeat: `${measure}:${offered}` } })}
        />
      ) : null}
    </View>
  );
}

/** A difference has no zero of its own, and is told one step finer than a reading. */
function spread(measure: MeasureCode, size: number): string {
  const unit = workshopUnit(measure);
  const told = Math.abs(fromStored(size, unit) - fromStored(0, unit));
  return `${told.toFixed(told < 1 ? 2 : 1)} ${unitOf(measure)}`.trim();
}

function ScoreCard({ line, calibrated }: { readonly line: Scorecard['byKind'][number]; readonly calibrated: number }) {
  const palette = usePalette();
  const { name, arrived, waiting, replaced, held, heldDays, off, offDays } = line;
  return (
    <Card>
      <Heading level={2}>{words.wearKind[name] ?? name}</Heading>
      <Words>{`${arrived} have come true, ${waiting} wait, ${replaced} were replaced before their limit.`}</Words>
      {held !== null ? (
        <View style={styles.row}>
          <Label size="h2" colour={palette.forecast}>
            {percent(held)}
          </Label>
          <Words style={styles.grow}>
            {`of the ${agesByTime(name) ? 'dates fell within the 8-in-10 range' : `distances fell within the 8-in-10 range${heldDays === null ? '' : `, and ${percent(heldDays)} of the dates`}`}. ${held < PROMISED - 0.05 ? 'The ranges were too narrow.' : held > PROMISED + 0.1 ? 'The ranges were wider than they had to be.' : ''}`}
          </Words>
        </View>
      ) : null}
      {off !== null ? (
        <Words>{`Half of them were within ${[agesByTime(name) ? '' : meterWords(Math.round(off), 'km'), offDays === null ? '' : `${Math.round(offDays)} days`].filter(Boolean).join(' and ')}.`}</Words>
      ) : null}
      {NAIVE_METHODS.map((method) => {
        const beside = line.naive[method];
        if (!beside) return null;
        const better = 1 - beside.ours / beside.loss;
        return (
          <Words key={method} size="m">
            {`${better >= 0 ? `${percent(better)} less` : `${percent(-better)} more`} lost than by ${words.naive[method]} (${beside.count} compared).`}
          </Words>
        );
      })}
      <Words size="s" soft>
        {calibrated > 0
          ? `Ranges are stretched by what became of ${calibrated} forecasts.`
          : 'Too few have come true to stretch the ranges by: they stand as the model has them.'}
      </Words>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  grow: { flex: 1 },
  line: { gap: SPACE.s },
});
