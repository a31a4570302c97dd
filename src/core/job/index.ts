export * from './types';
export * from './derive';
export * from './cautions';
export * from './stages';
export * from './marks';
export * from './entry';
export * from './today';
