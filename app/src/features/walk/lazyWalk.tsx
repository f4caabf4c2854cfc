import { lazy } from 'react';

/** The pages of a visit come in one piece: what two pages share would else load at the start of the app. */
const pages = () => import('./walkPages');

const LazyWalk = lazy(() => pages().then(({ Walk: page }) => ({ default: page })));
const LazyAmend = lazy(() => pages().then(({ AmendPage }) => ({ default: AmendPage })));
const LazyEnds = lazy(() => pages().then(({ EndsPage }) => ({ default: EndsPage })));
const LazyGate = lazy(() => pages().then(({ GatePage }) => ({ default: GatePage })));
const LazyOverview = lazy(() => pages().then(({ Overview: page }) => ({ default: page })));

// The router makes each route lazy itself, and takes a component for it, not something lazy.
export const Walk = () => <LazyWalk />;
export const Amend = () => <LazyAmend />;
export const Ends = () => <LazyEnds />;
export const Gate = () => <LazyGate />;
export const Overview = () => <LazyOverview />;
