import { LINK_PATH, MOST_ANSWER, type Letter } from '@weskopos/contract';
import type { Work } from '@weskopos/core/works/worksOf';
import escapeHtml from 'escape-html';
import type { OpenedLink } from './links';
import { SLIDER_PATH } from './slider';
import { day } from '@weskopos/words/show';
import { inTongue, told } from '@weskopos/words/tongue';
import { TONGUES } from '@weskopos/words/tongues';

/** How a work of the letter stands by now; undefined where it was taken back. */
export type Standing = Pick<Work, 'state' | 'steps' | 'plannedOn'> | undefined;

/** What was typed and could not be taken, shown again. */
export interface Typed {
  readonly fields: ReadonlyMap<string, string>;
  /** What is wrong, by field. */
  readonly problems: ReadonlyMap<string, string>;
}

export const NAME = 'name';
export const CHOICES = ['agreed', 'declined', 'asked'] as const;
export const choiceOf = (workId: string) => `a-${workId}`;
export const wordsOf = (workId: string) => `w-${workId}`;

/**
 * What a keeper sees on any phone: plain HTML that needs no program to run and reads with styles off.
 *
 * @param standings by the works' ids
 * @param thanked the answer was just taken
 */
export function keeperPage(
  token: string,
  link: OpenedLink,
  standings: ReadonlyMap<string, Standing>,
  typed: Typed | null,
  thanked: boolean,
): string {
  return inTongue(TONGUES[link.letter.language], () => pageHtml(token, link, standings, typed, thanked));
}

function pageHtml(
  token: string,
  { letter, until }: OpenedLink,
  standings: ReadonlyMap<string, Standing>,
  typed: Typed | null,
  thanked: boolean,
): string {
  const asked = letter.works.filter(({ id }) => isAsked(standings.get(id)));
  const works = letter.works.map((work) => workHtml(token, work, standings.get(work.id), typed)).join('');
  const wrong = typed && typed.problems.size > 0;
  return whole(
    `${told.keeperPage.title}: ${letter.vehicle}`,
    `<header><h1>${escapeHtml(letter.vehicle)}</h1>${letter.from ? `<p>${escapeHtml(letter.from)}</p>` : ''}</header>
<p class="verdict${letter.stops ? ' stops' : ''}">${escapeHtml(letter.verdict)}</p>
${thanked ? `<p role="status" class="thanks">${told.keeperPage.thanks}</p>` : ''}
${wrong ? `<p role="alert" class="wrong">${told.keeperPage.notTaken}</p>` : ''}
<form method="post" action="${LINK_PATH}/${encodeURIComponent(token)}">
${works}
${asked.length > 0 ? sendHtml(typed) : `<p>${told.keeperPage.nothingAsked}</p>`}
</form>
${letter.cautions.map((one) => `<p class="soft">${escapeHtml(one)}</p>`).join('')}
<p class="soft">${told.keeperPage.until(day(until))}</p>${letter.works.some(({ before }) => before) ? `<script src="${SLIDER_PATH}" defer></script>` : ''}`,
  );
}

const isAsked = (standing: Standing): boolean =>
  standing !== undefined && standing.state !== 'done' && standing.state !== 'withdrawn';

function workHtml(token: string, work: Letter['works'][number], standing: Standing, typed: Typed | null): string {
  const { id, name, plain, why, when, price, photos, before } = work;
  const [first, ...rest] = photos;
  const pictures = (before && first ? rest : photos)
    .map(({ id: photo, caption }) => {
      const at = `${LINK_PATH}/${encodeURIComponent(token)}/photos/${photo}`;
      return `<a href="${at}"><img loading="lazy" src="${at}/thumb" alt="${escapeHtml(caption || name)}"></a>`;
    })
    .join('');
  return `<section><h2>${escapeHtml(name)}</h2>
${plain ? `<p>${escapeHtml(plain)}</p>` : ''}${why ? `<p class="soft">${escapeHtml(why)}</p>` : ''}<p><strong>${escapeHtml(when)}</strong></p>${price ? `<p>${escapeHtml(price)}</p>` : ''}
${before && first ? pairHtml(token, name, first, before) : ''}
${pictures ? `<p class="photos">${pictures}</p>` : ''}
${standing ? saidHtml(standing) : ''}
${isAsked(standing) ? choicesHtml(id, name, typed) : `<p class="soft">${told.keeperPage.closed(standing?.state)}</p>`}</section>`;
}

/** How it looks now and how it did before: beside each other, or over each other where the page's program runs. */
function pairHtml(
  token: string,
  name: string,
  now: Letter['works'][number]['photos'][number],
  before: NonNullable<Letter['works'][number]['before']>,
): string {
  const at = (photo: string) => `${LINK_PATH}/${encodeURIComponent(token)}/photos/${photo}/thumb`;
  const { then, now: today, pair } = told.keeperPage;
  const image = (photo: string, when: string, kind: string) =>
    `<img loading="lazy" class="${kind}" src="${at(photo)}" alt="${escapeHtml(`${name}, ${when}`)}">`;
  return `<div class="pair" role="group" aria-label="${escapeHtml(pair(name))}">${image(now.id, today, 'now')}${image(before.id, then(day(before.at)), 'then')}</div><p class="soft ends"><span>${escapeHtml(then(day(before.at)))}</span><span>${escapeHtml(today)}</span></p>`;
}

