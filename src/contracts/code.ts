import { Type, type Static } from '@sinclair/typebox';

/** A code of a sheet, as it was scanned or pasted. */
export const CodeRequest = Type.Object(
  { text: Type.String({ minLength: 1, maxLength: 4000 }) },
  { additionalProperties: false },
);
export type CodeRequest = Static<typeof CodeRequest>;
