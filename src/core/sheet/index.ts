export * from './document';
export * from './tape-svg';
