/** What only the pages of a visit work with: a door of its own, so that the app starts without it. */
export { coldGate } from './acts/coldGate';
export { oilService, startBlockers } from './acts/oilService';
export { stepActs } from './acts/stepActs';
export { tapeThresholds } from './grading/tapeThresholds';
export { lapsedGrade } from './inspection/lapsedGrade';
export { parseLine } from './inspection/parseLine';
export { doubtId, doubtsAbout } from './plausibility/doubts';
export { paceOf } from './route/pace';
export { ENGINE_START, ENGINE_STOP, usualSeconds, visitRoute } from './route/visitRoute';
