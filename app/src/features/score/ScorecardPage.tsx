import type { Scorecard } from '@weskopos/contract';
import { NAIVE_METHODS } from '@weskopos/core/src/score/naive';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Page } from '../../kit/Page';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { call } from '../../sync/transport';
import { words } from '../../words/en';
import { amount, meterWords } from '../../words/show';
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
          {answer.repeats.map(({ measure, pairs, sigma }) => (
            <Words key={measure}>
              {`${words.measure[measure]}: two readings agree within ±${amount(measure, AGREE * sigma)} (${pairs} times read twice).`}
            </Words>
          ))}
        </Card>
      ) : null}
    </Page>
  );
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
            {`of the distances fell within the 8-in-10 range${heldDays === null ? '' : `, and ${percent(heldDays)} of the dates`}. ${held < PROMISED - 0.05 ? 'The ranges were too narrow.' : held > PROMISED + 0.1 ? 'The ranges were wider than they had to be.' : ''}`}
          </Words>
        </View>
      ) : null}
      {off !== null ? (
        <Words>{`Half of them were within ${meterWords(Math.round(off), 'km')}${offDays === null ? '' : ` and ${Math.round(offDays)} days`}.`}</Words>
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
});
