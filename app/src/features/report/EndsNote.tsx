import { looseEnds, type Act, type EndProof } from '@weskopos/core';
import { Card } from '../../kit/Card';
import { Heading, Words } from '../../kit/Words';
import { words } from '../../words/en';
import { amount } from '../../words/show';
import { endTitle } from '../ends/EndCard';

/** What was opened in the visit and how it was closed; over what a lead signed, and why. */
export function EndsNote({
  acts,
  over,
  axles,
}: {
  readonly acts: readonly Act[];
  readonly over: string | null;
  readonly axles: number;
}) {
  const ends = looseEnds(acts);
  if (ends.length === 0) return null;
  return (
    <Card>
      <Heading level={2}>Opened and closed</Heading>
      {ends.map((end) => (
        <Words key={end.opened.id}>
          {`${endTitle(end, axles)}: ${end.closed ? proofWords(end.closed.proof) : 'left open'}.`}
        </Words>
      ))}
      {over === null ? null : <Words strong>{`Signed by a workshop lead over what is open: ${over}`}</Words>}
    </Card>
  );
}

function proofWords(proof: EndProof): string {
  const told = [
    proof.torqueNm !== null && amount('torque', proof.torqueNm),
    proof.litres !== null && amount('volume', proof.litres),
    proof.level !== null && `level ${amount('level', proof.level)}`,
    proof.fasteners !== null && `${proof.fasteners} fasteners in`,
    proof.washer && `washer ${proof.washer}`,
    proof.oldSealSeen && 'old seal seen',
    proof.onGround && 'on the ground',
    ...proof.kept.map((code) => words.proofDoubt[code].toLowerCase()),
  ].filter(Boolean);
  return told.length > 0 ? `closed, ${told.join(', ')}` : 'closed';
}
