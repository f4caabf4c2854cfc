import { type RulebookPreview } from '@weskopos/contract';
import { newestRulebook, rulebookProblems, type Rulebook } from '@weskopos/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../kit/Choice';
import { Page } from '../../shell/Page';
import { Later } from '../../kit/Later';
import { Press } from '../../kit/Press';
import { SPACE } from '../../kit/tokens';
import { useIsWide } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { useRulebooks } from '../../sync/useLife';
import { call, record, useWorkshop } from '../../sync/workshop';
import { words } from '@weskopos/words/en';
import { problemWords } from '../../words/problemWords';
import { HouseEditor } from './HouseEditor';
import { LimitEditor } from './LimitEditor';
import { nextRulebook } from './nextRulebook';
import { PreviewCard } from './PreviewCard';
import { withRepeat } from './withRepeat';
import { TemplateEditor } from './TemplateEditor';
import { nowIso } from '../../sync/clock';
import { rules as say } from '@weskopos/words/en/pages/rules';
import { common } from '@weskopos/words/en/pages/common';

const PARTS = ['house', 'limits', 'templates'] as const;
const PART_WORDS = { house: say.houseRules, limits: say.limits, templates: say.templates } as const;

/** The workshop's rules. Nothing counts until what it would change has been seen and it is saved as the next version. */
export function RulesPage() {
  const newest = newestRulebook(useRulebooks());
  // A version that came in from elsewhere begins the edit anew.
  return <Editor key={newest.version} newest={newest} />;
}

function Editor({ newest }: { readonly newest: Rulebook }) {
  const router = useRouter();
  const wide = useIsWide();
  const person = useWorkshop((state) => state.person);
  const [part, setPart] = useState<(typeof PARTS)[number]>('house');
  const { repeat } = useLocalSearchParams<{ repeat?: string }>();
  const [draft, setDraft] = useState<Rulebook>(() => withRepeat(newest, repeat));
  const [preview, setPreview] = useState<RulebookPreview | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const next = nextRulebook(draft, newest, nowIso().slice(0, 10));
  const problems = rulebookProblems(next);
  const changed = JSON.stringify(draft) !== JSON.stringify(newest);
  const change = (edited: Rulebook) => {
    setDraft(edited);
    setPreview(null);
    setTold(null);
  };
  const look = async () => {
    setTold(say.gradingEveryVisitUnderThese);
    try {
      setPreview(await call('previewRulebook', { body: next }));
      setTold(null);
    } catch (error) {
      setTold(problemWords(error));
    }
  };
  const save = async () => {
    await record({ kind: 'rulebook.put', body: next });
    router.replace('/');
  };
  if (person?.role !== 'lead')
    return (
      <Page title={common.rules}>
        <Words>{say.onlyAWorkshopLeadEdits}</Words>
      </Page>
    );
  return (
    <Page
      title={common.rules}
      over={say.version(newest.version)}
      width={wide ? 1120 : 760}
      foot={
        preview ? (
          <Press kind="main" label={say.saveAsVersion(next.version)} onPress={() => void save()} style={{ flex: 1 }} />
        ) : (
          <Press
            kind="main"
            label={say.whatWouldChangeAsked}
            disabled={!changed || problems.length > 0}
            onPress={() => void look()}
            style={{ flex: 1 }}
          />
        )
      }
    >
      <Words size="m" soft>
        {say.localLawComesFirstCheck}
      </Words>
      <View style={wide ? styles.beside : styles.under}>
        <View style={wide ? styles.rules : styles.under}>
          <Choice
            label={common.part}
            hideLabel
            options={PARTS}
            word={(one) => PART_WORDS[one]}
            value={part}
            onChoose={setPart}
          />
          <Later>
            {part === 'house' ? <HouseEditor rulebook={draft} onChange={change} /> : null}
            {part === 'limits' ? <LimitEditor rulebook={draft} problems={problems} onChange={change} /> : null}
            {part === 'templates' ? <TemplateEditor rulebook={draft} onChange={change} /> : null}
          </Later>
        </View>
        {/* Beside the rules on a desk; before them where there is one column. */}
        <View style={wide ? styles.aside : styles.first}>
          {told ? <Words role="status">{told}</Words> : null}
          {preview ? <PreviewCard preview={preview} /> : null}
          {problems.map(({ field, code }) => (
            <Words key={`${field}${code}`} role="alert">
              {words.ruleProblem[code] ?? code}
            </Words>
          ))}
          {changed || told || preview ? null : (
            <Words size="m" soft>
              {say.nothingChangedYet}
            </Words>
          )}
        </View>
      </View>
    </Page>
  );
}

const styles = StyleSheet.create({
  beside: { flexDirection: 'row', gap: SPACE.xl, alignItems: 'flex-start' },
  under: { gap: SPACE.l, flexDirection: 'column' },
  rules: { flex: 1, gap: SPACE.l, minWidth: 0 },
  aside: { width: 300, gap: SPACE.m, ...({ position: 'sticky', top: SPACE.l } as object) },
  first: { gap: SPACE.m, ...({ order: -1 } as object) },
});
