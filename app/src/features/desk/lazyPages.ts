import { lazy } from 'react';

/** What is used at the desk (forms, charts) comes in one piece of its own, so that the bay opens without it. */
const pages = () => import('./pages');

export const People = lazy(() => pages().then((loaded) => ({ default: loaded.People })));
export const Setup = lazy(() => pages().then((loaded) => ({ default: loaded.Setup })));
export const TrendPage = lazy(() => pages().then((loaded) => ({ default: loaded.TrendPage })));
export const TrendPanel = lazy(() => pages().then((loaded) => ({ default: loaded.TrendPanel })));
export const VehicleEditor = lazy(() => pages().then((loaded) => ({ default: loaded.VehicleEditor })));
export const BenchPage = lazy(() => pages().then((loaded) => ({ default: loaded.BenchPage })));
export const RulesPage = lazy(() => pages().then((loaded) => ({ default: loaded.RulesPage })));
export const FleetPage = lazy(() => pages().then((loaded) => ({ default: loaded.FleetPage })));
export const ScorecardPage = lazy(() => pages().then((loaded) => ({ default: loaded.ScorecardPage })));
export const ComparePage = lazy(() => pages().then((loaded) => ({ default: loaded.ComparePage })));
export const LogCard = lazy(() => pages().then((loaded) => ({ default: loaded.LogCard })));
export const PartsCard = lazy(() => pages().then((loaded) => ({ default: loaded.PartsCard })));
export const DueCard = lazy(() => pages().then((loaded) => ({ default: loaded.DueCard })));
export const StatePanel = lazy(() => pages().then((loaded) => ({ default: loaded.StatePanel })));
export const StatesCard = lazy(() => pages().then((loaded) => ({ default: loaded.StatesCard })));
export const InferredCard = lazy(() => pages().then((loaded) => ({ default: loaded.InferredCard })));
