export { AmendPage } from '../amend/AmendPage';
export { EndsPage } from '../ends/EndsPage';
export { GatePage } from '../ends/GatePage';
export { Overview } from '../overview/Overview';
export { Walk } from './Walk';
