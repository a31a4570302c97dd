export * from './types';
export * from './decode';
export * from './bound';
export * from './search';
export * from './remedies';
export * from './hours';
export * from './bench-day';
