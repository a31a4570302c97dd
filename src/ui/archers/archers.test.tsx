import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { KnownArcher } from '@/core/erase';
import { aShop, aSnapshot, someone } from '@/core/testing/fixtures';
import { Shell } from '../frame/Shell';
import { ArcherPage } from './ArcherPage';
import { LongGonePage } from './LongGonePage';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }),
}));

const { archer } = aSnapshot({
  archer: { name: 'Noor Abeling', phone: '0442 77', experience: 'none', injury: '' },
});
const known: KnownArcher = {
  archer,
  held: { readings: 1, entries: 3, sheets: 2, quotes: 0, payments: 0, photos: 0, traces: 0 },
  jobs: [
    {
      ...{
        id: 'j1',
        number: 1001,
        bow: 'Testhav Probe 31',
        notes: 'likes it quiet',
        alreadyOwn: '',
      },
      ...{ openedAt: '2026-11-20T09:00:00.000Z', handedOverAt: null, closedAt: null },
    },
  ],
  erasedAt: null,
};
const sent: { url: string; method: string; body: unknown }[] = [];
let answer: { status: number; body: unknown };
beforeEach(() => {
  sent.splice(0);
  global.fetch = jest.fn(async (url: string, init?: { method?: string; body?: string }) => {
    if (!init?.body) return { ok: true, status: 200 };
    sent.push({ url, method: init.method!, body: JSON.parse(init.body) });
    return { ok: answer.status < 400, status: answer.status, json: async () => answer.body };
  }) as never;
});
const show = () =>
  render(
    <Shell shop={aShop()} someone={someone()}>
      <ArcherPage known={known} today="2026-11-24" timeZone="Europe/Berlin" />
    </Shell>,
  );

test('everything is named in words; what was not told says so; the file is one link', () => {
  show();
  expect(screen.getByText('Noor Abeling', { selector: 'dd' })).toBeInTheDocument();
  expect(screen.getByText('likes it quiet')).toBeInTheDocument();
  expect(screen.getByText('1 reading · 2 build sheets · 3 entries')).toBeInTheDocument();
  expect(screen.getAllByText('nothing told').length).toBeGreaterThan(2);
  // No answer stands there by its code.
  expect(document.querySelector('[data-part="facts"]')!.textContent).not.toMatch(
    /16to59|backTension|under12/,
  );
  expect(screen.getByRole('link', { name: 'Save the file' })).toHaveAttribute(
    'href',
    `/api/v1/archers/${archer.id}/bundle`,
  );
});

test('erased with the name alone; refused, what was written stays; then nothing is left to erase', async () => {
  show();
  const user = userEvent.setup();
  expect(screen.getByText(/Still open: ticket 1001/)).toBeInTheDocument();
  answer = { status: 422, body: { detail: 'Write the name as it stands above.' } };
  await user.type(screen.getByLabelText(/Write the name, Noor Abeling/), 'Noor');
  await user.click(screen.getByRole('button', { name: 'Erase for good' }));
  expect(await screen.findByText('Write the name as it stands above.')).toBeInTheDocument();
  expect(screen.getByLabelText(/Write the name/)).toHaveValue('Noor');
  answer = {
    status: 200,
    body: { ...known, archer: { ...archer, name: 'erased' }, erasedAt: '2026-11-24T09:00:00.000Z' },
  };
  await user.type(screen.getByLabelText(/Write the name/), ' Abeling');
  await user.click(screen.getByRole('button', { name: 'Erase for good' }));
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Erase for good' })).toBeNull());
  expect(sent.at(-1)).toEqual({
    url: `/api/v1/archers/${archer.id}`,
    method: 'DELETE',
    body: { name: 'Noor Abeling' },
  });
  expect(screen.getByText(/What is left says nothing/)).toBeInTheDocument();
  expect(screen.queryByText('Noor Abeling', { selector: 'dd' })).toBeNull();
});

test.each([
  [null, [], 'The shop keeps people for good: how long is said in its settings.'],
  [3, [], 'Nobody was away for so long.'],
  [1, [{ archerId: 'a', name: 'Ove', lastAt: '2020-01-02T09:00:00.000Z' }], 'Ove'],
])('kept %s years: %j', (keepYears, people, words) => {
  render(
    <Shell shop={aShop()} someone={someone()}>
      <LongGonePage people={people} keepYears={keepYears} today="2026-11-24" />
    </Shell>,
  );
  expect(screen.getByText(words)).toBeInTheDocument();
});
