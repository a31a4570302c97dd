export * from './bow-told';
export * from './at-home';
