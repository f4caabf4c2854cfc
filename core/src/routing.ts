/** The route's search: a door of its own, so that the worker that runs it loads nothing else. */
export { planRoute, plainRoute, type RoutePlan } from './route/planRoute';
export { type RouteLeg, type RouteQuestion } from './route/problem';
export { usedWaits, type UsedWait } from './route/explain';
export { BAY_MOVES } from './route/moves';
