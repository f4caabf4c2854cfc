import { groupWorks } from '@weskopos/core/works/groupWorks';
import { worksOf, type Work } from '@weskopos/core/works/worksOf';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { SpecList } from '../../visit/SpecList';
import { common } from '@weskopos/words/en/pages/common';
import { works as say } from '@weskopos/words/en/pages/works';
import { day } from '@weskopos/words/show';
import { openingWords, reasonWords, taskWords, urgencyWords } from '@weskopos/words/workWords';
import { VehiclePage, type SheetProps } from '../sheet/VehiclePage';
import { usedLast } from './usedLast';

const isWanted = ({ state }: Work): boolean => state === 'agreed' || state === 'planned';

/** What goes to the bay with a vehicle, on one sheet: what was agreed, in the order of what is opened, with spec values. */
export function JobCardPage() {
  return (
    <VehiclePage
      page={say.card}
      foot={() => <Press kind="main" label={common.print} onPress={() => window.print()} style={styles.grow} />}
    >
      {(given) => <JobCard {...given} />}
    </VehiclePage>
  );
}

function JobCard({ life }: SheetProps) {
  const { vehicle, entries } = life;
  const palette = usePalette();
  const wanted = worksOf(entries).filter(isWanted);
  return (
    <>
      <Words soft>{wanted.length > 0 ? say.cardFrom : say.cardNothing}</Words>
      {groupWorks(wanted).map(({ opening, works }) => (
        <View key={openingWords(opening, vehicle)} style={styles.group}>
          <Heading level={2}>{openingWords(opening, vehicle)}</Heading>
          {works.map((work) => {
            const last = usedLast(work.task, entries);
            return (
              <View key={work.id} style={[styles.line, { borderColor: palette.rule }]}>
                <View style={[styles.box, { borderColor: palette.ink }]} />
                <View style={styles.text}>
                  <Label size="xl">{taskWords(work.task, vehicle)}</Label>
                  <Words size="m" soft>
                    {[urgencyWords(work.urgency, work.from, work.to), reasonWords(work.reasons, vehicle)]
                      .filter(Boolean)
                      .join('. ')}
                  </Words>
                  {work.plannedOn ? <Words size="m">{say.plannedFor(day(work.plannedOn))}</Words> : null}
                  {work.note ? <Words size="m">{work.note}</Words> : null}
                  {last ? <Words size="m">{say.usedLast(last.numbers, day(last.at))}</Words> : null}
                </View>
              </View>
            );
          })}
        </View>
      ))}
      <Words>{say.cardCaution}</Words>
      <Card>
        <Heading level={2}>{say.cardSpec}</Heading>
        <SpecList spec={vehicle.spec} />
      </Card>
    </>
  );
}

const BOX = 22;
const styles = StyleSheet.create({
  grow: { flex: 1 },
  group: { gap: SPACE.s },
  line: { flexDirection: 'row', gap: SPACE.m, borderTopWidth: 1, paddingTop: SPACE.s },
  box: { width: BOX, height: BOX, borderWidth: 2 },
  text: { flex: 1, gap: 2 },
});
