import type { Visit } from '@weskopos/contract';
import { pointKey, type GradedPoint, type Verdict } from '@weskopos/core';
import { View } from 'react-native';
import { Card } from '../../kit/Card';
import { SPACE } from '../../kit/tokens';
import { Heading, Words } from '../../kit/Words';
import { figuresOf } from '@weskopos/words/figuresOf';
import { words } from '@weskopos/words/en';
import { dayAndTime, pointWords, type Seats } from '@weskopos/words/show';
import { report as say } from '@weskopos/words/en/pages/report';

interface AmendmentsCardProps {
  readonly visit: Visit;
  readonly asSigned: Verdict | null;
  readonly now: Verdict;
  readonly axles: Seats;
}

const told = (point: GradedPoint | undefined) =>
  point ? [figuresOf(point), words.grade[point.result.grade].toLowerCase()].filter(Boolean).join(', ') : '';

/** What is said otherwise since the visit was signed: as signed, as it is told now, who, when and why. */
export function AmendmentsCard({ visit: { amendments, findings }, asSigned, now, axles }: AmendmentsCardProps) {
  if (amendments.length === 0) return null;
  const at = (verdict: Verdict | null, key: string) => verdict?.points.find((point) => point.key === key);
  return (
    <Card>
      <Heading level={2}>{say.amended}</Heading>
      {asSigned ? <Words>{say.signedAs(words.grade[asSigned.grade], words.grade[now.grade])}</Words> : null}
      {amendments.map((one) => {
        const finding = findings.find(({ id }) => id === one.findingId);
        if (!finding) return null;
        const key = pointKey(finding.point, finding.place);
        return (
          <View key={one.id} style={{ gap: SPACE.xs }}>
            <Words strong>{pointWords(finding.point, finding.place, axles)}</Words>
            <Words>{say.wasNow(told(at(asSigned, key)), told(at(now, key)))}</Words>
            <Words size="m" soft>
              {say.amendedBy(one.by, dayAndTime(one.at), one.why)}
              {one.points === null ? ` ${say.notYetSent}` : ''}
            </Words>
          </View>
        );
      })}
    </Card>
  );
}
