export * from './rows';
export * from './taken';
export * from './types';
export * from './waiting';
export { NO_BOW } from './refusal';
export { quiverRow } from './steady';
