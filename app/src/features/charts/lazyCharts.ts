import { lazy } from 'react';

/** Drawings and the scales under them come in one piece when the first of them is shown: what two pages share would else load at the start. */
const charts = () => import('./charts');

export const RunOutCalendar = lazy(() => charts().then((loaded) => ({ default: loaded.RunOutCalendar })));
export const StateChart = lazy(() => charts().then((loaded) => ({ default: loaded.StateChart })));
export const TrendChart = lazy(() => charts().then((loaded) => ({ default: loaded.TrendChart })));
