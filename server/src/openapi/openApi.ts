import {
  AUDIT_CSV_PATH,
  BUNDLE_PATHS,
  ENDPOINTS,
  GUARD_HEADER,
  PHOTO_LIMITS,
  PDF_PATH,
  PHOTO_PATH,
  TABLES,
  SHEETS_PATH,
  TABLES_PATH,
  paperStyleSchema,
  tableStyleSchema,
  importPlanSchema,
  problemSchema,
  sheetLookSchema,
  type Access,
  type Endpoint,
} from '@weskopos/contract';
import { entryOf, typedKeys } from '@weskopos/core';
import { z } from 'zod';
import { SESSION_COOKIE } from '../people/sessionCookie';
import { mayMachine } from '../people/tokens';
import { EXAMPLES } from './examples';
import { SUMMARIES } from './summaries';

type Json = Readonly<Record<string, unknown>>;

/** `input` where what is left out has a default; `output` for the shape that older ones are lifted to. */
const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Json => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, {
    target: 'draft-2020-12',
    unrepresentable: 'any',
    io,
  });
  return rest;
};
const json = (schema: Json) => ({ 'application/json': { schema } });
const PROBLEM = {
  description: 'What is wrong, with the field and what is allowed there (RFC 9457)',
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
};

const WHO: Readonly<Record<Access, string>> = {
  anyone: 'Anybody.',
  'signed-in': 'Whoever is signed in.',
  lead: 'A workshop lead.',
};
/** People come by their session; programs by a token, where one may. */
const comesBy = (method: string, path: string) =>
  mayMachine('write', method.toUpperCase(), path) ? [{ session: [] }, { token: [] }] : [{ session: [] }];
/** With a session, changes need a header that a form on another site cannot send. */
const GUARD = { name: GUARD_HEADER, in: 'header', required: false, schema: { type: 'string', const: '1' } };

/** An address as OpenAPI writes it, and what is in it. */
const pathOf = (path: string) => path.replace(/:(\w+)/g, '{$1}');
const parametersIn = (path: string) =>
  [...path.matchAll(/:(\w+)/g)].map(([, name = '']) => ({
    name,
    in: 'path',
    required: true,
    schema: name === 'table' ? { enum: TABLES } : { type: 'string', format: 'uuid' },
  }));

/** What an address is about: the word behind `/api`. */
const tagOf = (path: string) => path.split('/')[2]?.replace(/\..*/, '') ?? '';

function operationOf(name: string, { method, path, access, body, answer }: Endpoint): Json {
  const sends = method === 'post';
  return {
    operationId: name,
    summary: SUMMARIES[name as keyof typeof SUMMARIES],
    tags: [tagOf(path)],
    description: WHO[access],
    ...(access === 'anyone' ? { security: [] } : { security: comesBy(method, path) }),
    parameters: [...parametersIn(path), ...(method === 'get' ? [] : [GUARD])],
    ...(sends ? { requestBody: { required: true, content: bodyOf(name, body) } } : {}),
    responses: {
      '200': { description: SUMMARIES[name as keyof typeof SUMMARIES], content: json(schemaOf(answer, 'output')) },
      default: PROBLEM,
    },
  };
}

function bodyOf(name: string, body: z.ZodType): Json {
  const example = entryOf<unknown>(EXAMPLES, name);
  return {
    'application/json': { schema: schemaOf(body, 'output'), ...(example === undefined ? {} : { example }) },
  };
}

const binary = (type: string) => ({ [type]: { schema: { type: 'string', contentMediaType: type } } });
const download = (
  operationId: string,
  summary: string,
  path: string,
  type: string,
  access: Access,
  more: readonly Json[] = [],
): Json => ({
  operationId,
  summary,
  tags: [tagOf(path)],
  description: WHO[access],
  security: comesBy('get', path),
  parameters: [...parametersIn(path), ...more],
  responses: { '200': { description: summary, content: binary(type) }, default: PROBLEM },
});

/** What an address takes behind its question mark. */
function inQuery(schema: z.ZodType): Json[] {
  const { properties = {} } = schemaOf(schema, 'input') as { properties?: Record<string, Json> };
  return Object.entries(properties).map(([name, one]) => ({ name, in: 'query', required: false, schema: one }));
}

