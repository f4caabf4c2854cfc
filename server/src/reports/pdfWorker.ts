import type { PaperStyle } from '@weskopos/contract';
import type { HouseRules } from '@weskopos/core';
import type { ReportGiven } from '@weskopos/words/paper/reportGiven';
import { reportPaper } from '@weskopos/words/paper/reportPaper';
import { speakByHouse } from '@weskopos/words/show';
import { speak } from '@weskopos/words/tongue';
import { TONGUES } from '@weskopos/words/tongues';
import { parentPort } from 'node:worker_threads';
import QRCode from 'qrcode';
import sharp from 'sharp';
import { paperPdf } from './pdf/paperPdf';

/** Reports are made as PDF in a thread of their own: the server's event loop never stands still for them. */

export interface PdfRequest {
  readonly given: ReportGiven;
  readonly house: HouseRules;
  readonly style: PaperStyle;
  /** Files of photos by their ids. */
  readonly photos: ReadonlyMap<string, string>;
  /** ISO 8601. */
  readonly madeAt: string;
}

/** What the thread says to the server; `failed` ends it, so does `made`. */
export type PdfReply =
  | { readonly kind: 'at'; readonly done: number; readonly of: number }
  | { readonly kind: 'made'; readonly pdf: Uint8Array }
  | { readonly kind: 'failed'; readonly message: string };

/** Px of a photo as it goes into the file: some 200 to the inch where it is printed. */
const PRINTED = { width: 480, height: 360, fit: 'cover' } as const;

const port = parentPort;
if (!port) throw new Error('this file runs as a worker thread only');
const say = (reply: PdfReply) => port.postMessage(reply);

async function make({ given, house, style, photos, madeAt }: PdfRequest): Promise<Uint8Array> {
  speakByHouse(house);
  speak(TONGUES[style.language]);
  const paper = reportPaper(given);
  return paperPdf(paper, style.size, {
    madeAt: new Date(madeAt),
    code: (text) => QRCode.toBuffer(text, { errorCorrectionLevel: 'M', margin: 1, width: 520 }),
    photo: async (id) => {
      const file = photos.get(id);
      if (file === undefined) return null;
      try {
        return await sharp(file).resize(PRINTED).jpeg({ quality: 80 }).toBuffer();
      } catch {
        // Gone, or no picture any more: the paper says so in its place.
        return null;
      }
    },
    onBlock: (done, of) => say({ kind: 'at', done, of }),
  });
}

port.on('message', (request: PdfRequest) => {
  make(request).then(
    (pdf) => say({ kind: 'made', pdf }),
    (error: unknown) => say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
  );
});
