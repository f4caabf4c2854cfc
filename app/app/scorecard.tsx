export { ScorecardPage as default } from '../src/features/score/ScorecardPage';
