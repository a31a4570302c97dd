export * from './stations';
export * from './own-steps';
export * from './shop-steps';
export * from './step-times';
export * from './build-context';
export * from './steps';
