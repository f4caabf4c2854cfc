import { inkOf, type Shape } from '@weskopos/core/decks/marks';
import type { Grade, PhotoMark } from '@weskopos/core';
import type { SheetSize } from '@weskopos/contract';
import PDFDocument from 'pdfkit';
import { TINT } from './tint';

const MARGIN = 44;
/** The foot of every page lies within its margin. */
const FOOT = 30;
/** Faces that are shipped and go into the file. */
const FACES = {
  text: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  strong: '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  label: '@expo-google-fonts/barlow-condensed/600SemiBold/BarlowCondensed_600SemiBold.ttf',
} as const;
type Face = keyof typeof FACES;

/** How a text is set. */
export interface Setting {
  readonly face?: Face;
  readonly size?: number;
  readonly colour?: string;
}

/** The breadth of a grade's mark beside its text, pt. */
export const MARK = 12;

/** What a photo's mark is drawn with, and how wide, pt. */
const DRAWN = '#E23D1C';

/** More letters in a row than any word, hash or signature has. */
const RUN = /[^\s\u00a0]{100}(?=[^\s\u00a0])/gu;

/**
 * A text as the faces have it: a plain space that does not break instead of the narrow one, and gaps in what has none. The
 * library breaks a word letter by letter, in a time that grows with the square of its length.
 */
const settable = (text: string) => text.replace(/\u202f/g, '\u00a0').replace(RUN, '$& ');

/** A tagged document that is written from top to bottom; what must not be torn apart goes to the next page whole. */
export class Sheet {
  readonly doc: PDFKit.PDFDocument;
  private readonly root: PDFKit.PDFStructureElement;
  /** What is tagged next belongs to it. */
  private parent: PDFKit.PDFStructureElement;

  constructor(size: SheetSize, title: string, locale: string, madeAt: Date) {
    this.doc = new PDFDocument({
      size,
      margin: MARGIN,
      bufferPages: true,
      pdfVersion: '1.7',
      tagged: true,
      lang: locale,
      displayTitle: true,
      info: { Title: title, Creator: 'Weskopos', Producer: 'Weskopos', CreationDate: madeAt },
    });
    for (const [name, file] of Object.entries(FACES)) this.doc.registerFont(name, require.resolve(file));
    this.root = this.doc.struct('Document');
    this.doc.addStructure(this.root);
    this.parent = this.root;
  }

  get left(): number {
    return MARGIN;
  }
  get width(): number {
    return this.doc.page.width - 2 * MARGIN;
  }
  private get bottom(): number {
    return this.doc.page.height - MARGIN;
  }

  /** Goes to the next page where less than that is left on this one. @param height pt */
  room(height: number): void {
    if (this.doc.y + height > this.bottom && this.doc.y > MARGIN) this.doc.addPage();
  }

  gap(height: number): void {
    this.doc.y += height;
  }

  private set({ face = 'text', size = 10, colour = TINT.ink }: Setting): PDFKit.PDFDocument {
    return this.doc.font(face).fontSize(size).fillColor(colour);
  }

  /** How high a text stands in a column, pt. */
  heightOf(text: string, width: number, setting: Setting = {}): number {
    return text === '' ? 0 : this.set(setting).heightOfString(settable(text), { width });
  }

  /** One paragraph under a tag of the standard, at the page's place or at the one given. */
  text(tag: string, text: string, setting: Setting = {}, x = MARGIN, width = this.width): void {
    if (text === '') return;
    this.tagged(tag, () => this.set(setting).text(settable(text), x, this.doc.y, { width }));
  }

  tagged(tag: string, draw: () => void, alt?: string): void {
    const element = this.doc.struct(tag, alt === undefined ? {} : { alt: settable(alt) }, [draw]);
    this.parent.add(element);
    element.end();
  }

  /** Everything that is written meanwhile belongs to an element of that tag. */
  within(tag: string, write: () => void): void {
    const [element, before] = [this.doc.struct(tag), this.parent];
    before.add(element);
    this.parent = element;
    write();
    this.parent = before;
    element.end();
  }

  /** What only adorns is no text to be read out. */
  adorn(draw: () => void): void {
    this.doc.markContent('Artifact', { type: 'Layout' });
    draw();
    this.doc.endMarkedContent();
  }

