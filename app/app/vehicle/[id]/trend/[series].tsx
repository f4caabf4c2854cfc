import { lazy } from 'react';

export default lazy(() => import('../../../../src/features/trend/TrendPage').then(({ TrendPage: page }) => ({ default: page })));
