import { lazy } from 'react';

/** Drawings come when somebody asks for them. */
export const HelpGallery = lazy(() => import('./HelpGallery').then(({ HelpGallery: page }) => ({ default: page })));
export const SaidDrawings = lazy(() => import('./SaidDrawings').then(({ SaidDrawings: page }) => ({ default: page })));
