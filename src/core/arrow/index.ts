export * from './spine';
export * from './build';
export * from './match-set';
