export * from './types';
export * from './registry';
export * from './ripple';
export * from './context';
export * from './targets';
export * from './steps';
export * from './order';
export * from './plan';
