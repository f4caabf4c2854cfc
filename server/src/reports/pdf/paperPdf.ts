import { DRAWING } from '@weskopos/core/decks/vehicleShape';
import { told } from '@weskopos/words/tongue';
import type { Paper, PaperBlock, PaperLine, PaperPhoto, PaperRow } from '@weskopos/words/paper/paper';
import type { SheetSize } from '@weskopos/contract';
import { MARK, Sheet, type Setting } from './sheet';
import { TINT } from './tint';
import { inkOf } from '@weskopos/core/decks/marks';

/** What a report as PDF takes from outside. */
export interface PdfNeeds {
  /** A photo as JPEG, small enough for print; null where it is no longer there. */
  readonly photo: (id: string) => Promise<Buffer | null>;
  /** A text as the picture of a code that a camera reads: PNG. */
  readonly code: (text: string) => Promise<Buffer>;
  readonly madeAt: Date;
  /** Hears how many blocks are done. */
  readonly onBlock?: (done: number, of: number) => void;
}

const PHOTO = { width: 158, height: 118 } as const;
const GAP = 6;
/** Systems beside each other. */
const COLUMNS = 3;
/** Of a table's breadth, by column. */
const SHARES = [0.5, 0.3, 0.2];
const SETTING: Readonly<Record<PaperLine['weight'], Setting>> = {
  strong: { face: 'strong' },
  plain: {},
  soft: { colour: TINT.soft, size: 9 },
};

/** A report as a tagged PDF with its faces in it. The language told in must be the paper's own. */
export async function paperPdf(paper: Paper, size: SheetSize, needs: PdfNeeds): Promise<Buffer> {
  const sheet = new Sheet(size, `${paper.title} ${paper.over}`.trim(), paper.locale, needs.madeAt);
  const { page } = told.paper;
  const gone = told.paper.photoGone;
  sheet.text('H1', paper.title, { face: 'label', size: 24 });
  sheet.text('P', paper.over, { colour: TINT.soft });
  sheet.gap(GAP);
  const write = new BlockWriter(sheet, needs, gone);
  for (const [at, block] of paper.blocks.entries()) {
    await write.block(block);
    needs.onBlock?.(at + 1, paper.blocks.length);
  }
  return sheet.finish((number, of) => `${paper.title} · ${page(number, of)}`);
}

class BlockWriter {
  constructor(
    private readonly sheet: Sheet,
    private readonly needs: PdfNeeds,
    private readonly gone: string,
  ) {}

  async block(block: PaperBlock): Promise<void> {
    const { sheet } = this;
    switch (block.kind) {
      case 'lines':
        if (block.title !== null) this.heading(block.title, 2);
        for (const { text, weight } of block.lines) this.line(text, SETTING[weight]);
        break;
      case 'verdict': {
        sheet.room(80);
        const from = sheet.doc.y;
        this.line(block.title, { face: 'label', size: 19, colour: TINT[inkOf(block.grade)] }, 'H2');
        this.line(block.sentence, { face: 'strong' });
        this.line(block.counts);
        this.line(block.unseen.text, SETTING[block.unseen.weight]);
        sheet.gradeEdge(block.grade, from, sheet.doc.y - from - 2);
        break;
      }
      case 'warning': {
        const width = sheet.width - 2 * GAP;
        const height = sheet.heightOf(block.text, width, { face: 'strong' }) + 2 * GAP;
        sheet.room(height);
        const { y } = sheet.doc;
        sheet.adorn(() => sheet.doc.rect(sheet.left, y, sheet.width, height).fill(TINT.wash));
        sheet.doc.y = y + GAP;
        sheet.text('P', block.text, { face: 'strong', colour: TINT.fail }, sheet.left + GAP, width);
        sheet.gap(GAP);
        break;
      }
      case 'systems':
        this.heading(block.title, 2);
        this.systems(block.cells);
        break;
      case 'rows':
        this.heading(block.title, block.level);
        for (const row of block.rows) await this.row(row);
        break;
      case 'heading':
        this.heading(block.text, 2);
        break;
      case 'table':
        this.heading(block.title, 2);
        this.table(block.head, block.rows);
        break;
      case 'decks':
        this.heading(block.title, 2, 260);
        for (const { name, drawing, note, alt } of block.decks) {
          const scale = Math.min(1, sheet.width / DRAWING.width);
          const height = DRAWING.height * scale;
          sheet.room(height + 30);
          this.line(name, SETTING.soft);
          const { y } = sheet.doc;
          sheet.tagged(
            'Figure',
            () => {
              sheet.shapes(drawing.shapes, sheet.left, y, scale);
              sheet.doc.fillColor(TINT.ink);
              for (const { text, x, y: down, anchor } of drawing.texts)
                sheet.label(text, { x: sheet.left + x * scale, y: y + down * scale }, anchor === 'end', scale);
            },
            alt,
          );
          sheet.doc.y = y + height;
          this.line(note, SETTING.soft);
          sheet.gap(GAP);
        }
        break;
      case 'photos':
        this.heading(block.title, 2);
        await this.photos(block.photos);
        break;
      case 'code': {
        this.heading(block.title, 2);
        for (const { text, weight } of block.lines) this.line(text, SETTING[weight]);
        const picture = await this.needs.code(block.code);
        sheet.room(150);
        const { y } = sheet.doc;
        sheet.tagged('Figure', () => sheet.doc.image(picture, sheet.left, y, { width: 130 }), block.label);
        sheet.doc.y = y + 134;
        this.line(block.help, SETTING.soft);
        break;
      }
      case 'small':
        sheet.gap(GAP);
        sheet.text('P', block.text, { size: 8, colour: TINT.soft });
    }
    sheet.gap(GAP);
  }

