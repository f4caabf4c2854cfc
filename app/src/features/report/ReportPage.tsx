import { composeReport, worstFirst, type Vehicle } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Suspense } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Page } from '../../shell/Page';
import { asPhoto } from '../arrival/CornerPhotos';
import { PhotoStrip } from '../photo/PhotoStrip';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { useFleet, useVisit, type FoundVisit } from '../../sync/useLife';
import { NotToDrive } from '../../visit/NotToDrive';
import { words } from '@weskopos/words/en';
import { forecastSentence, lookAgainSentence } from '@weskopos/words/forecastSentence';
import {
  amount,
  dayAndTime,
  day,
  meterWords,
  pointWords,
  stopWords,
  templateWords,
  type Seats,
} from '@weskopos/words/show';
import { Decks } from '../decks/Decks';
import { SaidDrawings } from '../help/lazyHelp';
import { PointLine } from '../../visit/PointLine';
import { SystemsCard } from '../overview/SystemsCard';
import { VerdictCard } from '../overview/VerdictCard';
import { NotHere } from '../../shell/NotHere';
import { GivenUpNote } from '../../visit/GivenUpNote';
import { GiveUpCard } from '../../visit/GiveUpCard';
import { AmendmentsCard } from './AmendmentsCard';
import { EndsNote } from './EndsNote';
import { RulesNote } from './RulesNote';
import { SealNote } from './SealNote';
import { StillOpenCard } from './StillOpenCard';
import { report as say } from '@weskopos/words/en/pages/report';
import { common } from '@weskopos/words/en/pages/common';

/** Of what runs out, only the soonest are worth the keeper's time. */
const MOST_RUN_OUT = 5;

type Report = ReturnType<typeof composeReport>;
/** What must not be torn apart over two sheets of paper. */
const WHOLE = { dataSet: { print: 'whole' } };

/** One visit on paper: what is wrong, how urgent, with the pictures and the limits; then every point. */
export function ReportPage() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  const router = useRouter();
  const fleet = useFleet();
  if (!found) return <NotHere />;
  const beside = { entries: found.life.entries, fleet };
  const report = composeReport(found.life.vehicle, found.visit, found.earlier, found.rules, beside, found.lookAhead);
  const { inspection, vehicle, stillOpen } = report;
  const axles = vehicle.axles.length;
  return (
    <Page
      title={`Report, ${vehicle.fleetCode}`}
      over={[vehicle.make, vehicle.model, vehicle.year, vehicle.plate].filter(Boolean).join(' · ')}
      width={760}
      foot={
        <>
          <Press
            label={common.stickerAndBayCard}
            onPress={() => router.push(`/vehicle/${id}/visit/${visitId}/sticker`)}
            style={{ flex: 1 }}
          />
          {inspection.signedAt && !inspection.voidedAt ? (
            <Press label={say.amend} onPress={() => router.push(`/vehicle/${id}/visit/${visitId}/amend`)} />
          ) : null}
          <Press kind="main" label={common.print} onPress={() => window.print()} style={{ flex: 1 }} />
        </>
      }
    >
      <GivenUpNote visit={found.visit} />
      <ReportHead found={found} report={report} />
      <VerdictCard verdict={report.verdict} when={day(inspection.startedAt)} />
      <AmendmentsCard visit={found.visit} asSigned={report.asSigned} now={report.verdict} axles={axles} />
      <StillOpenCard open={stillOpen} axles={axles} />
      <SystemsCard systems={report.verdict.systems} />
      <NotToDrive points={report.verdict.rows} seats={axles} />
      <WorstFirst points={worstFirst(report.verdict.rows)} axles={axles} />
      {report.notSeen.length > 0 ? (
        <Card>
          <Heading level={2}>{say.notSeen}</Heading>
          {report.notSeen.map((graded) => (
            <PointLine key={graded.key} graded={graded} axles={axles} />
          ))}
        </Card>
      ) : null}
      <RunOut runOut={report.runOut} vehicle={vehicle} />
      <View {...WHOLE}>
        <Decks vehicle={vehicle} points={report.verdict.points} saveAs={vehicle.fleetCode} />
      </View>
      <Heading level={2}>{common.everyPoint}</Heading>
      <EveryPoint points={report.verdict.rows} axles={axles} />
      {inspection.corners.length > 0 ? (
        <View style={styles.group}>
          <Heading level={2}>{say.asItCame}</Heading>
          <PhotoStrip photos={inspection.corners.map(asPhoto)} label={common.corner} />
        </View>
      ) : null}
      <EndsNote acts={found.visit.acts} over={inspection.signedOver} axles={axles} />
      <RulesNote rules={report.rules} />
      {found.visit.seal ? <SealNote found={found} seal={found.visit.seal} verdict={report.verdict} /> : null}
      {inspection.signedAt ? (
        <GiveUpCard visit={found.visit} onGivenUp={() => router.replace(`/vehicle/${id}`)} />
      ) : null}
    </Page>
  );
}

