export { Arrival } from '../arrival/Arrival';
export { LifeSheet } from '../life/LifeSheet';
export { Overview } from '../overview/Overview';
export { PhotoMarker } from '../photo/PhotoMarker';
export { PhotoTaker } from '../photo/PhotoTaker';
export { ReportPage } from '../report/ReportPage';
export { JumpPanel } from '../walk/JumpPanel';
