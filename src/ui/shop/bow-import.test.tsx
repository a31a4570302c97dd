import { act, renderHook } from '@testing-library/react';
import { useBowImport } from './useBowImport';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn() }) }));

const ROWS = [
  { line: 2, id: 'a', name: 'one', kind: 'changed', changes: [], jump: true },
  { line: 3, id: 'b', name: 'two', kind: 'changed', changes: [], jump: false },
  { line: 4, id: 'c', name: 'three', kind: 'changed', changes: [], jump: false },
];
let sent: Record<string, unknown>[];
let refuse: string;
beforeEach(() => {
  sent = [];
  refuse = '';
  window.sessionStorage.clear();
  global.fetch = jest.fn(async (_url: string, init: { body: string }) => {
    sent.push(JSON.parse(init.body));
    return refuse
      ? { ok: false, status: 422, json: async () => ({ detail: refuse, errors: [] }) }
      : {
          ok: true,
          status: 200,
          json: async () => ({
            saved: false,
            added: 0,
            changed: 3,
            same: 2,
            rows: ROWS,
            faults: [],
            faultCount: 0,
          }),
        };
  }) as never;
});

function shown(onDone = jest.fn()) {
  const { result } = renderHook(() => useBowImport(onDone));
  return { get: () => result.current, onDone };
}

test('a price far off is taken only when ticked, another row unless unticked', async () => {
  const file = shown();
  await act(() => file.get().look('maker;model'));
  expect(sent).toEqual([expect.objectContaining({ text: 'maker;model', mode: 'check' })]);
  expect([file.get().good, file.get().jumps.length, file.get().taken]).toEqual([5, 1, 4]);
  act(() => file.get().setTicks({ jumps: new Set(['a']), except: new Set(['b', 'c']) } as never));
  expect(file.get().taken).toBe(3);
  await act(() => file.get().take('allOrNone'));
  expect(sent[1]).toMatchObject({ mode: 'allOrNone', text: 'maker;model' });
  expect(file.onDone).toHaveBeenCalledTimes(1);
});

test('another text begins without ticks; an empty one asks nothing', async () => {
  const file = shown();
  await act(() => file.get().look('one'));
  act(() => file.get().setTicks({ jumps: new Set(['a']), except: new Set(['b']) } as never));
  await act(() => file.get().look('two'));
  expect(file.get().taken).toBe(4);
  await act(() => file.get().look('  '));
  expect(sent).toHaveLength(2);
  expect(file.get().looked).toBeNull();
});

test('what is refused says why and keeps the text', async () => {
  const file = shown();
  refuse = 'Too many bows for one file';
  await act(() => file.get().look('maker;model'));
  await act(() => file.get().take('keepGood'));
  expect(file.get()).toMatchObject({ trouble: refuse, text: 'maker;model', looked: null });
  expect(file.onDone).not.toHaveBeenCalled();
});
