import type { Scorecard } from '@weskopos/contract';
import {
  MEASURES,
  PROMISED,
  fromStored,
  heldBetween,
  isNarrow,
  newestRulebook,
  standardUncertainty,
  type HeldUp,
  type MeasureCode,
} from '@weskopos/core';
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
import { words } from '@weskopos/words/en';
import { meterWords, unitOf, workshopUnit } from '@weskopos/words/show';
import { useDesk } from '../fleet/useDesk';
import { HeldStrip } from './HeldStrip';
import { score as say } from '@weskopos/words/en/pages/score';
import { common } from '@weskopos/words/en/pages/common';

const askScorecard = () => call('scorecard');
const percent = (share: number) => `${Math.round(share * 100)} %`;
/** 95 % of two readings of one thing lie within this many standard deviations of each other. */
const AGREE = 1.96 * Math.SQRT2;

/** How the forecasts that were shown have held, and how well readings repeat. */
export function ScorecardPage() {
  const { answer, problem } = useDesk<Scorecard>(askScorecard);
  return (
    <Page title={common.scorecard} over={say.forecastsJudgedByWhatCame} width={760}>
      {problem ? <Words role="alert">{problem}</Words> : null}
      {!answer && !problem ? <Words soft>{common.addingUp}</Words> : null}
      {answer && answer.byKind.every(({ arrived }) => arrived === 0) ? (
        <Card>
          <Heading level={2}>{say.nothingHasComeTrueYet}</Heading>
          <Words>{say.forecastsAreOnRecordEach(answer.forecasts)}</Words>
        </Card>
      ) : null}
      {answer?.byKind
        .filter(({ arrived }) => arrived > 0)
        .map((line) => (
          <ScoreCard key={line.name} line={line} calibrated={answer.calibrated[line.name] ?? null} />
        ))}
      {answer ? <UseCard lines={answer.byUse} /> : null}
      {answer ? (
        <Card>
          <Heading level={2}>{say.readingsOfOneThing}</Heading>
          {answer.repeats.length === 0 ? <Words>{say.noSecondReadingsYetThey}</Words> : null}
          {answer.repeats.map((repeat) => (
            <RepeatLine key={repeat.measure} repeat={repeat} />
          ))}
        </Card>
      ) : null}
      {answer && answer.hands.length > 0 ? (
        <Card>
          <Heading level={2}>{say.twoPersonsOneThing}</Heading>
          {answer.hands.map(({ measure, names: [first, second], pairs, bias, sigma }) => (
            <Words key={`${measure}${first}${second}`}>
              {say.readsThanOnAverageSingle(
                words.wearKind[measure] ?? words.measure[measure],
                first,
                spread(measure, Math.abs(bias)),
                bias < 0 ? 'less' : 'more',
                second,
                spread(measure, (AGREE / Math.SQRT2) * sigma),
                pairs,
              )}
            </Words>
          ))}
          <Words size="s" soft>
            {say.whereTwoHoldAStick}
          </Words>
        </Card>
      ) : null}
      {answer && answer.byInspector.some(({ arrived }) => arrived > 0) ? (
        <Card>
          <Heading level={2}>{say.afterWhoseVisits}</Heading>
          {answer.byInspector
            .filter(({ arrived }) => arrived > 0)
            .map(({ name, arrived, held, offDays }) => (
              <Words key={name}>
                {say.haveComeTrueWithinThe(
                  name,
                  arrived,
                  percent(held ?? 0),
                  offDays === null ? '' : say.halfWithinDays(Math.round(offDays)),
                )}
              </Words>
            ))}
        </Card>
      ) : null}
    </Page>
  );
}

/** How ranges held in each of the worlds that vehicles are used in; nothing while there is only one. */
function UseCard({ lines }: { readonly lines: Scorecard['byUse'] }) {
  const told = lines.filter(({ byPart }) => byPart.held !== null);
  if (told.length < 2) return null;
  return (
    <Card>
      <Heading level={2}>{say.byUse}</Heading>
      {told.map(({ name, byPart }, index) => (
        <View key={name}>
          <Words>{`${name || say.useNotTold}: ${say.heldOfParts(percent(byPart.held ?? 0), byPart.parts)}`}</Words>
          <HeldStrip name={name || say.useNotTold} told={byPart} labelled={index === told.length - 1} />
        </View>
      ))}
      <Words size="s" soft>
        {say.partsCountOnce}
      </Words>
    </Card>
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
        {say.twoReadingsAgreeWithinTimes(
          words.wearKind[measure] ?? words.measure[measure],
          spread(measure, AGREE * sigma),
          pairs,
          within(gradedBy),
        )}
      </Words>
      {lead && offered !== null ? (
        <Press
          label={say.gradeAsWithin(within(offered))}
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

/** What a record says of ranges, where it says anything for certain. */
function verdictOn(told: HeldUp): string {
  const between = heldBetween(told);
  if (isNarrow(told)) return say.theRangesWereTooNarrow;
  if (between && between[0] > PROMISED) return say.theRangesWereWiderThan;
  return say.fitsWhatIsPromised(told.parts);
}

interface ScoreCardProps {
  readonly line: Scorecard['byKind'][number];
  readonly calibrated: Scorecard['calibrated'][string] | null;
}

function ScoreCard({ line, calibrated }: ScoreCardProps) {
  const palette = usePalette();
  const { name, arrived, waiting, replaced, held, heldDays, off, offDays } = line;
  return (
    <Card>
      <Heading level={2}>{words.wearKind[name] ?? name}</Heading>
      <Words>{say.haveComeTrueWaitWere(arrived, waiting, replaced)}</Words>
      {held !== null ? (
        <View style={styles.row}>
          <Label size="h2" colour={palette.forecast}>
            {percent(held)}
          </Label>
          <Words style={styles.grow}>
            {say.ofThe(
              agesByTime(name)
                ? say.datesHeld
                : say.distancesHeld(heldDays === null ? '' : say.andOfTheDates(percent(heldDays))),
              verdictOn(line.byPart),
            )}
          </Words>
        </View>
      ) : null}
      <HeldStrip name={words.wearKind[name] ?? name} told={line.byPart} />
      {off !== null ? (
        <Words>
          {say.halfOfThemWereWithin(
            [
              agesByTime(name) ? '' : meterWords(Math.round(off), 'km'),
              offDays === null ? '' : say.days(Math.round(offDays)),
            ]
              .filter(Boolean)
              .join(' and '),
          )}
        </Words>
      ) : null}
      {NAIVE_METHODS.map((method) => {
        const beside = line.naive[method];
        if (!beside) return null;
        const better = 1 - beside.ours / beside.loss;
        return (
          <Words key={method} size="m">
            {say.lostThanByCompared(
              better >= 0 ? say.less(percent(better)) : say.more(percent(-better)),
              words.naive[method],
              beside.count,
            )}
          </Words>
        );
      })}
      <Words size="s" soft>
        {calibrated
          ? say.rangesAreToldWider(
              Math.round(Math.abs(calibrated.width - 1) * 100),
              calibrated.width > 1,
              calibrated.scored,
            )
          : say.rangesStandAsTheModelHas}
      </Words>
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  grow: { flex: 1 },
  line: { gap: SPACE.s },
});
