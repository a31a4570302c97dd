import { act, renderHook } from '@testing-library/react';
import { reportLost } from './connection';
import { keepSomeone, someoneKept, tellDoor } from './door-events';
import { useNewestSomeone } from './newest-someone';

const at = (since: string, name: string) => ({ since, name });
const OLD = at('2026-11-24T08:00:00.000Z', 'Ada');
const NEW = at('2026-11-24T09:00:00.000Z', 'Bo');
beforeEach(() => window.localStorage.clear());

test('with a connection it is whoever the page says, and the newest is kept', () => {
  const { result, rerender } = renderHook(({ who }) => useNewestSomeone(who), {
    initialProps: { who: OLD },
  });
  expect(result.current).toBe(OLD);
  expect(someoneKept()).toEqual(OLD);
  rerender({ who: NEW });
  expect(result.current).toBe(NEW);
  expect(someoneKept()).toEqual(NEW);
  // A page kept from before does not come over a newer one.
  rerender({ who: OLD });
  expect(result.current).toBe(OLD);
  expect(someoneKept()).toEqual(NEW);
});

test('who signs in counts, also where a clock was set back', () => {
  keepSomeone(NEW);
  act(() => tellDoor({ is: 'signed-in', id: 'a', name: 'Ada' }));
  expect(someoneKept()).toBeNull();
  renderHook(() => useNewestSomeone(OLD));
  expect(someoneKept()).toEqual(OLD);
});

test('without a connection a page from before is of whoever was here last', async () => {
  global.fetch = jest.fn(() => Promise.reject(new TypeError('lost'))) as never;
  keepSomeone(NEW);
  const { result } = renderHook(() => useNewestSomeone(OLD));
  expect(result.current).toBe(OLD);
  act(() => reportLost());
  expect(result.current).toEqual(NEW);
});
