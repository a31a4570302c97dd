export * from './cells';
export * from './table';
