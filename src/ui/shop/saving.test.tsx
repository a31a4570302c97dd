import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { aShop } from '@/core/testing/fixtures';
import type { Shop } from '@/core/job';
import { unsavedSettings, useSaving } from './useSaving';

const mockRouter = { refresh: () => undefined };
jest.mock('next/navigation', () => ({ useRouter: () => mockRouter }));

/** What was sent, in its order, and what lets the answers go. */
const sent: Partial<Shop>[] = [];
let answers: (() => void)[] = [];
beforeEach(() => {
  sent.length = 0;
  answers = [];
  sessionStorage.clear();
  global.fetch = jest.fn((_url: string, { body }: RequestInit) => {
    const { seen: _seen, ...changed } = JSON.parse(body as string) as Partial<Shop> & {
      seen: Partial<Shop>;
    };
    sent.push(changed);
    return new Promise((resolve) =>
      answers.push(() => resolve({ ok: true, status: 200, json: async () => ({}) })),
    );
  }) as never;
});
const answer = () => act(async () => answers.shift()!());

const before = aShop({ address: 'Am Slip 4', phone: '' });

function Settings() {
  const [draft, setDraft] = useState<Partial<Shop>>(before);
  const { said, leave } = useSaving(before, draft);
  return (
    <form onBlur={leave}>
      {(['address', 'phone'] as const).map((name) => (
        <input
          key={name}
          aria-label={name}
          value={draft[name]}
          onChange={({ target }) => setDraft((now) => ({ ...now, [name]: target.value }))}
        />
      ))}
      <p>{said?.text}</p>
    </form>
  );
}
const field = (name: string) => screen.getByLabelText<HTMLInputElement>(name);
/** The microtasks of leaving one are done before the next key, as in a browser. */
const goTo = async (name: string) => {
  act(() => field(name).focus());
  await Promise.resolve();
};
const type = (name: string, value: string) => fireEvent.change(field(name), { target: { value } });

test('nothing of a field is saved before it is left, however quickly the next one is typed in', async () => {
  render(<Settings />);
  await goTo('address');
  type('address', 'Am Steg 5');
  expect(sent).toEqual([]);
  await goTo('phone');
  type('phone', '0');
  await waitFor(() => expect(sent).toEqual([{ address: 'Am Steg 5' }]));
  await answer();
  type('phone', '0151');
  await goTo('address');
  await waitFor(() => expect(sent).toEqual([{ address: 'Am Steg 5' }, { phone: '0151' }]));
});

test('what is typed while the field before it is saved stays kept, should the page go', async () => {
  render(<Settings />);
  await goTo('address');
  type('address', 'Am Steg 5');
  await goTo('phone');
  await waitFor(() => expect(sent).toHaveLength(1));
  type('phone', '0151');
  await answer();
  await screen.findByText('Saved.');
  expect(unsavedSettings()?.changed).toEqual({ phone: '0151' });
  // Left while the first is still on its way it goes after it, with what was not typed yet left out.
  type('phone', '0151 2');
  await goTo('address');
  type('address', 'B');
  await waitFor(() => expect(sent).toHaveLength(2));
  expect(sent[1]).toEqual({ phone: '0151 2' });
});