const asItStood = ({ state, ambientC, load }: FoundVisit['visit']['inspection'], { rules }: Report) => [
  words.state[state].toLowerCase(),
  ambientC === null ? '' : amount('temperature', ambientC),
  words.load[load].toLowerCase(),
  templateWords(rules.template),
];

/** When, by whom, how it stood, what the keeper said, and whether it is signed. */
function ReportHead({ found: { visit }, report }: { readonly found: FoundVisit; readonly report: Report }) {
  const { inspection, inspector, signedBy } = visit;
  const stood = [
    meterWords(inspection.meter, report.vehicle.meterUnit),
    // How it stood, nobody saw here.
    ...(inspection.broughtFrom === null ? asItStood(inspection, report) : []),
  ];
  return (
    <View>
      <Words>{`${dayAndTime(inspection.startedAt)}, ${inspector}`}</Words>
      <Words>{stood.filter(Boolean).join(' · ')}</Words>
      {inspection.broughtFrom === null ? null : <Words strong>{say.broughtFrom(inspection.broughtFrom)}</Words>}
      {inspection.meterAnswer ? (
        <Words soft>{`Meter: ${words.meterAnswer[inspection.meterAnswer].toLowerCase()}.`}</Words>
      ) : null}
      {inspection.complaint ? <Words>{say.theKeeperSays(inspection.complaint)}</Words> : null}
      <Words strong>
        {inspection.signedAt
          ? say.signedBy(signedBy ?? inspector, dayAndTime(inspection.signedAt))
          : say.notSignedYetThisIs}
      </Words>
    </View>
  );
}

interface PointsProps {
  readonly points: Report['verdict']['rows'];
  readonly axles: Seats;
}

function WorstFirst({ points, axles }: PointsProps) {
  if (points.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{common.worstFirst}</Heading>
      {points.map((graded) => (
        <View key={graded.key} style={styles.group} {...WHOLE}>
          <PointLine graded={graded} axles={axles} />
          <PhotoStrip
            photos={graded.finding?.photos ?? []}
            label={pointWords(graded.point, graded.place, axles)}
            size={220}
          />
          {graded.finding ? (
            <Suspense fallback={null}>
              <SaidDrawings point={graded.point} finding={graded.finding} />
            </Suspense>
          ) : null}
        </View>
      ))}
    </Card>
  );
}

function RunOut({ runOut, vehicle }: { readonly runOut: Report['runOut']; readonly vehicle: Vehicle }) {
  const soonest = runOut.filter(({ forecast }) => forecast.status === 'running-out').slice(0, MOST_RUN_OUT);
  if (soonest.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{common.runsOutNext}</Heading>
      {soonest.map(({ series, forecast, limit }) => (
        <Words key={series.key}>
          <Words strong>{`${pointWords(series.point, series.place, vehicle, series.spot)}. `}</Words>
          {[forecastSentence(forecast, series.measure, limit, vehicle.meterUnit), lookAgainSentence(forecast)]
            .filter(Boolean)
            .join(' ')}
        </Words>
      ))}
    </Card>
  );
}

/** Stop by stop; the pictures of what is wrong stand above already. */
function EveryPoint({ points, axles }: PointsProps) {
  const stops = [...new Set(points.map(({ stop }) => stop))];
  return stops.map((stop) => (
    <Card key={stop}>
      <Heading level={3}>{stopWords(stop, axles)}</Heading>
      {points
        .filter((point) => point.stop === stop)
        .map((graded) => (
          <View key={graded.key} style={styles.group} {...WHOLE}>
            <PointLine graded={graded} axles={axles} />
            {graded.result.grade === 'pass' && !graded.result.watch ? (
              <PhotoStrip photos={graded.finding?.photos ?? []} label={pointWords(graded.point, graded.place, axles)} />
            ) : null}
          </View>
        ))}
    </Card>
  ));
}

const styles = StyleSheet.create({ group: { gap: SPACE.s } });
