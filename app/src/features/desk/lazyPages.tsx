import { lazy } from 'react';

/** What is told from forecasts comes in one piece when the first of it is asked for: the yard opens without it. */
const pages = () => import('./pages');

const LazyCompare = lazy(() => pages().then(({ ComparePage }) => ({ default: ComparePage })));
const LazyFleet = lazy(() => pages().then(({ FleetPage }) => ({ default: FleetPage })));
const LazyLife = lazy(() => pages().then(({ LifePage }) => ({ default: LifePage })));
const LazyNow = lazy(() => pages().then(({ NowPage }) => ({ default: NowPage })));
const LazyReport = lazy(() => pages().then(({ ReportPage }) => ({ default: ReportPage })));
const LazyScorecard = lazy(() => pages().then(({ ScorecardPage }) => ({ default: ScorecardPage })));
const LazySpec = lazy(() => pages().then(({ SpecPage }) => ({ default: SpecPage })));
const LazyTrend = lazy(() => pages().then(({ TrendPage }) => ({ default: TrendPage })));
const LazyAllWorks = lazy(() => pages().then(({ AllWorksPage }) => ({ default: AllWorksPage })));
const LazyJobCard = lazy(() => pages().then(({ JobCardPage }) => ({ default: JobCardPage })));
const LazyWorks = lazy(() => pages().then(({ WorksPage }) => ({ default: WorksPage })));
const LazyWear = lazy(() => pages().then(({ WearPage }) => ({ default: WearPage })));

// The router takes a component for a route, not something lazy.
export const ComparePage = () => <LazyCompare />;
export const FleetPage = () => <LazyFleet />;
export const LifePage = () => <LazyLife />;
export const NowPage = () => <LazyNow />;
export const ReportPage = () => <LazyReport />;
export const ScorecardPage = () => <LazyScorecard />;
export const SpecPage = () => <LazySpec />;
export const TrendPage = () => <LazyTrend />;
export const AllWorksPage = () => <LazyAllWorks />;
export const JobCardPage = () => <LazyJobCard />;
export const WorksPage = () => <LazyWorks />;
export const WearPage = () => <LazyWear />;
