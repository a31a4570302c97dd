export * from './types';
export * from './worth';
export * from './candidates';
export * from './choose-packages';
