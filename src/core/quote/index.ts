export * from './types';
export * from './quote';
export * from './total';
