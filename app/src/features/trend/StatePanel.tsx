import type { StateTrend, Vehicle } from '@weskopos/core';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Saveable } from '../../kit/Saveable';
import { SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { lookAgainSentence } from '@weskopos/words/forecastSentence';
import { capital, day, pointWords } from '@weskopos/words/show';
import { STATE_TOLD, stateFigure, stateSentence, stateWords } from '@weskopos/words/stateSentence';
import { StateChart } from '../charts/lazyCharts';
import { fileName } from './fileName';
import { stateRows } from './trendRows';
import { trend as say } from '@weskopos/words/en/pages/trend';

/** Newest looks listed under the drawing. */
const MOST_LISTED = 12;

/** One state: the drawing, what it does in a sentence, and its looks. */
export function StatePanel({ vehicle, trend }: { readonly vehicle: Vehicle; readonly trend: StateTrend }) {
  const { point, place, readings, forecast, told } = trend;
  const title = pointWords(point, place, vehicle);
  const sentence = stateSentence(trend, vehicle.spec);
  const last = readings.at(-1);
  const again = forecast && lookAgainSentence(forecast);
  return (
    <View style={styles.panel}>
      <Heading level={2}>{title}</Heading>
      <Card>
        <Saveable name={fileName(vehicle, title)} rows={() => stateRows(trend)}>
          <StateChart trend={trend} title={title} sentence={sentence} />
        </Saveable>
      </Card>
      <Card>
        {last ? <Label size="h3">{stateWords(trend, last.value, vehicle.spec)}</Label> : null}
        <Words>{sentence}</Words>
        {again ? <Words strong>{again}</Words> : null}
        <Words size="s" soft>
          {say.aFilledDotIsWhat(STATE_TOLD[told] ? `${capital(STATE_TOLD[told])}. ` : '')}
        </Words>
      </Card>
      <Card>
        <Heading level={3}>{say.looks}</Heading>
        {[...readings]
          .reverse()
          .slice(0, MOST_LISTED)
          .map((reading) => (
            <Words key={`${reading.inspectionId}${reading.phase}`} size="m">
              {`${day(reading.at)}: ${stateFigure(trend, reading.value)}${reading.phase === 'left' ? say.asLeft : ''}`}
            </Words>
          ))}
      </Card>
    </View>
  );
}

const styles = StyleSheet.create({ panel: { gap: SPACE.m } });
