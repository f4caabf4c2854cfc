import { useRouter, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import { SyncLine } from './SyncLine';
import { Press } from '../kit/Press';
import { SPACE } from '../kit/tokens';
import { usePalette } from '../kit/theme';
import { Heading, Words } from '../kit/Words';
import { shell as say } from '../words/en/pages/shell';

interface PageProps {
  readonly title: string;
  readonly over?: string;
  readonly back?: Href;
  readonly children: ReactNode;
  /** Stays in the hand zone while the page scrolls. */
  readonly foot?: ReactNode;
  /** Widest column, px. */
  readonly width?: number;
}

/** A page that scrolls: title, the quiet line, and what is to be done in the hand zone. */
export function Page({ title, over, back, children, foot, width = 640 }: PageProps) {
  const palette = usePalette();
  const router = useRouter();
  return (
    <View role="main" style={[styles.page, { backgroundColor: palette.ground }]}>
      <ScrollView contentContainerStyle={styles.scroll}>
        <View style={[styles.column, { maxWidth: width }]}>
          <View style={styles.head}>
            {back ? (
              <View {...{ dataSet: { print: 'hide' } }}>
                <Press
                  kind="quiet"
                  label=""
                  hint={say.back}
                  icon={<ChevronLeft color={palette.ink} size={28} />}
                  onPress={() => router.replace(back)}
                  style={styles.back}
                />
              </View>
            ) : null}
            <View style={styles.titles}>
              {over ? (
                <Words size="m" soft>
                  {over}
                </Words>
              ) : null}
              <Heading level={1}>{title}</Heading>
            </View>
          </View>
          <SyncLine />
          {children}
        </View>
      </ScrollView>
      {foot ? (
        <View
          style={[styles.foot, { borderColor: palette.rule, backgroundColor: palette.ground }]}
          {...{ dataSet: { print: 'hide' } }}
        >
          <View style={styles.footRow}>{foot}</View>
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1 },
  scroll: { padding: SPACE.l, alignItems: 'center', paddingBottom: SPACE.xl * 2 },
  column: { width: '100%', gap: SPACE.l },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
  back: { marginLeft: -SPACE.m },
  titles: { flex: 1 },
  foot: { borderTopWidth: 1, padding: SPACE.m, alignItems: 'center' },
  footRow: { width: '100%', maxWidth: 640, flexDirection: 'row', gap: SPACE.s },
});
