import type { Pivot, SpecFluid, SpecSheet, SpecTorque } from '@weskopos/core';
import { Words } from '../kit/Words';
import { visit as say } from '@weskopos/words/en/pages/visit';
import { amount, capital } from '@weskopos/words/show';

const told = (...parts: readonly (string | false | null)[]) => parts.filter(Boolean).join(' · ');
const named = (code: string) => capital(code.replaceAll('-', ' '));

/** One fluid of the spec sheet: grade, other grades by the weather, litres. */
export function fluidLine({ fluid, grade, capacityL, spanL, mark, climates }: SpecFluid): string {
  return told(
    named(fluid),
    grade,
    ...climates.map((one) =>
      say.gradeBetween(
        one.grade,
        one.lowestC === null ? null : amount('temperature', one.lowestC),
        one.highestC === null ? null : amount('temperature', one.highestC),
      ),
    ),
    capacityL !== null && amount('volume', capacityL),
    spanL !== null && say.betweenMarks(amount('volume', spanL)),
    mark,
  );
}

/** One torque of the spec sheet: stages, angle, socket, what is renewed. */
export function torqueLine({ fastener, newtonMetres, socket, angleDeg, stagesNm, renew }: SpecTorque): string {
  const steps = [...stagesNm, newtonMetres].map((one) => amount('torque', one)).join(', then ');
  return told(
    named(fastener),
    angleDeg === null ? steps : `${steps} + ${angleDeg}°`,
    socket && say.socket(socket),
    renew && say.renewed,
  );
}

/** One pivot that is greased: its nipples, and how often. */
export function pivotLine({ name, nipples, everyHours }: Pivot): string {
  return told(name, say.nipples(nipples), everyHours !== null && say.everyHours(everyHours));
}

/** Everything the spec sheet says that hands need: fluids, torques, filter, codes of the dash, part numbers. */
export function SpecList({ spec }: { readonly spec: SpecSheet }) {
  const { fluids, torques, filterThread, filterSeal, dashCodes, keyCodePlace, parts, stickSpanL, studs } = spec;
  const lines = [
    ...fluids.map(fluidLine),
    stickSpanL !== null && say.stickSpan(amount('volume', stickSpanL)),
    ...torques.map(torqueLine),
    studs !== null && say.studs(studs),
    (filterThread || filterSeal) && say.filterFits(told(filterThread, filterSeal)),
    ...dashCodes.map(({ code, means }) => say.dashCode(code, means)),
    keyCodePlace && say.keyCodePlace(keyCodePlace),
    ...spec.pivots.map(pivotLine),
    ...parts.map(({ part, number }) => told(part, number)),
  ].filter((line): line is string => Boolean(line));
  if (lines.length === 0) return <Words size="m">{say.specSheetEmpty}</Words>;
  return lines.map((line) => (
    <Words key={line} size="m">
      {line}
    </Words>
  ));
}
