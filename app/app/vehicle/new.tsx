import { lazy } from 'react';

export default lazy(() => import('../../src/features/vehicle/NewVehicle').then(({ NewVehicle: page }) => ({ default: page })));
