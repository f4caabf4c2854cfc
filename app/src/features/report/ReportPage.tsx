import { LANGUAGES, WORDINGS } from '@weskopos/contract/device';
import { composeReport } from '@weskopos/core';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import { worksOf } from '@weskopos/core/works/worksOf';
import { reportPaper } from '@weskopos/words/paper/reportPaper';
import { inTongue, told, type Tongue } from '@weskopos/words/tongue';
import { common } from '@weskopos/words/en/pages/common';
import { report as say } from '@weskopos/words/en/pages/report';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { Page } from '../../shell/Page';
import { NotHere } from '../../shell/NotHere';
import { usePrices } from '../../sync/usePrices';
import { useFleet, useVisit, type FoundVisit } from '../../sync/useLife';
import { GivenUpNote } from '../../visit/GivenUpNote';
import { GiveUpCard } from '../../visit/GiveUpCard';
import { fetchTongue } from '../../words/fetchTongue';
import { PaperCard, type PaperChoice } from './PaperCard';
import { PaperPart } from './PaperView';

/** One visit on paper: what is wrong, how urgent, with the pictures and the limits; then every point. */
export function ReportPage() {
  const { id, visit: visitId } = useLocalSearchParams<{ id: string; visit: string }>();
  const found = useVisit(id, visitId);
  return found ? <Report found={found} /> : <NotHere />;
}

function Report({ found }: { readonly found: FoundVisit }) {
  const { life, visit, earlier, rules, lookAhead } = found;
  const { inspection } = visit;
  const router = useRouter();
  const fleet = useFleet();
  const prices = usePrices()?.list ?? null;
  const asked = useLocalSearchParams<{ to?: string; in?: string }>();
  // In the address: it stays through a reload, and a link to it can be sent.
  const choice: PaperChoice = {
    wording: WORDINGS.find((one) => one === asked.to) ?? 'workshop',
    language: LANGUAGES.find((one) => one === asked.in) ?? 'en',
  };
  const tongue = useTongue(choice.language);
  const paper = useMemo(() => {
    const report = composeReport(life.vehicle, visit, earlier, rules, { entries: life.entries, fleet }, lookAhead);
    const { dues } = stickerOf(life.vehicle, [...earlier, visit], life.entries, rules.house);
    const isNewest = !life.visits.some((one) => one.inspection.startedAt > visit.inspection.startedAt);
    const given = {
      report,
      visit,
      earlier,
      isNewest,
      works: worksOf(life.entries),
      dues,
      wording: choice.wording,
      prices,
    };
    return inTongue(tongue, () => reportPaper(given));
  }, [life, visit, earlier, rules, lookAhead, fleet, choice.wording, tongue, prices]);
  const here = `/vehicle/${life.vehicle.id}` as const;
  return (
    <Page
      title={paper.title}
      over={paper.over}
      width={760}
      foot={
        <>
          <Press
            label={common.stickerAndBayCard}
            onPress={() => router.push(`${here}/visit/${inspection.id}/sticker`)}
            style={{ flex: 1 }}
          />
          {inspection.signedAt && !inspection.voidedAt ? (
            <Press label={say.amend} onPress={() => router.push(`${here}/visit/${inspection.id}/amend`)} />
          ) : null}
          <Press kind="main" label={common.print} onPress={() => window.print()} style={{ flex: 1 }} />
        </>
      }
    >
      <GivenUpNote visit={visit} />
      <PaperCard
        visitId={inspection.id}
        name={`${life.vehicle.fleetCode}-${inspection.startedAt.slice(0, 10)}`}
        choice={choice}
        onChoose={({ wording, language }) => router.setParams({ to: wording, in: language })}
      />
      {/* What is told in another language is read out in it. */}
      <View {...{ lang: paper.locale }} style={COLUMN}>
        {paper.blocks.map((block, at) => (
          <PaperPart key={at} block={block} drawings={choice.language === 'en'} />
        ))}
      </View>
      {inspection.signedAt ? <GiveUpCard visit={visit} onGivenUp={() => router.replace(here)} /> : null}
    </Page>
  );
}

/** A language to tell in; until another is here, English. */
function useTongue(language: PaperChoice['language']): Tongue {
  const [tongue, setTongue] = useState<Tongue>(told);
  useEffect(() => {
    let left = false;
    void fetchTongue(language).then((next) => left || setTongue(next));
    return () => {
      left = true;
    };
  }, [language]);
  return tongue;
}

/** As the page's own column. */
const COLUMN = { gap: SPACE.m } as const;