function saidHtml({ steps, plannedOn }: NonNullable<Standing>): string {
  const said = steps.filter(({ keeper }) => keeper !== '');
  const lines = said.map(
    ({ at, step, words, keeper }) =>
      `<li>${escapeHtml(told.keeperPage.said(day(at), keeper, told.keeperPage.step[step]))}${words ? `: “${escapeHtml(words)}”` : ''}</li>`,
  );
  const planned = plannedOn === null ? '' : `<p>${told.keeperPage.planned(day(plannedOn))}</p>`;
  return `${planned}${lines.length > 0 ? `<ul>${lines.join('')}</ul>` : ''}`;
}

function choicesHtml(id: string, name: string, typed: Typed | null): string {
  const chosen = typed?.fields.get(choiceOf(id));
  const problem = typed?.problems.get(wordsOf(id));
  const radios = CHOICES.map(
    (one) =>
      `<label><input type="radio" name="${choiceOf(id)}" value="${one}"${chosen === one ? ' checked' : ''}> ${told.keeperPage.choice[one]}</label>`,
  ).join('');
  return `<fieldset><legend>${told.keeperPage.yourAnswer}<span class="hidden">, ${escapeHtml(name)}</span></legend>${radios}
<label>${told.keeperPage.words}<textarea name="${wordsOf(id)}" rows="2"${problem ? ' aria-invalid="true"' : ''}>${escapeHtml(typed?.fields.get(wordsOf(id)) ?? '')}</textarea></label>
${problem ? `<p class="wrong">${escapeHtml(problem)}</p>` : ''}</fieldset>`;
}

function sendHtml(typed: Typed | null): string {
  const problem = typed?.problems.get(NAME);
  return `<section><label>${told.keeperPage.name}<input name="${NAME}" autocomplete="name" value="${escapeHtml(typed?.fields.get(NAME) ?? '')}"${problem ? ' aria-invalid="true"' : ''}></label>
${problem ? `<p class="wrong">${escapeHtml(problem)}</p>` : ''}
<button type="submit" name="for" value="each">${told.keeperPage.send}</button>
<button type="submit" name="for" value="all" class="plain">${told.keeperPage.agreeAll}</button>
<p class="soft">${told.keeperPage.canChange(MOST_ANSWER)}</p></section>`;
}

/** A link that opens nothing, and why. */
export function noPage(why: 'unknown' | 'over'): string {
  return whole(told.keeperPage.title, `<h1>${told.keeperPage.title}</h1><p>${told.keeperPage.no[why]}</p>`);
}

function whole(title: string, body: string): string {
  return `<!doctype html><html lang="${told.said.locale.slice(0, 2)}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="robots" content="noindex"><title>${escapeHtml(title)}</title><style>${STYLE}</style></head><body><main>${body}</main></body></html>`;
}

const STYLE = `:root{color-scheme:light dark;--ground:#f5f0e7;--ink:#1c2733;--soft:#55606b;--card:#fffdf8;--rule:#ddd2bf;--way:#0d5a63;--bad:#9b1b47;--on:#fff}
@media(prefers-color-scheme:dark){:root{--ground:#161b20;--ink:#eee9df;--soft:#a9b2ba;--card:#20272e;--rule:#3a434c;--way:#5fb8c2;--bad:#ff8fb0;--on:#10151a}}
*{box-sizing:border-box}body{margin:0;background:var(--ground);color:var(--ink);font:17px/1.45 system-ui,sans-serif}
main{max-width:640px;margin:0 auto;padding:16px}h1{font-size:1.6em;margin:.2em 0}h2{font-size:1.2em;margin:0 0 .3em}p{margin:.4em 0}
.soft{color:var(--soft);font-size:.92em}.verdict{font-size:1.15em;font-weight:600;border-left:6px solid var(--way);padding:4px 12px}.stops{border-color:var(--bad);color:var(--bad)}
section{background:var(--card);border:1px solid var(--rule);border-radius:10px;padding:14px;margin:14px 0}
fieldset{border:0;margin:10px 0 0;padding:0}legend{font-weight:600;padding:0}label{display:flex;flex-wrap:wrap;align-items:center;gap:10px;min-height:48px}
input[type=radio]{width:24px;height:24px;accent-color:var(--way)}textarea,input:not([type=radio]){width:100%;min-height:48px;font:inherit;color:inherit;background:var(--ground);border:1px solid var(--soft);border-radius:8px;padding:8px}
button{display:block;width:100%;min-height:56px;margin:12px 0;font:inherit;font-weight:600;color:var(--on);background:var(--way);border:2px solid var(--way);border-radius:10px}.plain{color:var(--ink);background:none}
.photos{display:flex;flex-wrap:wrap;gap:8px}.photos img{width:120px;height:120px;object-fit:cover;border-radius:8px}.pair{display:grid;grid-template-columns:1fr 1fr;gap:4px}.pair img{width:100%;aspect-ratio:4/3;object-fit:cover;border-radius:8px}.pair .then{order:-1}.slid{grid-template-columns:1fr}.slid img{grid-area:1/1}.slid .then{order:0}.slid input{min-height:48px;padding:0;border:0;accent-color:var(--way)}.ends{display:flex;justify-content:space-between}.wrong{color:var(--bad);font-weight:600}.thanks{font-weight:600}
.hidden{position:absolute;clip-path:inset(50%);width:1px;height:1px;overflow:hidden}:focus-visible{outline:3px solid var(--way);outline-offset:2px}`;
