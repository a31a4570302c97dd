export * from './types';
export * from './quote';
