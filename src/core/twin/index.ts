export * from './model-of';
export * from './rows';
export * from './actions';
export * from './unequal';
export * from './marks';
export * from './twin-page';
