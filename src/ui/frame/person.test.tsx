import { act, render, screen } from '@testing-library/react';
import type { Door } from '@/core/people';
import { aShop, someone } from '@/core/testing/fixtures';
import { PersonDialog } from './PersonDialog';
import { Shell } from './Shell';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }),
}));

const DOOR = {
  shop: 'Prüfhaus',
  tablet: 'Lane',
  people: [{ id: 'okoro', name: 'T. Okoro', canSignIn: true }],
} as unknown as Door;
const LOCK = { name: 'Lock this tablet' };

const show = () =>
  act(
    async () =>
      void render(
        <Shell shop={aShop()} someone={someone()}>
          <PersonDialog onClose={() => undefined} />
        </Shell>,
      ),
  );

test('what moves under the finger is not there yet: locking comes with who may sign in', async () => {
  let answer: (door: Door) => void = () => undefined;
  global.fetch = jest.fn((url: string, init?: { method?: string }) =>
    url === '/api/v1/session' && !init?.method
      ? new Promise((resolve) => {
          answer = (door) => resolve({ ok: true, status: 200, json: async () => door });
        })
      : Promise.resolve({ ok: url === '/icon.svg', status: 404, json: async () => null }),
  ) as never;
  await show();
  expect(screen.getByRole('dialog')).toBeInTheDocument();
  expect(screen.queryByRole('button', LOCK)).toBeNull();
  await act(async () => answer(DOOR));
  expect(screen.getByRole('button', LOCK)).toBeInTheDocument();
});

test('without a connection it is there all the same, and says when it could not be done', async () => {
  global.fetch = jest.fn(() => Promise.reject(new TypeError('fetch failed'))) as never;
  await show();
  const lock = screen.getByRole('button', LOCK);
  await act(async () => lock.click());
  expect(screen.getByRole('alert')).not.toBeEmptyDOMElement();
});
