import type { Href } from 'expo-router';
import { Suspense, useCallback, useRef, useState, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { usePadHasHand } from '../controls/pad/usePad';
import { SyncLine } from './SyncLine';
import { useHeadingFocus } from './useHeadingFocus';
import { useTitle } from './useTitle';
import { LinkPress } from '../kit/LinkPress';
import { PageScroll } from '../kit/LongList';
import { SPACE, TOUCH } from '../kit/tokens';
import { SkipLink } from '../kit/SkipLink';
import { usePalette } from '../kit/theme';
import { Heading, Words } from '../kit/Words';
import { shell as say } from '@weskopos/words/en/pages/shell';

interface PageProps {
  readonly title: string;
  readonly over?: string;
  /** What the page is called in tab and history, where that is not its title. */
  readonly name?: string;
  /** Where it is part of another page that is not on the spine. */
  readonly back?: Href;
  /** Beside the title, at the right. */
  readonly aside?: ReactNode;
  readonly children: ReactNode;
  /** Stays in the hand zone while the page scrolls. */
  readonly foot?: ReactNode;
  /** Widest foot, px: no button is wider than its words need. */
  readonly footWidth?: number;
  /** Widest column, px. */
  readonly width?: number;
}

/** What is to be done here, first of all. On the web a view is an element, whatever its type says. */
const focusFirst = (view: View | null) =>
  (view as unknown as HTMLElement | null)
    ?.querySelector<HTMLElement>('a, button, input, textarea, [tabindex="0"]')
    ?.focus();

/** A page that scrolls: title, the quiet line, and what is to be done in the hand zone. */
export function Page({ title, over, name, back, aside, children, foot, footWidth = 420, width = 640 }: PageProps) {
  const palette = usePalette();
  const heading = useHeadingFocus();
  const padHasHand = usePadHasHand();
  useTitle(name ?? title, over ?? '');
  const footRow = useRef<View>(null);
  const [scroll, setScroll] = useState<HTMLElement | null>(null);
  // On the web a scrolling view is an element, whatever its type says.
  const scrolls = useCallback(
    (view: ScrollView | null) => setScroll((view?.getScrollableNode() as HTMLElement | undefined) ?? null),
    [],
  );
  return (
    <View role="main" style={[styles.page, { backgroundColor: palette.ground }]}>
      {/* Scrolled by keys too where nothing in it takes the focus. */}
      <ScrollView ref={scrolls} contentContainerStyle={styles.scroll} {...{ tabIndex: 0 }}>
        <View style={[styles.column, { maxWidth: width }]}>
          <View style={styles.head}>
            {back ? (
              <View {...{ dataSet: { print: 'hide' } }}>
                <LinkPress href={back} label={say.back} style={styles.back} replace>
                  <ChevronLeft color={palette.ink} size={28} />
                </LinkPress>
              </View>
            ) : null}
            <View style={styles.titles}>
              <Heading level={1} ref={heading} tabIndex={-1}>
                {title}
              </Heading>
              {over ? (
                <Words size="m" soft>
                  {over}
                </Words>
              ) : null}
            </View>
            {aside}
          </View>
          {foot && !padHasHand ? <SkipLink label={say.toFoot} onGo={() => focusFirst(footRow.current)} /> : null}
          <SyncLine />
          {/* What is still being fetched hides itself, not the heading one is at. */}
          <PageScroll value={scroll}>
            <Suspense fallback={null}>{children}</Suspense>
          </PageScroll>
        </View>
      </ScrollView>
      {foot && !padHasHand ? (
        <View
          style={[styles.foot, { borderColor: palette.rule, backgroundColor: palette.ground }]}
          {...{ dataSet: { print: 'hide' } }}
        >
          <View style={[styles.footColumn, { maxWidth: width }]}>
            <View ref={footRow} style={[styles.footRow, { maxWidth: footWidth }]}>
              {foot}
            </View>
          </View>
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1 },
  scroll: { padding: SPACE.m, alignItems: 'center', paddingBottom: SPACE.xl * 2 },
  column: { width: '100%', gap: SPACE.l },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
  back: { marginLeft: -SPACE.m, minWidth: TOUCH.least, minHeight: TOUCH.least, justifyContent: 'center' },
  titles: { flex: 1 },
  foot: { borderTopWidth: 1, padding: SPACE.m, alignItems: 'center' },
  footColumn: { width: '100%' },
  footRow: { width: '100%', flexDirection: 'row', gap: SPACE.s },
});