  /** @param room what it and what follows it take at least, pt: a heading never stands at the foot of a page by itself */
  private heading(text: string, level: 2 | 3, room = 70): void {
    this.sheet.room(room);
    this.sheet.gap(GAP);
    this.sheet.text(`H${level}`, text, { face: 'label', size: level === 2 ? 15 : 12 });
    this.sheet.gap(2);
  }

  private line(text: string, setting: Setting = {}, tag = 'P'): void {
    const width = this.sheet.width - MARK;
    this.sheet.room(this.sheet.heightOf(text, width, setting));
    this.sheet.text(tag, text, setting, this.sheet.left + MARK, width);
    this.sheet.gap(1);
  }

  private systems(cells: Extract<PaperBlock, { kind: 'systems' }>['cells']): void {
    const { sheet } = this;
    const width = sheet.width / COLUMNS;
    for (let at = 0; at < cells.length; at += COLUMNS) {
      sheet.room(16);
      const { y } = sheet.doc;
      for (const [n, { name, word, rest, grade }] of cells.slice(at, at + COLUMNS).entries()) {
        const x = sheet.left + n * width;
        sheet.doc.y = y;
        sheet.text('P', `${name}: ${word}${rest}`, { size: 9 }, x + MARK, width - MARK - 4);
        sheet.gradeEdge(grade, y, 11, x);
      }
      sheet.doc.y = y + 16;
    }
  }

  private async row({ grade, name, word, why, source, value, photos }: PaperRow): Promise<void> {
    const { sheet } = this;
    const strong: Setting = { face: 'strong' };
    const small: Setting = { size: 9, colour: TINT.soft };
    const width = sheet.width - MARK;
    const first = [name, value].filter(Boolean).join(' · ');
    const height =
      sheet.heightOf(first, width, strong) +
      sheet.heightOf(`${word}. ${why}`, width, { size: 9 }) +
      sheet.heightOf(source, width, small);
    sheet.room(height + (photos.length > 0 ? PHOTO.height + 20 : 0));
    const from = sheet.doc.y;
    const { page } = sheet.doc;
    this.line(first, strong);
    this.line(`${word}. ${why}`, { size: 9 });
    if (source) this.line(source, small);
    // What runs over to the next page has its edge where it began.
    const to = sheet.doc.page === page ? sheet.doc.y - 2 : from + 12;
    sheet.gradeEdge(grade, from + 1, Math.max(10, to - from - 1));
    // Today's and the last visit's stand beside each other.
    await this.photos(
      photos.flatMap(({ when, photos: all }) =>
        all.map((one) => ({
          ...one,
          caption: [photos.length > 1 ? when : '', one.caption].filter(Boolean).join(': '),
        })),
      ),
    );
    sheet.gap(4);
  }

  private async photos(all: readonly PaperPhoto[]): Promise<void> {
    const { sheet } = this;
    const perRow = Math.max(1, Math.floor((sheet.width - MARK + GAP) / (PHOTO.width + GAP)));
    for (let at = 0; at < all.length; at += perRow) {
      sheet.room(PHOTO.height + 14);
      const { y } = sheet.doc;
      let deepest = y + PHOTO.height;
      for (const [n, photo] of all.slice(at, at + perRow).entries()) {
        const x = sheet.left + MARK + n * (PHOTO.width + GAP);
        const bytes = await this.needs.photo(photo.id);
        const alt = [photo.label, photo.caption].filter(Boolean).join(': ');
        sheet.doc.y = y;
        if (bytes) sheet.tagged('Figure', () => sheet.photo(bytes, photo.marks, { x, y, ...PHOTO }), alt);
        else {
          sheet.adorn(() =>
            sheet.doc.rect(x, y, PHOTO.width, PHOTO.height).dash(3, { space: 3 }).stroke(TINT.rule).undash(),
          );
          sheet.doc.y = y + PHOTO.height / 2;
          sheet.text('P', this.gone, SETTING.soft, x + GAP, PHOTO.width - 2 * GAP);
        }
        if (photo.caption) {
          sheet.doc.y = y + PHOTO.height + 2;
          sheet.text('Caption', photo.caption, { size: 8 }, x, PHOTO.width);
          deepest = Math.max(deepest, sheet.doc.y);
        }
      }
      sheet.doc.y = deepest + GAP;
    }
  }

  private table(head: readonly string[], rows: readonly (readonly string[])[]): void {
    const { sheet } = this;
    const add = (cells: readonly string[], tag: 'TH' | 'TD', setting: Setting) => {
      const width = (n: number) => sheet.width * (SHARES[n] ?? 1 / cells.length) - 4;
      const height = Math.max(...cells.map((cell, n) => sheet.heightOf(cell, width(n), setting)));
      sheet.room(height + 2);
      const { y } = sheet.doc;
      sheet.within('TR', () => {
        let x = sheet.left;
        for (const [n, cell] of cells.entries()) {
          sheet.doc.y = y;
          sheet.text(tag, cell, setting, x, width(n));
          x += width(n) + 4;
        }
      });
      sheet.doc.y = y + height + 2;
    };
    sheet.within('Table', () => {
      add(head, 'TH', { face: 'strong', size: 9 });
      for (const row of rows) add(row, 'TD', { size: 9 });
    });
  }
}
