export { FleetPage as default } from '../src/features/desk/lazyPages';
