export * from './documents';
export * from './types';
export * from './words';
