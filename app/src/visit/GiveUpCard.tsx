import type { Visit } from '@weskopos/contract';
import { useState } from 'react';
import { Card } from '../kit/Card';
import { Field } from '../kit/Field';
import { Press } from '../kit/Press';
import { useDeaf } from '../kit/useDeaf';
import { Words } from '../kit/Words';
import { nowIso } from '../sync/clock';
import { record, useWorkshop } from '../sync/workshop';
import { visit as say } from '@weskopos/words/en/pages/visit';

interface GiveUpCardProps {
  readonly visit: Visit;
  readonly onGivenUp: () => void;
}

/** Gives a visit up: one that is not signed by whoever is at it, a signed one by a lead who says why. Asked once. */
export function GiveUpCard({ visit: { inspection }, onGivenUp }: GiveUpCardProps) {
  const isLead = useWorkshop(({ person }) => person?.role === 'lead');
  const [asked, setAsked] = useState(false);
  const [why, setWhy] = useState('');
  const deaf = useDeaf(asked);
  const signed = inspection.signedAt !== null;
  if (inspection.voidedAt !== null || (signed && !isLead)) return null;
  if (!asked) return <Press kind="quiet" label={signed ? say.voidIt : say.giveUp} onPress={() => setAsked(true)} />;
  const giveUp = async () => {
    await record({ kind: 'inspection.void', body: { inspectionId: inspection.id, at: nowIso(), why: why.trim() } });
    onGivenUp();
  };
  return (
    <Card>
      <Words role="alert">{signed ? say.voidAsked : say.giveUpAsked}</Words>
      <Field label={signed ? say.whyVoid : say.whyGivenUp} value={why} onChangeText={setWhy} maxLength={500} />
      <Press
        label={signed ? say.yesVoid : say.yesGiveUp}
        deaf={deaf}
        disabled={signed && why.trim() === ''}
        onPress={() => void giveUp()}
      />
      <Press kind="main" label={say.keepVisit} onPress={() => setAsked(false)} />
    </Card>
  );
}
