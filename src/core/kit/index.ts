export * from './types';
export * from './check';
export { KIT_RULES } from './rules';
