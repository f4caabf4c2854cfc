import { givenLinkSchema, linksSchema, newLinkSchema } from './links';
import { storedLifeEntrySchema } from './records/lifeEntry';
import { calendarsSchema, givenCalendarSchema, newCalendarSchema } from './calendars';
import { paperProgressSchema } from './paper';
import { newPricesSchema, pricesSchema } from './prices';
import { z } from 'zod';
import {
  auditAnswerSchema,
  auditSearchSchema,
  blankKeeperSchema,
  givenTokenSchema,
  newTokenSchema,
  tokenSchema,
} from './audit';
import { alarmSchema, storageSchema } from './backup';
import { importPlanSchema, importTakenSchema, verifiedSchema } from './bundle';
import { DOORS, type EndpointName } from './doors';
import { fleetBoardSchema, fleetKnowledgeSchema, scorecardSchema } from './fleet';
import { lifeSchema, yardEntrySchema } from './life';
import { visitSchema } from './records/inspection';
import { operationBatchSchema, operationOutcomeSchema } from './operation';
import { placeHeldSchema } from './live';
import {
  deviceSessionSchema,
  lookedSchema,
  memberSchema,
  newPersonSchema,
  onceSchema,
  ownSecretSchema,
  personChangeSchema,
  personSchema,
  setupSchema,
  signInSchema,
} from './person';
import { idSchema } from './records/shapes';
import { rulebookPreviewSchema, rulebookSchema } from './records/rulebook';
import { reportSchema, trendSchema } from './trend';
import {
  sheetLookSchema,
  sheetLookedSchema,
  sheetPlanSchema,
  sheetProgressSchema,
  sheetReadingSchema,
  sheetTakenSchema,
} from './sheets';

/** Who may call: anyone, anyone signed in, or a workshop lead. */
export type Access = 'anyone' | 'signed-in' | 'lead';

/** What an endpoint takes and gives, and who may call it. */
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

