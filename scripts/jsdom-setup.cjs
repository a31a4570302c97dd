const { TextDecoder, TextEncoder } = require('node:util');
const v8 = require('node:v8');
Object.assign(globalThis, { TextDecoder, TextEncoder });
// Browsers have it, jsdom has not.
globalThis.structuredClone ??= (value) => v8.deserialize(v8.serialize(value));
