import { act, renderHook } from '@testing-library/react';
import { draftOf, keepDraft } from './draft';
import { useKept } from './useKept';

beforeEach(() => window.sessionStorage.clear());

describe('state that outlives its form', () => {
  const open = (name = 'a', initial = '') => renderHook(() => useKept(name, () => initial));

  test('what was set stands there again, and says so', () => {
    const first = open();
    expect(first.result.current).toMatchObject({ value: '', found: false });
    act(() => first.result.current.set('47#'));
    first.unmount();
    expect(open().result.current).toMatchObject({ value: '47#', found: true });
    expect(open('b').result.current).toMatchObject({ value: '', found: false });
  });
  test('an emptied text is kept as emptied', () => {
    const first = open('a', 'from before');
    act(() => first.result.current.set(''));
    first.unmount();
    expect(open('a', 'from before').result.current.value).toBe('');
  });
  test('forgotten it begins anew; settled it is kept no longer but stands', () => {
    const first = open('a', 'x');
    act(() => first.result.current.set('typed'));
    act(() => first.result.current.settled());
    expect(first.result.current.value).toBe('typed');
    expect(draftOf('a')).toBe('');
    act(() => first.result.current.set('typed again'));
    act(() => first.result.current.forget());
    expect(first.result.current).toMatchObject({ value: 'x', found: false });
    expect(draftOf('a')).toBe('');
  });
  test('several changes in one go build on each other', () => {
    const { result } = renderHook(() => useKept<readonly number[]>('list', () => []));
    act(() => {
      result.current.set((now) => [...now, 1]);
      result.current.set((now) => [...now, 2]);
    });
    expect(result.current.value).toEqual([1, 2]);
    expect(JSON.parse(draftOf('list'))).toEqual([1, 2]);
  });
  test('what an older screen wrote otherwise is no draft', () => {
    keepDraft('a', '{half');
    expect(open('a', 'x').result.current.value).toBe('x');
    expect(draftOf('a')).toBe('');
  });
});
