import { act, render, screen } from '@testing-library/react';
import { reportLost } from '../keep/connection';
import { tellDoor } from '../keep/door-events';
import { useLock } from './useLock';

let asked: { url: string; method: string }[];
let heard: string[];
let answers: (url: string, method: string) => Promise<unknown>;
const well = (body: unknown = {}) =>
  Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(body) });

beforeEach(() => {
  jest.useFakeTimers();
  asked = [];
  heard = [];
  answers = () => well();
  window.localStorage.clear();
  global.fetch = jest.fn((url: string, init: RequestInit = {}) => {
    asked.push({ url, method: init.method ?? 'GET' });
    return answers(url, init.method ?? 'GET');
  }) as never;
});
afterEach(() => jest.useRealTimers());

const noted = ({ name }: { readonly name: string }) => void heard.push(name);
function Screen() {
  return <p>{useLock(10, noted) ? 'locked' : 'open'}</p>;
}
const pass = (minutes: number) => act(() => jest.advanceTimersByTimeAsync(minutes * 60_000));
const touch = () => act(() => void window.dispatchEvent(new Event('pointerdown')));

test('nobody touches it for ten minutes: it locks itself, by the server too', async () => {
  render(<Screen />);
  await pass(9);
  touch();
  await pass(9.5);
  expect(screen.getByText('open')).toBeTruthy();
  await pass(0.6);
  expect(screen.getByText('locked')).toBeTruthy();
  expect(asked.filter(({ method }) => method === 'DELETE')).toEqual([
    { url: '/api/v1/session', method: 'DELETE' },
  ]);
});

test('touched, the server hears that somebody is there, seldom', async () => {
  render(<Screen />);
  for (let i = 0; i < 50; i++) {
    await pass(0.1);
    touch();
  }
  expect(asked.filter(({ method }) => method === 'PUT')).toHaveLength(2);
});

test('somebody signs in, here or on another page of the tablet: it is open, and who is told', () => {
  render(<Screen />);
  act(() => tellDoor({ is: 'signed-out' }));
  expect(screen.getByText('locked')).toBeTruthy();
  act(() => tellDoor({ is: 'signed-in', id: 'a', name: 'Ada' }));
  expect(screen.getByText('open')).toBeTruthy();
  expect(heard).toEqual(['Ada']);
});

test('a page kept for a moment without a connection knows that the tablet was locked', async () => {
  tellDoor({ is: 'signed-out' });
  answers = () => Promise.reject(new Error('no connection'));
  const { unmount } = render(<Screen />);
  await pass(0);
  expect(screen.getByText('locked')).toBeTruthy();
  unmount();
  // Somebody signed in on another page since.
  answers = () => well({ signedIn: { id: 'a', name: 'Ada' } });
  render(<Screen />);
  await pass(0);
  expect(screen.getByText('open')).toBeTruthy();
});

// Last: from then on this browser has no connection.
test('without a connection it does not lock: nobody could open it', async () => {
  answers = () => Promise.reject(new Error('no connection'));
  render(<Screen />);
  act(() => reportLost());
  await pass(30);
  expect(screen.getByText('open')).toBeTruthy();
  expect(asked.some(({ method }) => method === 'DELETE')).toBe(false);
});
