import { lazy } from 'react';

export default lazy(() => import('../src/features/people/People').then(({ People: page }) => ({ default: page })));
