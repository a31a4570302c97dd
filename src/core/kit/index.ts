export * from './types';
export * from './check';
export { KIT_RULES } from './rules';
export * from './chooser';
export * from './packages';
export * from './mass';
export * from './reach';
export * from './built-arrows';
export { tensionFor } from './rules/launcher-tension';
