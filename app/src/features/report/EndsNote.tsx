import { looseEnds, type Act, type EndProof } from '@weskopos/core';
import { Card } from '../../kit/Card';
import { Heading, Words } from '../../kit/Words';
import { words } from '@weskopos/words/en';
import { amount, type Seats } from '@weskopos/words/show';
import { endTitle } from '../../visit/endTitle';
import { report as say } from '@weskopos/words/en/pages/report';

/** What was opened in the visit and how it was closed; over what a lead signed, and why. */
export function EndsNote({
  acts,
  over,
  axles,
}: {
  readonly acts: readonly Act[];
  readonly over: string | null;
  readonly axles: Seats;
}) {
  const ends = looseEnds(acts);
  if (ends.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>{say.openedAndClosed}</Heading>
      {ends.map((end) => (
        <Words key={end.opened.id}>
          {`${endTitle(end, axles)}: ${end.closed ? proofWords(end.closed.proof) : say.leftOpen}.`}
        </Words>
      ))}
      {over === null ? null : <Words strong>{say.signedByAWorkshopLead(over)}</Words>}
    </Card>
  );
}

function proofWords(proof: EndProof): string {
  const told = [
    proof.torqueNm !== null && amount('torque', proof.torqueNm),
    proof.litres !== null && amount('volume', proof.litres),
    proof.level !== null && say.level(amount('level', proof.level)),
    proof.fasteners !== null && say.fastenersIn(proof.fasteners),
    proof.washer && say.washer(proof.washer),
    proof.oldSealSeen && say.oldSealSeen,
    proof.onGround && say.onTheGround,
    proof.angleDone && words.proof.angleDone.toLowerCase(),
    proof.renewed && words.proof.renewed.toLowerCase(),
    proof.primed && words.proof.primed.toLowerCase(),
    proof.debris && say.onTheMagnet(words.debris[proof.debris].toLowerCase()),
    proof.marked && say.marked,
    proof.partNumber && say.partIn(proof.partNumber),
    ...proof.kept.map((code) => words.proofDoubt[code].toLowerCase()),
  ].filter(Boolean);
  return told.length > 0 ? `closed, ${told.join(', ')}` : 'closed';
}
