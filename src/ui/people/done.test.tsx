import { act, renderHook, waitFor } from '@testing-library/react';
import type { AuditLine } from '@/core/people';
import { useDone, type DonePage } from './useDone';

const line = (id: number) => ({ id, summary: `line ${id}` }) as unknown as AuditLine;
const page = (ids: readonly number[], next: number | null): DonePage => ({
  lines: ids.map(line),
  next,
});

/** Answers as they are let go, by what was asked for. */
const answers = new Map<string, (page: DonePage) => void>();
beforeEach(() => {
  answers.clear();
  global.fetch = jest.fn(
    (url: string) =>
      new Promise((resolve) => {
        const { searchParams } = new URL(url, 'http://shop');
        const key = `${searchParams.get('q')}${searchParams.get('who')}<${searchParams.get('before')}`;
        answers.set(key, (body) => resolve({ ok: true, status: 200, json: async () => body }));
      }),
  ) as never;
});
const answer = async (key: string, body: DonePage) => {
  await waitFor(() => expect([...answers.keys()]).toContain(key));
  await act(async () => answers.get(key)!(body));
};
const ids = (shown: DonePage) => shown.lines.map(({ id }) => id);

test('of two searches on their way the newest is shown, also where the first is answered last', async () => {
  const { result } = renderHook(() => useDone(page([9, 8], 7)));
  act(() => result.current.look('peep'));
  act(() => result.current.set({ who: 'Okoro' }));
  await answer('peepOkoro<', page([5], null));
  expect(ids(result.current)).toEqual([5]);
  expect(result.current.busy).toBe(false);
  await answer('peep<', page([4, 3], 2));
  expect(ids(result.current)).toEqual([5]);
  expect(result.current.next).toBeNull();
});

test('words are looked for further back by itself, until something else is asked for', async () => {
  const { result } = renderHook(() => useDone(page([9, 8], 7)));
  act(() => result.current.look('peep'));
  await answer('peep<', page([], 6));
  await answer('peep<6', page([3], 2));
  expect(ids(result.current)).toEqual([3]);
  act(() => result.current.more());
  act(() => result.current.look(''));
  await answer('peep<2', page([], 1));
  await answer('<', page([9], null));
  expect(ids(result.current)).toEqual([9]);
  // The first search went no further back.
  expect([...answers.keys()]).not.toContain('peep<1');
});

test('more, pressed twice, is shown once', async () => {
  const { result } = renderHook(() => useDone(page([9, 8], 7)));
  act(() => {
    result.current.more();
    result.current.more();
  });
  await answer('<7', page([7, 6], null));
  expect(ids(result.current)).toEqual([9, 8, 7, 6]);
});
