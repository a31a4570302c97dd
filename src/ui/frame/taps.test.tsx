import { render, screen } from '@testing-library/react';
import { isStray, useTaps, type Tap } from './useTaps';

const [one, other] = [document.createElement('button'), document.createElement('button')];
const tap = (changes: Partial<Tap> = {}): Tap => ({
  atMs: 1000,
  x: 300,
  y: 200,
  thing: one,
  says: 'still 6 in',
  ...changes,
});
const soon = { atMs: 1180, x: 306, y: 204 };

test.each<[string, Partial<Tap>, boolean]>([
  ['the next row, come under the finger', { ...soon, thing: other }, true],
  ['the same button with another meaning', { ...soon, says: 'Stop' }, true],
  [
    'what does nothing, such as the ground behind a window',
    { ...soon, thing: other, says: null },
    true,
  ],
  ['a key of the pad, pressed twice', soon, false],
  ['another button, somewhere else', { ...soon, thing: other, x: 340 }, false],
  ['another button, a moment later', { ...soon, thing: other, atMs: 1400 }, false],
])('after a tap: %s', (_, then, stray) => {
  expect(isStray(tap(), tap(then))).toBe(stray);
});

test('undo is drawn anew by every undo, and is meant as often as it is pressed', () => {
  const undo = { thing: 'undo', says: 'Undo z' };
  expect(isStray(tap(undo), tap({ ...soon, ...undo }))).toBe(false);
  expect(isStray(tap(undo), tap({ ...soon, thing: 'redo', says: 'Redo' }))).toBe(true);
});

test('the first tap on a page, and one after a tap on nothing, are meant', () => {
  expect(isStray(null, tap())).toBe(false);
  expect(isStray(tap({ says: null, thing: document.body }), tap(soon))).toBe(false);
});

test('what no hand taps is let through, whatever stood there before', () => {
  function Listening() {
    useTaps();
    return null;
  }
  const clicks: string[] = [];
  render(
    <>
      <Listening />
      <button onClick={() => clicks.push('one')}>one</button>
      <button onClick={() => clicks.push('two')}>two</button>
    </>,
  );
  screen.getByText('one').click();
  screen.getByText('two').click();
  expect(clicks).toEqual(['one', 'two']);
});
