export * from './types';
export { chooseKit, viaSolver } from './choose';
export * from './search';
