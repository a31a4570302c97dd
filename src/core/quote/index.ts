export * from './types';
export * from './quote';
export * from './total';
export * from './parts';
