import { isInstant } from './ajv';
import { yesNo, text } from './csv';
import { hasUnseen, unseenIn } from './plain-text';

test.each(['Nora', 'Müller-Łódź', 'שרה', 'نورا', '🏹', '👩‍🚀', 'a\tb\nc', ''])(
  '%j can be seen',
  (word) => expect(hasUnseen(word)).toBe(false),
);
test.each(['a\u0000b', '\u001b[31m', '\u202egnp.exe', '\u2066x', 'a\ud800b', '\udc00', '\u0085'])(
  '%j holds a sign that cannot be seen',
  (word) => expect(hasUnseen(word)).toBe(true),
);

test('it is named by its place, as a value or as a name', () => {
  expect(unseenIn({ a: [{ 'b/c': 'x\u0000' }] })).toBe('/a/0/b~1c');
  expect(unseenIn({ a: { 'x\u202e': 1 } })).toBe('/a');
  expect(unseenIn('\u0000')).toBe('');
  expect(unseenIn({ a: ['b', 1, null, true, { c: 'd' }] })).toBeNull();
});
test('however deep it lies', () => {
  let deep: unknown = '\u0000';
  for (let i = 0; i < 200_000; i++) deep = [deep];
  expect(unseenIn(deep)).toHaveLength(400_000);
});

test.each(['constructor', '__proto__', 'toString', 'yes!', ''])(
  '%j is neither yes nor no',
  (cell) => expect(yesNo.read(cell).ok).toBe(false),
);
test('a cell with a sign that cannot be seen is refused', () => {
  expect(text(20).read('a\u202eb')).toMatchObject({ ok: false });
  expect(text(20).read('a\nb')).toEqual({ ok: true, value: 'a b' });
});

test.each([
  '2026-12-01T24:00:00Z',
  '2026-12-01T25:00Z',
  '2026-12-01T23:60Z',
  '2026-12-01T23:59:60Z',
])('no clock shows %s', (instant) => expect(isInstant(instant)).toBe(false));
