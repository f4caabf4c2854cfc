export { AmendPage as default } from '../../../../../src/features/amend/AmendPage';
