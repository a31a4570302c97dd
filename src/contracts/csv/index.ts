export * from './cells';
export * from './file-cells';
export * from './table';
export * from './changes';
export * from './encoding';
