export * from './cells';
export * from './table';
export * from './changes';
export * from './encoding';
