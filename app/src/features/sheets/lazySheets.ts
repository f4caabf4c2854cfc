import { lazy } from 'react';

/** What lies around the walk (arrival, decks, photos, overview, report, life sheet) comes in one piece after the first screen. */
const sheets = () => import('./sheets');

export const Arrival = lazy(() => sheets().then((loaded) => ({ default: loaded.Arrival })));
export const PhotoMarker = lazy(() => sheets().then((loaded) => ({ default: loaded.PhotoMarker })));
export const PhotoTaker = lazy(() => sheets().then((loaded) => ({ default: loaded.PhotoTaker })));
export const LifeSheet = lazy(() => sheets().then((loaded) => ({ default: loaded.LifeSheet })));
export const Overview = lazy(() => sheets().then((loaded) => ({ default: loaded.Overview })));
export const ReportPage = lazy(() => sheets().then((loaded) => ({ default: loaded.ReportPage })));
export const JumpPanel = lazy(() => sheets().then((loaded) => ({ default: loaded.JumpPanel })));
export const EndsPage = lazy(() => sheets().then((loaded) => ({ default: loaded.EndsPage })));
export const GatePage = lazy(() => sheets().then((loaded) => ({ default: loaded.GatePage })));
export const StickerPage = lazy(() => sheets().then((loaded) => ({ default: loaded.StickerPage })));
