import { CATALOGUE, cataloguePoint, isOwnCode, type OwnPoints, type PointCode, type Template } from '@weskopos/core';

/** A template with a point switched on or off; on, it takes its place after the last of its station. */
export function togglePoint(template: Template, code: PointCode): Template {
  if (template.points.includes(code)) return { ...template, points: template.points.filter((one) => one !== code) };
  const station = cataloguePoint(code).station;
  const after = template.points.findLastIndex((one) => cataloguePoint(one).station === station);
  const at = after < 0 ? template.points.length : after + 1;
  return { ...template, points: [...template.points.slice(0, at), code, ...template.points.slice(at)] };
}

/** A template with a point one place further up or down among those of its station. */
export function movePoint(template: Template, code: PointCode, by: -1 | 1): Template {
  const station = cataloguePoint(code).station;
  const mates = template.points.filter((one) => cataloguePoint(one).station === station);
  const other = mates[mates.indexOf(code) + by];
  if (!other) return template;
  return {
    ...template,
    points: template.points.map((one) => (one === code ? other : one === other ? code : one)),
  };
}

/** Every point of a station, those of the template first and in its order; of the workshop's own those it has named. */
export function stationRows(
  template: Template,
  station: string,
  named: OwnPoints,
): { readonly code: PointCode; readonly on: boolean }[] {
  const here = CATALOGUE.filter((point) => point.station === station)
    .map(({ code }): PointCode => code)
    .filter((code) => !isOwnCode(code) || named[code] !== undefined);
  const on = template.points.filter((code) => here.includes(code));
  return [
    ...on.map((code) => ({ code, on: true })),
    ...here.filter((code) => !on.includes(code)).map((code) => ({ code, on: false })),
  ];
}

/** A name as the short code a template is kept by; never one that is taken. */
export function codeFor(name: string, taken: readonly string[]): string {
  const plain =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 30) || 'template';
  if (!taken.includes(plain)) return plain;
  let n = 2;
  while (taken.includes(`${plain}-${n}`)) n += 1;
  return `${plain}-${n}`;
}
