export { AllWorksPage as default } from '../src/features/desk/lazyPages';
