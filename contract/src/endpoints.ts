import { z } from 'zod';
import { fleetBoardSchema, fleetKnowledgeSchema, scorecardSchema } from './fleet';
import { lifeSchema, yardEntrySchema } from './life';
import { visitSchema } from './records/inspection';
import { operationBatchSchema, operationOutcomeSchema } from './operation';
import { placeHeldSchema } from './live';
import { newPersonSchema, personSchema, setupSchema, signInSchema } from './person';
import { idSchema } from './shapes';
import { rulebookPreviewSchema, rulebookSchema } from './records/rulebook';
import { reportSchema, trendSchema } from './trend';

/** Who may call: anyone, anyone signed in, or a workshop lead. */
export type Access = 'anyone' | 'signed-in' | 'lead';

export interface Endpoint<
  Params extends z.ZodType = z.ZodType,
  Body extends z.ZodType = z.ZodType,
  Answer extends z.ZodType = z.ZodType,
> {
  readonly method: 'get' | 'post' | 'delete';
  readonly path: string;
  readonly access: Access;
  readonly params: Params;
  readonly body: Body;
  readonly answer: Answer;
}

function endpoint<P extends z.ZodType, B extends z.ZodType, A extends z.ZodType>(
  declared: Endpoint<P, B, A>,
): Endpoint<P, B, A> {
  return declared;
}

const nothing = z.strictObject({});
const byId = z.strictObject({ id: idSchema });
const noBody = z.undefined();

/** Photos go up as raw JPEG bytes to `/api/photos/:id` and are the one exchange that is not JSON. */
export const PHOTO_PATH = '/api/photos';

/** Every JSON exchange between app and server, declared once: the server registers with it, the app calls by it. */
export const ENDPOINTS = {
  workshop: endpoint({
    method: 'get',
    path: '/api/workshop',
    access: 'anyone',
    params: nothing,
    body: noBody,
    answer: z.object({ empty: z.boolean() }),
  }),
  setup: endpoint({
    method: 'post',
    path: '/api/setup',
    access: 'anyone',
    params: nothing,
    body: setupSchema,
    answer: personSchema,
  }),
  signIn: endpoint({
    method: 'post',
    path: '/api/session',
    access: 'anyone',
    params: nothing,
    body: signInSchema,
    answer: personSchema,
  }),
  whoAmI: endpoint({
    method: 'get',
    path: '/api/session',
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: personSchema,
  }),
  signOut: endpoint({
    method: 'delete',
    path: '/api/session',
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: nothing,
  }),
  people: endpoint({
    method: 'get',
    path: '/api/people',
    access: 'lead',
    params: nothing,
    body: noBody,
    answer: z.array(personSchema),
  }),
  addPerson: endpoint({
    method: 'post',
    path: '/api/people',
    access: 'lead',
    params: nothing,
    body: newPersonSchema,
    answer: personSchema,
  }),
  sendOperations: endpoint({
    method: 'post',
    path: '/api/operations',
    access: 'signed-in',
    params: nothing,
    body: operationBatchSchema,
    answer: z.array(operationOutcomeSchema),
  }),
  yard: endpoint({
    method: 'get',
    path: '/api/yard',
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: z.array(yardEntrySchema),
  }),
  life: endpoint({
    method: 'get',
    path: '/api/vehicles/:id/life',
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: lifeSchema,
  }),
  trends: endpoint({
    method: 'get',
    path: '/api/vehicles/:id/trends',
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: z.array(trendSchema),
  }),
  inspection: endpoint({
    method: 'get',
    path: '/api/inspections/:id',
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: visitSchema,
  }),
  /** Tells the others who have this visit open where one stands. */
  holdPlace: endpoint({
    method: 'post',
    path: '/api/inspections/:id/place',
    access: 'signed-in',
    params: byId,
    body: placeHeldSchema,
    answer: z.object({ others: z.number() }),
  }),
  report: endpoint({
    method: 'get',
    path: '/api/inspections/:id/report',
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: reportSchema,
  }),
  /** What the fleet teaches each forecast, for the device to carry along. */
  fleetKnowledge: endpoint({
    method: 'get',
    path: '/api/fleet/knowledge',
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: fleetKnowledgeSchema,
  }),
  fleetBoard: endpoint({
    method: 'get',
    path: '/api/fleet/board',
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: fleetBoardSchema,
  }),
  scorecard: endpoint({
    method: 'get',
    path: '/api/fleet/scorecard',
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: scorecardSchema,
  }),
  /** Every version of the workshop's rules, oldest first; the built-in one (0) is not among them. */
  rulebooks: endpoint({
    method: 'get',
    path: '/api/rulebooks',
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: z.array(rulebookSchema),
  }),
  previewRulebook: endpoint({
    method: 'post',
    path: '/api/rulebooks/preview',
    access: 'lead',
    params: nothing,
    body: rulebookSchema,
    answer: rulebookPreviewSchema,
  }),
} as const;
export type EndpointName = keyof typeof ENDPOINTS;
export type BodyOf<N extends EndpointName> = z.input<(typeof ENDPOINTS)[N]['body']>;
export type ParamsOf<N extends EndpointName> = z.input<(typeof ENDPOINTS)[N]['params']>;
export type AnswerOf<N extends EndpointName> = z.output<(typeof ENDPOINTS)[N]['answer']>;

/** Sent with every change; a form on another site cannot send it. */
export const GUARD_HEADER = 'x-weskopos';
