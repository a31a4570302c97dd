import { Type } from '@sinclair/typebox';

/**
 * A name on one line, of something that can be read. Two patterns, each read once over: as one they would
 * be tried at every letter of a long text.
 */
export const Name = (maxLength: number) =>
  Type.String({
    minLength: 1,
    maxLength,
    pattern: '\\S',
    allOf: [{ type: 'string', pattern: '^[^\\t\\n\\r]*$' }],
  });