  /** The edge of a grade: whole, notched or cut through, dashed where nobody has seen it. */
  gradeEdge(grade: Grade, y: number, height: number, x = MARGIN): void {
    const { doc } = this;
    this.adorn(() => {
      const colour = TINT[inkOf(grade)];
      const middle = y + height / 2;
      doc.save();
      if (grade === 'not-seen' || grade === 'recorded')
        doc.lineWidth(1).dash(2, { space: 2 }).rect(x, y, 5, height).stroke(colour).undash();
      else doc.rect(x, y, 6, height).fill(colour);
      if (grade === 'advisory') doc.path(`M${x + 7} ${middle - 4}l-5 4l5 4Z`).fill('#FFFFFF');
      if (grade === 'fail') doc.path(`M${x - 1} ${middle - 1}l8 -4v4l-8 4Z`).fill('#FFFFFF');
      doc.restore();
    });
  }

  /** Shapes in a frame of their own units. */
  shapes(all: readonly Shape[], x: number, y: number, scale: number): void {
    const { doc } = this;
    doc.save().translate(x, y).scale(scale);
    for (const { d, fill, fillOpacity = 1, stroke, width, dash } of all) {
      doc.save();
      if (fill !== null && fillOpacity > 0) doc.path(d).fillOpacity(fillOpacity).fill(TINT[fill]);
      if (stroke !== null) {
        doc.lineWidth(width).strokeOpacity(1);
        if (dash) doc.dash(dash[0], { space: dash[1] });
        doc.path(d).stroke(TINT[stroke]);
      }
      doc.restore();
    }
    doc.restore();
  }

  /** Words on a drawing, at its own units. */
  label(text: string, at: { readonly x: number; readonly y: number }, end: boolean, scale: number): void {
    const { doc } = this;
    this.set({ face: 'label', size: 15 * scale });
    const width = doc.widthOfString(settable(text));
    doc.text(settable(text), at.x - (end ? width : 0), at.y - 12 * scale, { lineBreak: false });
  }

  /** A photo with what was drawn on it. */
  photo(
    bytes: Buffer,
    marks: readonly PhotoMark[],
    {
      x,
      y,
      width,
      height,
    }: { readonly x: number; readonly y: number; readonly width: number; readonly height: number },
  ): void {
    const { doc } = this;
    doc.save().rect(x, y, width, height).clip();
    doc.image(bytes, x, y, { cover: [width, height], align: 'center', valign: 'center' });
    doc.lineWidth(2).strokeColor(DRAWN).fillColor(DRAWN);
    for (const mark of marks) {
      const [atX, atY] = [x + mark.x * width, y + mark.y * height];
      if (mark.kind === 'ring') doc.circle(atX, atY, mark.radius * width).stroke(DRAWN);
      else if (mark.kind === 'arrow') this.arrow(atX, atY, x + mark.toX * width, y + mark.toY * height);
      else
        this.set({ face: 'strong', size: 9, colour: DRAWN }).text(settable(mark.text), atX, atY, { lineBreak: false });
    }
    doc.restore();
  }

  private arrow(fromX: number, fromY: number, toX: number, toY: number): void {
    const along = Math.atan2(toY - fromY, toX - fromX);
    const wing = (turn: number) => `L${toX - 8 * Math.cos(along + turn)} ${toY - 8 * Math.sin(along + turn)}`;
    this.doc.moveTo(fromX, fromY).lineTo(toX, toY).stroke(DRAWN);
    this.doc.path(`M${toX} ${toY}${wing(0.45)}${wing(-0.45)}Z`).fill(DRAWN);
  }

  /** Writes the foot of every page and gives the file's bytes. @param foot by page and how many there are */
  async finish(foot: (page: number, of: number) => string): Promise<Buffer> {
    const { doc } = this;
    const { count } = doc.bufferedPageRange();
    for (let page = 0; page < count; page += 1) {
      doc.switchToPage(page);
      const { bottom } = doc.page.margins;
      // The foot stands in the margin, where a text would begin a new page.
      doc.page.margins.bottom = 0;
      doc.markContent('Artifact', { type: 'Pagination' });
      this.set({ size: 8, colour: TINT.soft }).text(settable(foot(page + 1, count)), MARGIN, doc.page.height - FOOT, {
        width: this.width,
        align: 'right',
        lineBreak: false,
      });
      doc.endMarkedContent();
      doc.page.margins.bottom = bottom;
    }
    this.root.end();
    const chunks: Buffer[] = [];
    const whole = new Promise<Buffer>((resolve, reject) => {
      doc.on('data', (chunk: Buffer) => chunks.push(chunk));
      doc.on('end', () => resolve(Buffer.concat(chunks)));
      doc.on('error', reject);
    });
    doc.end();
    return whole;
  }
}
