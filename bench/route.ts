import { BUILT_IN_RULEBOOK, rulesOf, vehicleState, walkSteps, type Act } from '@weskopos/core';
import { paceOf, visitRoute } from '@weskopos/core/walk';
import { BAY_MOVES, plainRoute, planRoute, usedWaits } from '@weskopos/core/routing';
import { performance } from 'node:perf_hooks';
import { newVehicle } from '@weskopos/server/tests/workshop';

const NOW = Date.parse('2026-06-01T08:00:00.000Z');
const ROUNDS = 15;
/** How long the search beside it may take, s, and how much wider it looks each time. */
const LONG_SEARCH_S = 60;

const minutes = (seconds: number) => (seconds / 60).toFixed(1);
const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** The route of a full inspection with an oil service begun, beside the plain order, its bound and a long search. */
export function benchRoute(): void {
  const vehicle = newVehicle();
  const rules = rulesOf(BUILT_IN_RULEBOOK, 'full');
  const steps = walkSteps({ vehicle, ...rules, focus: null });
  const acts: Act[] = [
    {
      id: 'a',
      inspectionId: 'v',
      at: new Date(NOW).toISOString(),
      kind: 'open',
      end: 'indicator',
      place: '',
      fasteners: null,
    },
  ];
  for (const [name, service, arrived] of [
    ['full inspection, stood cold', false, 'cold'],
    ['full inspection with an oil service, stood cold', true, 'cold'],
    ['full inspection with an oil service, arrived hot', true, 'hot'],
  ] as const) {
    const done = service ? acts : [];
    const { question } = visitRoute({
      steps,
      isOpen: () => true,
      state: vehicleState({ state: arrived, startedAt: new Date(NOW).toISOString() }, done, NOW),
      acts: done,
      nowMs: NOW,
      axles: vehicle.axles.length,
      hasEngine: true,
      at: 'cold',
      beginWith: rules.house.beginWith,
      secondsOf: paceOf([]),
    });
    const problem = { ...question, ...BAY_MOVES };
    const times: number[] = [];
    let plan = planRoute(problem);
    for (let round = 0; round < ROUNDS; round += 1) {
      const began = performance.now();
      plan = planRoute(problem);
      times.push(performance.now() - began);
    }
    const began = performance.now();
    let longS = plan.totalS;
    for (let beam = 200; performance.now() - began < LONG_SEARCH_S * 1000 && beam < 200_000; beam *= 2)
      longS = Math.min(longS, planRoute(problem, beam).totalS);
    const plainS = plainRoute(problem)?.at(-1)?.endS ?? NaN;
    const waits = usedWaits(problem, plan.legs);
    console.log(`the route of a ${name}: ${problem.stops.length} stops, ${waits.length} waits`);
    console.log(`  planned in ${median(times).toFixed(0)} ms (aim < 200): ${minutes(plan.totalS)} min`);
    console.log(
      `  ${(plan.totalS / plan.lowerBoundS).toFixed(3)} × its lower bound, ${(plan.totalS / longS).toFixed(3)} × the best of a ${LONG_SEARCH_S} s search (aim ≤ 1.05 of either)`,
    );
    console.log(
      `  plain order ${minutes(plainS)} min: ${minutes(plainS - plan.totalS)} min saved; ${minutes(waits.reduce((sum, { usedS }) => sum + usedS, 0))} min of waiting worked through`,
    );
  }
}
