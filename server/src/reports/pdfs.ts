import type { PaperStyle } from '@weskopos/contract';
import { composeReport, newestRulebook, type Finding } from '@weskopos/core';
import { stickerOf } from '@weskopos/core/jobs/stickerOf';
import { worksOf } from '@weskopos/core/works/worksOf';
import type { ReportGiven } from '@weskopos/words/paper/reportGiven';
import pLimit from 'p-limit';
import type { Engine } from '../db/engine';
import { startThread } from '../db/startThread';
import type { FleetBook } from '../fleet/fleetBook';
import { NotFound } from '../http/problems';
import { findVisit } from '../inspections/findVisit';
import { visitsBefore } from '../inspections/sheetOfVisit';
import type { PhotoFiles } from '../photos/photoFiles';
import { readPrices } from '../prices/readPrices';
import { readRulebooks } from '../rules/readRulebooks';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import type { PdfReply, PdfRequest } from './pdfWorker';

interface PdfNeeds {
  readonly engine: Engine;
  readonly fleet: FleetBook;
  readonly photos: PhotoFiles;
  readonly clock: () => Date;
}

/** A report as a file. */
export interface MadePdf {
  /** What it is kept as. */
  readonly name: string;
  readonly pdf: Uint8Array;
}

/** Reports as PDF: one after the other, in a thread each; who asks for one that is being made gets that one. */
export class Pdfs {
  private readonly making = new Map<string, Promise<MadePdf>>();
  private readonly progress = new Map<string, { readonly done: number; readonly of: number }>();
  private readonly oneByOne = pLimit(1);

  constructor(private readonly needs: PdfNeeds) {}

  /** How far the report of a visit is; nothing of nothing where none is made. */
  at(inspectionId: string): { readonly done: number; readonly of: number } {
    return this.progress.get(inspectionId) ?? { done: 0, of: 0 };
  }

  /** The report of a visit as it is now. @throws NotFound where there is no such visit */
  async make(inspectionId: string, style: PaperStyle): Promise<MadePdf> {
    const key = [inspectionId, style.language, style.wording, style.size].join(' ');
    const under = this.making.get(key);
    if (under) return under;
    const made = this.oneByOne(() => this.makeNow(inspectionId, style)).finally(() => {
      this.making.delete(key);
      this.progress.delete(inspectionId);
    });
    this.making.set(key, made);
    return made;
  }

  private async makeNow(inspectionId: string, style: PaperStyle): Promise<MadePdf> {
    const { engine, fleet, clock } = this.needs;
    const found = await findVisit(engine, inspectionId);
    if (!found) throw new NotFound('inspection');
    const { life, visit } = found;
    const { house } = newestRulebook(await readRulebooks(engine));
    const rules = await rulesOfVisit(engine, visit.inspection);
    const before = visitsBefore(life, visit);
    const { entries, vehicle } = life;
    const given: ReportGiven = {
      report: composeReport(vehicle, visit, before, rules, { entries, fleet: fleet.knowledge }),
      visit,
      // Of what was before only the pictures are told beside today's.
      earlier: before.map((one) => ({ ...one, acts: [], sheet: null, findings: one.findings.filter(hasPhotos) })),
      isNewest: !life.visits.some(({ inspection }) => inspection.startedAt > visit.inspection.startedAt),
      works: worksOf(entries),
      dues: stickerOf(vehicle, [...before, visit], entries, rules.house).dues,
      wording: style.wording,
      prices: (await readPrices(engine)).list,
    };
    const photos = await this.filesOf(given);
    const pdf = await this.inThread(inspectionId, { given, house, style, photos, madeAt: clock().toISOString() });
    return { name: `${vehicle.fleetCode}-${visit.inspection.startedAt.slice(0, 10)}.pdf`, pdf };
  }

  private async filesOf({ visit, earlier }: ReportGiven): Promise<ReadonlyMap<string, string>> {
    const told = [visit, ...earlier].flatMap(({ findings }) => findings.flatMap(({ photos }) => photos));
    const ids = [...told.map(({ id }) => id), ...visit.inspection.corners];
    if (ids.length === 0) return new Map();
    const rows = await this.needs.engine.query<{ id: string; sha256: string }>(
      'select id, sha256 from photo where id = any(array(select jsonb_array_elements_text($1::jsonb)::uuid))',
      [JSON.stringify(ids)],
    );
    return new Map(rows.map(({ id, sha256 }) => [id, this.needs.photos.pathOf(sha256, 'full')]));
  }

  private inThread(inspectionId: string, request: PdfRequest): Promise<Uint8Array> {
    const thread = startThread(__dirname, 'pdfWorker');
    return new Promise<Uint8Array>((resolve, reject) => {
      thread.on('error', reject);
      thread.on('exit', (code) => reject(new Error(`the thread ended (${code})`)));
      thread.on('message', (reply: PdfReply) => {
        if (reply.kind === 'at') this.progress.set(inspectionId, { done: reply.done, of: reply.of });
        else if (reply.kind === 'made') resolve(reply.pdf);
        else reject(new Error(reply.message));
      });
      thread.postMessage(request);
    }).finally(() => void thread.terminate());
  }
}

const hasPhotos = ({ photos }: Pick<Finding, 'photos'>) => photos.length > 0;