/** Every JSON exchange between app and server, declared once: the server registers with it, the app calls by it. */
export const ENDPOINTS = {
  workshop: endpoint({
    ...DOORS.workshop,
    access: 'anyone',
    params: nothing,
    body: noBody,
    answer: z.object({ empty: z.boolean() }),
  }),
  setup: endpoint({
    ...DOORS.setup,
    access: 'anyone',
    params: nothing,
    body: setupSchema,
    answer: personSchema,
  }),
  signIn: endpoint({
    ...DOORS.signIn,
    access: 'anyone',
    params: nothing,
    body: signInSchema,
    answer: personSchema,
  }),
  whoAmI: endpoint({
    ...DOORS.whoAmI,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: personSchema,
  }),
  signOut: endpoint({
    ...DOORS.signOut,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: nothing,
  }),
  people: endpoint({
    ...DOORS.people,
    access: 'lead',
    params: nothing,
    body: noBody,
    answer: z.array(memberSchema),
  }),
  addPerson: endpoint({
    ...DOORS.addPerson,
    access: 'lead',
    params: nothing,
    body: newPersonSchema,
    answer: personSchema,
  }),
  changePerson: endpoint({
    ...DOORS.changePerson,
    access: 'lead',
    params: byId,
    body: personChangeSchema,
    answer: memberSchema,
  }),
  resetSecret: endpoint({
    ...DOORS.resetSecret,
    access: 'lead',
    params: byId,
    body: nothing,
    answer: onceSchema,
  }),
  looked: endpoint({
    ...DOORS.looked,
    access: 'signed-in',
    params: nothing,
    body: nothing,
    answer: lookedSchema,
  }),
  changeSecret: endpoint({
    ...DOORS.changeSecret,
    access: 'signed-in',
    params: nothing,
    body: ownSecretSchema,
    answer: nothing,
  }),
  /** One's own devices; every device for a lead. */
  sessions: endpoint({
    ...DOORS.sessions,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: z.array(deviceSessionSchema),
  }),
  endSession: endpoint({
    ...DOORS.endSession,
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: nothing,
  }),
  sendOperations: endpoint({
    ...DOORS.sendOperations,
    access: 'signed-in',
    params: nothing,
    body: operationBatchSchema,
    answer: z.array(operationOutcomeSchema),
  }),
  yard: endpoint({
    ...DOORS.yard,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: z.array(yardEntrySchema),
  }),
  life: endpoint({
    ...DOORS.life,
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: lifeSchema,
  }),
  trends: endpoint({
    ...DOORS.trends,
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: z.array(trendSchema),
  }),
  inspection: endpoint({
    ...DOORS.inspection,
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: visitSchema,
  }),
  /** Tells the others who have this visit open where one stands. */
  holdPlace: endpoint({
    ...DOORS.holdPlace,
    access: 'signed-in',
    params: byId,
    body: placeHeldSchema,
    answer: z.object({ others: z.number() }),
  }),
  report: endpoint({
    ...DOORS.report,
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: reportSchema,
  }),
  /** What the fleet teaches each forecast, for the device to carry along. */
  fleetKnowledge: endpoint({
    ...DOORS.fleetKnowledge,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: fleetKnowledgeSchema,
  }),
  /** Works of all vehicles and everything said of them, with what was taken back. */
  works: endpoint({
    ...DOORS.works,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: z.array(storedLifeEntrySchema),
  }),
  fleetBoard: endpoint({
    ...DOORS.fleetBoard,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: fleetBoardSchema,
  }),
  scorecard: endpoint({
    ...DOORS.scorecard,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: scorecardSchema,
  }),
  /** Every version of the workshop's rules, oldest first; the built-in one (0) is not among them. */
  rulebooks: endpoint({
    ...DOORS.rulebooks,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: z.array(rulebookSchema),
  }),
  /** How far the report of a visit is that is being made as PDF. */
  pdfProgress: endpoint({
    ...DOORS.pdfProgress,
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: paperProgressSchema,
  }),
  previewRulebook: endpoint({
    ...DOORS.previewRulebook,
    access: 'lead',
    params: nothing,
    body: rulebookSchema,
    answer: rulebookPreviewSchema,
  }),
  /** Takes a bundle that was sent and looked at; answers what was taken. */
  takeImport: endpoint({
    ...DOORS.takeImport,
    access: 'lead',
    params: byId,
    body: importTakenSchema,
    answer: importPlanSchema,
  }),
  /** Looks at a table that was sent: as it is guessed, or as it is said. */
  lookAtSheet: endpoint({
    ...DOORS.lookAtSheet,
    access: 'lead',
    params: byId,
    body: sheetLookedSchema,
    answer: sheetLookSchema,
  }),
  /** Tells what becomes of every row of a table that was sent. */
  planSheet: endpoint({
    ...DOORS.planSheet,
    access: 'lead',
    params: byId,
    body: sheetReadingSchema,
    answer: sheetPlanSchema,
  }),
  /** Takes a table that was sent: what of it is new here, all of it or nothing. */
  takeSheet: endpoint({
    ...DOORS.takeSheet,
    access: 'lead',
    params: byId,
    body: sheetTakenSchema,
    answer: sheetPlanSchema,
  }),
  dropSheet: endpoint({
    ...DOORS.dropSheet,
    access: 'lead',
    params: byId,
    body: noBody,
    answer: nothing,
  }),
  /** How far one is with the rows of a table. */
  sheetProgress: endpoint({
    ...DOORS.sheetProgress,
    access: 'lead',
    params: byId,
    body: noBody,
    answer: sheetProgressSchema,
  }),
  /** Programs that may come in by a token. */
  tokens: endpoint({
    ...DOORS.tokens,
    access: 'lead',
    params: nothing,
    body: noBody,
    answer: z.array(tokenSchema),
  }),
  giveToken: endpoint({
    ...DOORS.giveToken,
    access: 'lead',
    params: nothing,
    body: newTokenSchema,
    answer: givenTokenSchema,
  }),
  endToken: endpoint({
    ...DOORS.endToken,
    access: 'lead',
    params: byId,
    body: noBody,
    answer: nothing,
  }),
  /** Who did what when, newest first. */
  audit: endpoint({
    ...DOORS.audit,
    access: 'lead',
    params: nothing,
    body: auditSearchSchema,
    answer: auditAnswerSchema,
  }),
  /** Links the keeper of a vehicle was given, newest first. */
  links: endpoint({ ...DOORS.links, access: 'signed-in', params: byId, body: noBody, answer: linksSchema }),
  /** Gives the keeper a link to what he is told; what opens it is told this once. */
  giveLink: endpoint({
    ...DOORS.giveLink,
    access: 'signed-in',
    params: byId,
    body: newLinkSchema,
    answer: givenLinkSchema,
  }),
  /** What the workshop asks for parts and work. */
  prices: endpoint({ ...DOORS.prices, access: 'signed-in', params: nothing, body: noBody, answer: pricesSchema }),
  putPrices: endpoint({
    ...DOORS.putPrices,
    access: 'lead',
    params: nothing,
    body: newPricesSchema,
    answer: pricesSchema,
  }),
  /** Calendars other programs may read, newest first. */
  calendars: endpoint({
    ...DOORS.calendars,
    access: 'signed-in',
    params: nothing,
    body: noBody,
    answer: calendarsSchema,
  }),
  /** Lets other programs read a calendar; what opens it is told this once. */
  giveCalendar: endpoint({
    ...DOORS.giveCalendar,
    access: 'signed-in',
    params: nothing,
    body: newCalendarSchema,
    answer: givenCalendarSchema,
  }),
  endCalendar: endpoint({
    ...DOORS.endCalendar,
    access: 'signed-in',
    params: byId,
    body: noBody,
    answer: nothing,
  }),
  endLink: endpoint({ ...DOORS.endLink, access: 'signed-in', params: byId, body: noBody, answer: nothing }),
  /** Takes out what is told of a vehicle's keeper: plate, VIN, what he said; all that was found stays. */
  blankKeeper: endpoint({
    ...DOORS.blankKeeper,
    access: 'lead',
    params: byId,
    body: blankKeeperSchema,
    answer: nothing,
  }),
  /** Looks at everything that was signed. */
  verify: endpoint({
    ...DOORS.verify,
    access: 'lead',
    params: nothing,
    body: nothing,
    answer: verifiedSchema,
  }),
  storage: endpoint({
    ...DOORS.storage,
    access: 'lead',
    params: nothing,
    body: noBody,
    answer: storageSchema,
  }),
  /** Whether the workshop is kept twice. */
  backupAlarm: endpoint({
    ...DOORS.backupAlarm,
    access: 'lead',
    params: nothing,
    body: noBody,
    answer: alarmSchema,
  }),
  /** Makes a backup now. */
  takeBackup: endpoint({
    ...DOORS.takeBackup,
    access: 'lead',
    params: nothing,
    body: nothing,
    answer: storageSchema,
  }),
  /** Forgets a bundle that was sent. */
  dropImport: endpoint({
    ...DOORS.dropImport,
    access: 'lead',
    params: byId,
    body: noBody,
    answer: nothing,
  }),
} as const satisfies Record<EndpointName, Endpoint>;
/** What an endpoint is sent. */
export type BodyOf<N extends EndpointName> = z.input<(typeof ENDPOINTS)[N]['body']>;
/** What an endpoint's address holds. */
export type ParamsOf<N extends EndpointName> = z.input<(typeof ENDPOINTS)[N]['params']>;
/** What an endpoint answers. */
export type AnswerOf<N extends EndpointName> = z.output<(typeof ENDPOINTS)[N]['answer']>;
