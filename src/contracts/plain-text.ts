/**
 * Signs that cannot be seen and turn a text into another one: control signs, halves of pairs, and those
 * that turn the direction of what follows. Tabs and line ends are signs of a text.
 */
const UNSEEN =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u202a-\u202e\u2066-\u2069]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

export const hasUnseen = (text: string): boolean => UNSEEN.test(text);

/**
 * Where in a value a text, or a name of a field, holds a sign that cannot be seen.
 *
 * @returns the JSON pointer of the first; null where there is none.
 */
export function unseenIn(value: unknown): string | null {
  // Not by calls: what comes from outside may be nested as deep as it likes.
  const left: (readonly [pointer: string, value: unknown])[] = [['', value]];
  for (let next = left.pop(); next; next = left.pop()) {
    const [pointer, one] = next;
    if (typeof one === 'string') {
      if (hasUnseen(one)) return pointer;
    } else if (typeof one === 'object' && one !== null)
      for (const [key, inner] of Object.entries(one)) {
        if (hasUnseen(key)) return pointer;
        if (typeof inner === 'string' || typeof inner === 'object')
          left.push([`${pointer}/${key.replace(/~/g, '~0').replace(/\//g, '~1')}`, inner]);
      }
  }
  return null;
}
