import { ENDPOINTS, LINK_PATH, MOST_ANSWER, idSchema } from '@weskopos/contract';
import { worksOf } from '@weskopos/core/works/worksOf';
import express, { type Request, type Response } from 'express';
import type { Engine } from '../db/engine';
import { NotFound } from '../http/problems';
import { slowGuessing } from '../http/slowGuessing';
import { register, type Api } from '../people/register';
import type { PhotoFiles, PhotoSize } from '../photos/photoFiles';
import { readLifeEntries } from '../vehicles/readLifeEntries';
import { TONGUES } from '@weskopos/words/tongues';
import { CHOICES, NAME, choiceOf, keeperPage, noPage, wordsOf, type Standing, type Typed } from './keeperPage';
import { SLIDER, SLIDER_PATH } from './slider';
import type { Answer, Links, OpenedLink } from './links';

interface LinkRouteNeeds {
  readonly engine: Engine;
  readonly links: Links;
  readonly photos: PhotoFiles;
}

/** Longest form: forty works with full words, as a browser encodes letters of any script. */
const MOST_FORM = '1mb';
const MOST_NAME = 60;

/** Links are given and withdrawn by the workshop; their pages are open to who has the link, and to nobody else. */
export function linkRoutes(api: Api, { engine, links, photos }: LinkRouteNeeds): void {
  register(api, ENDPOINTS.links, ({ params }) => links.list(params.id));
  register(api, ENDPOINTS.giveLink, ({ params, body, person }) =>
    links.give(params.id, body.letter, body.days, person),
  );
  register(api, ENDPOINTS.endLink, async ({ params, person }) => {
    await links.end(params.id, person.id);
    return {};
  });

  const { app } = api;
  app.use(LINK_PATH, slowGuessing());
  app.use(LINK_PATH, (_request, response, next) => {
    // The address is the key: it is not kept, not told on, not listed.
    response.set({ 'Cache-Control': 'no-store', 'Referrer-Policy': 'no-referrer', 'X-Robots-Tag': 'noindex' });
    next();
  });

  app.get(SLIDER_PATH, (_request, response) => {
    response.set('Cache-Control', 'public, max-age=86400').type('text/javascript').send(SLIDER);
  });

  const opened = async (request: Request, response: Response): Promise<OpenedLink | null> => {
    const link = await links.open(tokenOf(request));
    if (link && !link.over) return link;
    response
      .status(link ? 410 : 404)
      .type('html')
      .send(noPage(link ? 'over' : 'unknown'));
    return null;
  };
  const standingsOf = async ({ vehicleId }: OpenedLink): Promise<ReadonlyMap<string, Standing>> =>
    new Map(worksOf(await readLifeEntries(engine, vehicleId)).map((work) => [work.id, work]));

  app.get(`${LINK_PATH}/:token`, async (request, response) => {
    const link = await opened(request, response);
    if (!link) return;
    const thanked = request.query['thanks'] === '1';
    response.type('html').send(keeperPage(tokenOf(request), link, await standingsOf(link), null, thanked));
  });

  app.post(
    `${LINK_PATH}/:token`,
    express.urlencoded({ extended: false, limit: MOST_FORM, parameterLimit: 200 }),
    async (request, response) => {
      const link = await opened(request, response);
      if (!link) return;
      const fields = fieldsOf(request.body);
      const standings = await standingsOf(link);
      const { answers, problems } = readAnswers(link, fields, standings);
      if (problems.size > 0) {
        const typed: Typed = { fields, problems };
        response
          .status(422)
          .type('html')
          .send(keeperPage(tokenOf(request), link, standings, typed, false));
        return;
      }
      await links.answer(link, answers, (fields.get(NAME) ?? '').trim());
      response.redirect(303, `${LINK_PATH}/${encodeURIComponent(tokenOf(request))}?thanks=1`);
    },
  );

  const sizes: readonly (readonly [string, PhotoSize])[] = [
    ['', 'full'],
    ['/thumb', 'thumb'],
  ];
  for (const [suffix, size] of sizes)
    app.get(`${LINK_PATH}/:token/photos/:photo${suffix}`, async (request, response) => {
      const link = await opened(request, response);
      if (!link) return;
      const photo = idSchema.safeParse(request.params['photo']);
      const isTold = link.letter.works.some((work) =>
        [...work.photos, work.before].some((one) => one?.id === photo.data),
      );
      const [row] =
        photo.success && isTold
          ? await engine.query<{ sha256: string }>('select sha256 from photo where id = $1::uuid', [photo.data])
          : [];
      if (!row) throw new NotFound('photo');
      response.type('jpeg');
      await new Promise<void>((resolve, reject) =>
        response.sendFile(photos.pathOf(row.sha256, size), { dotfiles: 'allow', cacheControl: false }, (error) =>
          error ? reject(error) : resolve(),
        ),
      );
    });
}

const tokenOf = (request: Request): string => String(request.params['token'] ?? '').slice(0, 100);

/** What a form holds; of a field that comes twice the last. */
function fieldsOf(body: unknown): Map<string, string> {
  const given = Object.entries((body ?? {}) as Readonly<Record<string, unknown>>);
  // A letter no text can hold is left out; so is what a form that nobody made sends twice.
  return new Map(
    given.map(([name, value]) => [
      name,
      (Array.isArray(value) ? String(value.at(-1)) : String(value)).replace(/[\u0000\p{Surrogate}]/gu, ''),
    ]),
  );
}

function readAnswers(
  { letter }: OpenedLink,
  fields: ReadonlyMap<string, string>,
  standings: ReadonlyMap<string, Standing>,
): { readonly answers: readonly Answer[]; readonly problems: ReadonlyMap<string, string> } {
  const say = TONGUES[letter.language].keeperPage;
  const problems = new Map<string, string>();
  const name = (fields.get(NAME) ?? '').trim();
  if (name === '') problems.set(NAME, say.nameNeeded);
  else if (name.length > MOST_NAME) problems.set(NAME, say.nameLong);
  const toAll = fields.get('for') === 'all';
  const answers = letter.works.flatMap(({ id }): Answer[] => {
    // What was taken back since is nothing to answer to.
    if (!standings.get(id)) return [];
    const chosen = CHOICES.find((one) => one === fields.get(choiceOf(id)));
    const step = toAll ? 'agreed' : chosen;
    const words = (fields.get(wordsOf(id)) ?? '').trim();
    if (words.length > MOST_ANSWER) problems.set(wordsOf(id), say.wordsLong(MOST_ANSWER, words.length));
    if (step === 'asked' && words === '') problems.set(wordsOf(id), say.questionNeeded);
    // Words without a choice are a question.
    const said = step ?? (words === '' ? null : 'asked');
    return said ? [{ workId: id, step: said, words }] : [];
  });
  if (answers.length === 0 && !problems.has(NAME)) problems.set(NAME, say.answerNeeded);
  return { answers, problems };
}
