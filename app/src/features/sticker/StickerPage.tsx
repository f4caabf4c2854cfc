import { jobKey, openEnds, waitsOf } from '@weskopos/core';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import { useLocalSearchParams } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Page } from '../../shell/Page';
import { Press } from '../../kit/Press';
import { usePalette } from '../../kit/theme';
import { CORNER, SPACE } from '../../kit/tokens';
import { Heading, Label, Words } from '../../kit/Words';
import { useVisit } from '../../sync/useLife';
import { dueWords } from '@weskopos/words/dueWords';
import { words } from '@weskopos/words/en';
import { day, dayAndTime, meterWords } from '@weskopos/words/show';
import { endTitle } from '@weskopos/words/endTitle';
import { SpecList } from '../../visit/SpecList';
import { NotHere } from '../../shell/NotHere';
import { QrMark } from '../../kit/QrMark';
import { sticker as say } from '@weskopos/words/en/pages/sticker';
import { common } from '@weskopos/words/en/pages/common';

/** Windscreen sticker and bay card, each small enough to be cut out of one sheet. */
export function StickerPage() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  const palette = usePalette();
  if (!found) return <NotHere />;
  const { life, visit, earlier, rules } = found;
  const { vehicle } = life;
  const { inspection, acts } = visit;
  const { dues, boltsAgain } = stickerOf(vehicle, [...earlier, visit], life.entries, rules.house);
  const address = `${window.location.origin}/vehicle/${vehicle.id}`;
  const frame = [styles.card, { borderColor: palette.ink, backgroundColor: palette.card }];
  const hanging = openEnds(acts);
  const waits = waitsOf(acts).filter(({ done }) => !done);
  return (
    <Page
      title={common.stickerAndBayCard}
      over={`${vehicle.fleetCode} · ${vehicle.make} ${vehicle.model}`}
      back={`/vehicle/${id}/visit/${visitId}/report`}
      foot={<Press kind="main" label={common.print} onPress={() => window.print()} style={styles.grow} />}
    >
      <View role="group" aria-label={say.windscreenSticker} style={frame}>
        <View style={styles.row}>
          <View style={styles.grow}>
            <Heading level={2}>{vehicle.fleetCode}</Heading>
            <Words size="m">{`${day(inspection.startedAt)}, ${meterWords(inspection.meter, vehicle.meterUnit)}`}</Words>
            {dues.length === 0 ? <Words size="m">{say.theSpecSheetTellsNo}</Words> : null}
            {dues.map((due) => (
              <Label key={jobKey(due.job)} size="m">
                {dueWords(due, vehicle.meterUnit)}
              </Label>
            ))}
            {boltsAgain ? (
              <Label size="m" colour={palette.fail}>
                {common.wheelBoltsAgainTo(meterWords(boltsAgain.fromKm, 'km'), meterWords(boltsAgain.toKm, 'km'))}
              </Label>
            ) : null}
          </View>
          <QrMark text={address} size={112} label={say.opensThisVehiclesLifeSheet} />
        </View>
      </View>
      <View role="group" aria-label={say.bayCard} style={frame}>
        <Heading level={2}>{say.inTheBay(vehicle.fleetCode)}</Heading>
        {inspection.complaint ? <Words>{say.theKeeperSays(inspection.complaint)}</Words> : null}
        <SpecList spec={vehicle.spec} />
        <Label>{hanging.length === 0 ? say.nothingIsOpen : say.openCloseBeforeItLeaves}</Label>
        {hanging.map((end) => (
          <Words key={end.opened.id}>{`☐ ${endTitle(end, vehicle)}`}</Words>
        ))}
        {waits.map((wait) => (
          <Words key={wait.id}>{say.since(words.wait[wait.kind], dayAndTime(wait.startedAt))}</Words>
        ))}
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1.5, borderRadius: CORNER.m, padding: SPACE.m, gap: SPACE.xs, maxWidth: 380 },
  row: { flexDirection: 'row', gap: SPACE.m },
  grow: { flex: 1 },
});