/** What is no JSON document either way. */
function files(): Record<string, Json> {
  const style = inQuery(tableStyleSchema);
  const paper = inQuery(paperStyleSchema);
  const table = `${TABLES_PATH}/:table`;
  const photo = `${PHOTO_PATH}/:id`;
  return {
    [pathOf(BUNDLE_PATHS.workshop)]: {
      get: download('bundleOfWorkshop', 'Everything as a bundle', BUNDLE_PATHS.workshop, 'application/zip', 'lead'),
    },
    [pathOf(BUNDLE_PATHS.vehicle)]: {
      get: download('bundleOfVehicle', 'One vehicle as a bundle', BUNDLE_PATHS.vehicle, 'application/zip', 'signed-in'),
    },
    [pathOf(BUNDLE_PATHS.visit)]: {
      get: download('bundleOfVisit', 'One visit as a bundle', BUNDLE_PATHS.visit, 'application/zip', 'signed-in'),
    },
    [pathOf(table)]: { get: download('table', 'A table as CSV or XLSX', table, 'text/csv', 'lead', style) },
    [AUDIT_CSV_PATH]: { get: download('auditList', 'The audit list as CSV', AUDIT_CSV_PATH, 'text/csv', 'lead') },
    [SHEETS_PATH]: {
      post: {
        operationId: 'sendSheet',
        summary: 'Send a table of another program, CSV or XLSX, and hear what it looks like',
        description: WHO.lead,
        security: comesBy('post', SHEETS_PATH),
        parameters: [GUARD, { name: 'name', in: 'query', required: false, schema: { type: 'string', maxLength: 120 } }],
        requestBody: { required: true, content: binary('application/octet-stream') },
        responses: {
          '200': { description: 'What it looks like', content: json(schemaOf(sheetLookSchema, 'output')) },
          default: PROBLEM,
        },
      },
    },
    [pathOf(`${SHEETS_PATH}/:id/report`)]: {
      get: download('sheetReport', 'What became of every row', `${SHEETS_PATH}/:id/report`, 'text/csv', 'lead'),
    },
    [BUNDLE_PATHS.imports]: {
      post: {
        operationId: 'lookAtImport',
        summary: 'Send a bundle and hear what taking it would do',
        description: WHO.lead,
        security: comesBy('post', BUNDLE_PATHS.imports),
        parameters: [GUARD],
        requestBody: { required: true, content: binary('application/zip') },
        responses: {
          '200': { description: 'What taking it would do', content: json(schemaOf(importPlanSchema, 'output')) },
          default: PROBLEM,
        },
      },
    },
    [pathOf(PDF_PATH)]: {
      get: download('reportPdf', 'The report of a visit as PDF', PDF_PATH, 'application/pdf', 'signed-in', paper),
    },
    [pathOf(photo)]: {
      get: download('photo', 'A photo', photo, 'image/jpeg', 'signed-in'),
      post: {
        operationId: 'sendPhoto',
        summary: `Send a photo under an id of one’s own: JPEG, PNG or WebP of at most ${PHOTO_LIMITS.mostBytes / 1e6} MB`,
        description: WHO['signed-in'],
        security: comesBy('post', photo),
        parameters: [...parametersIn(photo), GUARD],
        requestBody: {
          required: true,
          content: { ...binary('image/jpeg'), ...binary('image/png'), ...binary('image/webp') },
        },
        responses: { '201': { description: 'It is kept' }, default: PROBLEM },
      },
    },
    [pathOf(`${photo}/thumb`)]: { get: download('thumb', 'A photo, small', photo, 'image/jpeg', 'signed-in') },
  };
}

/** The API as OpenAPI 3.1, made from the declarations that server and app work by. */
export function openApi(): Json {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const name of typedKeys(ENDPOINTS)) {
    const endpoint: Endpoint = ENDPOINTS[name];
    const at = pathOf(endpoint.path);
    paths[at] = { ...paths[at], [endpoint.method]: operationOf(name, endpoint) };
  }
  for (const [at, operations] of Object.entries(files())) paths[at] = { ...paths[at], ...operations };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Weskopos',
      version: '1',
      summary: 'A workshop’s vehicles, visits, forecasts and files',
      description: `Sign in by POST /api/session; the answer sets a cookie. Whatever is no GET takes the header ${GUARD_HEADER}. A program comes by a token instead, without that header.`,
    },
    servers: [{ url: '/' }],
    paths,
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: SESSION_COOKIE },
        token: { type: 'http', scheme: 'bearer', description: 'A token a lead gave to a program, to read or to write' },
      },
      schemas: { Problem: schemaOf(problemSchema, 'output') },
    },
  };
}
