export { RunOutCalendar } from './RunOutCalendar';
export { StateChart } from './StateChart';
export { TrendChart } from './TrendChart';
