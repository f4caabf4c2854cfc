import { composeReport, worstFirst } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Page } from '../../shell/Page';
import { asPhoto } from '../arrival/CornerPhotos';
import { PhotoStrip } from '../photo/PhotoStrip';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { useFleet, useVisit } from '../../sync/useLife';
import { words } from '../../words/en';
import { forecastSentence, lookAgainSentence } from '../../words/forecastSentence';
import { amount, dayAndTime, day, meterWords, pointWords, stopWords, templateWords } from '../../words/show';
import { Decks } from '../decks/Decks';
import { PointLine } from '../../visit/PointLine';
import { SystemsCard } from '../overview/SystemsCard';
import { VerdictCard } from '../overview/VerdictCard';
import { NotHere } from '../../shell/NotHere';
import { EndsNote } from './EndsNote';
import { RulesNote } from './RulesNote';

/** Of what runs out, only the soonest are worth the keeper's time. */
const MOST_RUN_OUT = 5;

/** One visit on paper: what is wrong, how urgent, with the pictures and the limits; then every point. */
export function ReportPage() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  const router = useRouter();
  const fleet = useFleet();
  if (!found) return <NotHere />;
  const { vehicle } = found.life;
  const beside = { entries: found.life.entries, fleet };
  const report = composeReport(vehicle, found.visit, found.earlier, found.rules, beside, found.lookAhead);
  const { inspection } = report;
  const axles = vehicle.axles.length;
  const stops = [...new Set(report.verdict.points.map(({ stop }) => stop))];
  const meters = [
    meterWords(inspection.meter, vehicle.meterUnit),
    words.state[inspection.state].toLowerCase(),
    inspection.ambientC === null ? '' : amount('temperature', inspection.ambientC),
    words.load[inspection.load].toLowerCase(),
    templateWords(found.rules.template),
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <Page
      title={`Report, ${vehicle.fleetCode}`}
      over={[vehicle.make, vehicle.model, vehicle.year, vehicle.plate].filter(Boolean).join(' · ')}
      back={`/vehicle/${id}`}
      width={760}
      foot={
        <>
          <Press
            label="Sticker and bay card"
            onPress={() => router.push(`/vehicle/${id}/visit/${visitId}/sticker`)}
            style={{ flex: 1 }}
          />
          <Press kind="main" label="Print" onPress={() => window.print()} style={{ flex: 1 }} />
        </>
      }
    >
      <View>
        <Words>{`${dayAndTime(inspection.startedAt)}, ${found.visit.inspector}`}</Words>
        <Words>{meters}</Words>
        {inspection.meterAnswer ? (
          <Words soft>{`Meter: ${words.meterAnswer[inspection.meterAnswer].toLowerCase()}.`}</Words>
        ) : null}
        {inspection.complaint ? <Words>{`The keeper says: “${inspection.complaint}”`}</Words> : null}
        <Words strong>
          {inspection.signedAt
            ? `Signed by ${found.visit.signedBy ?? found.visit.inspector}, ${dayAndTime(inspection.signedAt)}`
            : 'Not signed yet: this is a draft.'}
        </Words>
      </View>
      <VerdictCard verdict={report.verdict} when={day(inspection.startedAt)} />
      <SystemsCard systems={report.verdict.systems} />
      {report.verdict.counts.fail > 0 ? <Words strong>{words.caution.fail}</Words> : null}
      {worstFirst(report.verdict.points).length > 0 ? (
        <Card>
          <Heading level={2}>Worst first</Heading>
          {worstFirst(report.verdict.points).map((graded) => (
            <View key={graded.key} style={styles.group} {...{ dataSet: { print: 'whole' } }}>
              <PointLine graded={graded} axles={axles} />
              <PhotoStrip
                photos={graded.finding?.photos ?? []}
                label={pointWords(graded.point, graded.place, axles)}
                size={220}
              />
            </View>
          ))}
        </Card>
      ) : null}
      {report.notSeen.length > 0 ? (
        <Card>
          <Heading level={2}>Not seen</Heading>
          {report.notSeen.map((graded) => (
            <PointLine key={graded.key} graded={graded} axles={axles} />
          ))}
        </Card>
      ) : null}
      {report.runOut.some(({ forecast }) => forecast.status === 'running-out') ? (
        <Card>
          <Heading level={2}>Runs out next</Heading>
          {report.runOut
            .filter(({ forecast }) => forecast.status === 'running-out')
            .slice(0, MOST_RUN_OUT)
            .map(({ series, forecast, limit }) => (
              <Words key={series.key}>
                <Words strong>{`${pointWords(series.point, series.place, axles, series.spot)}. `}</Words>
                {[forecastSentence(forecast, series.measure, limit, vehicle.meterUnit), lookAgainSentence(forecast)]
                  .filter(Boolean)
                  .join(' ')}
              </Words>
            ))}
        </Card>
      ) : null}
      <View {...{ dataSet: { print: 'whole' } }}>
        <Decks axles={vehicle.axles} points={report.verdict.points} />
      </View>
      <Heading level={2}>Every point</Heading>
      {stops.map((stop) => (
        <Card key={stop}>
          <Heading level={3}>{stopWords(stop, axles)}</Heading>
          {report.verdict.points
            .filter((point) => point.stop === stop)
            .map((graded) => (
              <View key={graded.key} style={styles.group} {...{ dataSet: { print: 'whole' } }}>
                <PointLine graded={graded} axles={axles} />
                {graded.result.grade === 'pass' && !graded.result.watch ? (
                  <PhotoStrip
                    photos={graded.finding?.photos ?? []}
                    label={pointWords(graded.point, graded.place, axles)}
                  />
                ) : null}
              </View>
            ))}
        </Card>
      ))}
      {inspection.corners.length > 0 ? (
        <View style={styles.group}>
          <Heading level={2}>As it came</Heading>
          <PhotoStrip photos={inspection.corners.map(asPhoto)} label="Corner" />
        </View>
      ) : null}
      <EndsNote acts={found.visit.acts} over={inspection.signedOver} axles={found.life.vehicle.axles.length} />
      <RulesNote rules={found.rules} />
    </Page>
  );
}

const styles = StyleSheet.create({ group: { gap: SPACE.s } });
