import type { ImportPlan } from '@weskopos/contract';
import { usePalette } from '../../kit/theme';
import { Words } from '../../kit/Words';
import { data as say } from '@weskopos/words/en/pages/data';
import { longDay } from '@weskopos/words/show';

/** What taking a bundle would do, before anything is written. */
export function PlanWords({ plan }: { readonly plan: ImportPlan }) {
  const palette = usePalette();
  const { scope, made, differing, blocking, strangers, records } = plan;
  const [fresh, same, differ] = [summed(plan, 'fresh'), summed(plan, 'same'), summed(plan, 'differ')];
  const differs = Object.values(records).reduce((sum, one) => sum + one.differ, 0) - records.rulebooks.differ;
  return (
    <>
      <Words strong>{say.made(say.of[scope.kind], longDay(made))}</Words>
      <Words>{fresh ? say.fresh(fresh) : say.nothingNew}</Words>
      {same ? <Words soft>{say.same(same)}</Words> : null}
      {differ && differs > 0 ? (
        <>
          <Words colour={palette.advisory}>{say.differ(differ)}</Words>
          {differing.map(({ file, name }) => (
            <Words key={`${file} ${name}`} size="m">
              {`${say.named[file]} ${name}`}
            </Words>
          ))}
          {differs > differing.length ? <Words size="m">{say.more(differs - differing.length)}</Words> : null}
        </>
      ) : null}
      {strangers.length > 0 ? <Words soft>{say.strangers(strangers.join(', '))}</Words> : null}
      {records.rulebooks.fresh > 0 ? <Words soft>{say.newRules}</Words> : null}
      {blocking.length > 0 ? <Words colour={palette.fail}>{say.blocked}</Words> : null}
      {blocking.map(({ code, name }) => (
        <Words key={`${code} ${name}`}>{say.blocking[code](name)}</Words>
      ))}
    </>
  );
}

/** What one asks after first. */
const IN_ORDER = [
  'vehicles',
  'visits',
  'entries',
  'photos',
  'signatures',
  'rulebooks',
] as const satisfies readonly (keyof ImportPlan['records'])[];

/** How many records of each kind are so, in words; empty for none. Rules that differ are told as what blocks. */
function summed({ records }: ImportPlan, how: 'fresh' | 'same' | 'differ'): string {
  return IN_ORDER.filter((file) => records[file][how] > 0 && !(file === 'rulebooks' && how === 'differ'))
    .map((file) => say.records(file, records[file][how]))
    .join(', ');
}
