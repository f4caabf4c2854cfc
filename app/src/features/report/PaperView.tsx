import type { PaperBlock, PaperLine, PaperPhoto, PaperRow } from '@weskopos/words/paper/paper';
import { Suspense, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../kit/Card';
import { GradeMark } from '../../kit/GradeMark';
import { QrMark } from '../../kit/QrMark';
import { SPACE } from '../../kit/tokens';
import { gradeColours, usePalette } from '../../kit/theme';
import { Heading, Label, Words } from '../../kit/Words';
import { DrawnDeck } from '../decks/DrawnDeck';
import { SaidDrawings } from '../help/lazyHelp';
import { PhotoStrip } from '../photo/PhotoStrip';

/** What must not be torn apart over two sheets of paper. */
const WHOLE = { dataSet: { print: 'whole' } };
/** Photos of what is wrong are shown large, px. */
const LARGE = 220;

interface PaperPartProps {
  readonly block: PaperBlock;
  /** Whether what is said is drawn too; the drawings are named in English. */
  readonly drawings: boolean;
}

/** One part of a report in words, on the screen and printed from it. */
export function PaperPart({ block, drawings }: PaperPartProps): ReactNode {
  const palette = usePalette();
  switch (block.kind) {
    case 'lines':
      return block.title === null ? (
        <View>
          <Lines lines={block.lines} />
        </View>
      ) : (
        <Card>
          <Heading level={2}>{block.title}</Heading>
          <Lines lines={block.lines} />
        </Card>
      );
    case 'verdict':
      return (
        <Card style={styles.verdict}>
          <GradeMark grade={block.grade} height={84} />
          <View style={styles.text}>
            <Label size="h3" colour={gradeColours(palette, block.grade).line}>
              {block.title}
            </Label>
            <Words strong>{block.sentence}</Words>
            <Words>{block.counts}</Words>
            <Lines lines={[block.unseen]} />
          </View>
        </Card>
      );
    case 'warning':
      return (
        <Card ground={palette.failWash}>
          <Words strong>{block.text}</Words>
        </Card>
      );
    case 'systems':
      return (
        <Card>
          <Heading level={2}>{block.title}</Heading>
          <View style={styles.grid}>
            {block.cells.map(({ key, grade, name, word, rest }) => (
              <View key={key} style={styles.cell}>
                <GradeMark grade={grade} height={34} />
                <View style={styles.text}>
                  <Words strong>{name}</Words>
                  <Words size="s" soft>
                    <Words size="s" strong colour={gradeColours(palette, grade).line}>
                      {word}
                    </Words>
                    {rest}
                  </Words>
                </View>
              </View>
            ))}
          </View>
        </Card>
      );
    case 'heading':
      return <Heading level={2}>{block.text}</Heading>;
    case 'rows':
      return (
        <Card>
          <Heading level={block.level}>{block.title}</Heading>
          {block.rows.map((row) => (
            <Row key={row.key} row={row} large={block.level === 2} drawings={drawings} />
          ))}
        </Card>
      );
    case 'table':
      return <PaperTable {...block} />;
    case 'decks':
      return (
        <View style={styles.group} {...WHOLE}>
          <Heading level={2}>{block.title}</Heading>
          {block.decks.map(({ deck, name, drawing, note, alt }) => (
            <View key={deck}>
              <Label size="m" soft>
                {name}
              </Label>
              <DrawnDeck drawing={drawing} alt={alt} />
              {note ? (
                <Words size="m" soft>
                  {note}
                </Words>
              ) : null}
            </View>
          ))}
        </View>
      );
    case 'photos':
      return (
        <View style={styles.group}>
          <Heading level={2}>{block.title}</Heading>
          <Photos photos={block.photos} />
        </View>
      );
    case 'code':
      return (
        <View style={styles.group} {...WHOLE}>
          <Heading level={2}>{block.title}</Heading>
          <Lines lines={block.lines} broken />
          <QrMark text={block.code} size={200} label={block.label} />
          <Words size="s" soft>
            {block.help}
          </Words>
        </View>
      );
    case 'small':
      return (
        <Words size="s" soft>
          {block.text}
        </Words>
      );
  }
}

function Lines({ lines, broken }: { readonly lines: readonly PaperLine[]; readonly broken?: boolean }) {
  return lines.map(({ text, weight }, at) => (
    <Words
      key={at}
      strong={weight === 'strong'}
      soft={weight === 'soft'}
      {...(broken ? { size: 's', style: BROKEN } : {})}
    >
      {text}
    </Words>
  ));
}

interface RowProps {
  readonly row: PaperRow;
  readonly large: boolean;
  readonly drawings: boolean;
}

function Row({ row, large, drawings }: RowProps) {
  const palette = usePalette();
  const { grade, carried, name, word, why, source, value, photos, graded } = row;
  return (
    <View style={styles.group} {...WHOLE}>
      <View style={styles.line}>
        <GradeMark grade={grade} carried={carried} height={44} />
        <View style={styles.text}>
          <Words strong>{name}</Words>
          <Words size="m" soft>
            <Words size="m" strong colour={gradeColours(palette, grade).line}>{`${word}. `}</Words>
            {why}
          </Words>
          {source && large ? (
            <Words size="s" soft>
              {source}
            </Words>
          ) : null}
        </View>
        <Label size="l" style={styles.value}>
          {value}
        </Label>
      </View>
      {photos.length > 0 ? (
        <View style={styles.beside}>
          {photos.map(({ when, photos: all }) => (
            <View key={when}>
              {photos.length > 1 ? (
                <Label size="m" soft>
                  {when}
                </Label>
              ) : null}
              <Photos photos={all} large={large} />
            </View>
          ))}
        </View>
      ) : null}
      {drawings && large && graded?.finding && grade !== 'not-seen' ? (
        <Suspense fallback={null}>
          <SaidDrawings point={graded.point} finding={graded.finding} />
        </Suspense>
      ) : null}
    </View>
  );
}

function Photos({ photos, large }: { readonly photos: readonly PaperPhoto[]; readonly large?: boolean }) {
  return <PhotoStrip photos={photos} label={photos[0]?.of ?? ''} {...(large ? { size: LARGE } : {})} />;
}

function PaperTable({ title, head, rows }: Extract<PaperBlock, { kind: 'table' }>) {
  const palette = usePalette();
  const cells = (all: readonly string[], strong: boolean) =>
    all.map((text, at) => (
      <View key={at} style={at === 0 ? styles.wide : styles.narrow} role={strong ? 'columnheader' : 'cell'}>
        <Words size="m" strong={strong}>
          {text}
        </Words>
      </View>
    ));
  return (
    <Card>
      <Heading level={2}>{title}</Heading>
      <View role="table" aria-label={title}>
        <View role="row" style={styles.row}>
          {cells(head, true)}
        </View>
        {rows.map((row, at) => (
          <View key={at} role="row" style={[styles.row, { borderTopWidth: 1, borderColor: palette.rule }]}>
            {cells(row, false)}
          </View>
        ))}
      </View>
    </Card>
  );
}

const styles = StyleSheet.create({
  verdict: { flexDirection: 'row', alignItems: 'center' },
  text: { flex: 1 },
  group: { gap: SPACE.s },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  cell: { flexDirection: 'row', gap: SPACE.xs, flexBasis: '47%', flexGrow: 1, minWidth: 140 },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  value: { textAlign: 'right', maxWidth: 110 },
  beside: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m },
  row: { flexDirection: 'row', gap: SPACE.s, paddingVertical: SPACE.xs },
  wide: { flex: 2 },
  narrow: { flex: 1 },
});
/** Digits without a gap are broken, not pushed out; a style of the web that React Native does not name. */
const BROKEN: object = { wordBreak: 'break-all' };
