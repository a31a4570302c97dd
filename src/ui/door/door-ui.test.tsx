import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { Door } from '@/core/people';
import { tellDoor, wasLocked } from '../keep/door-events';
import { DoorPanel } from './DoorPanel';
import { OwnerForm } from './OwnerForm';
import { PairForm } from './PairForm';

const DOOR: Door = {
  shop: 'Prüfhaus',
  opened: true,
  atMachine: false,
  tablet: 'Counter',
  people: [
    { id: 'a', name: 'Ada', role: 'Owner' },
    { id: 'b', name: 'Bo', role: 'Learner', pin: '7193' },
  ],
  signedIn: null,
};

let sent: { url: string; body: unknown }[];
let answers: { status: number; body: unknown }[];
beforeEach(() => {
  sent = [];
  answers = [];
  window.localStorage.clear();
  window.location.hash = '';
  global.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    const { status, body } = answers.shift() ?? { status: 500, body: {} };
    return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) });
  }) as never;
});

const press = (name: string) => act(() => fireEvent.click(screen.getByRole('button', { name })));
const secret = () => screen.getByLabelText(/PIN of/) as HTMLInputElement;
const signedIn = { ...DOOR, signedIn: { id: 'b', name: 'Bo' } };

test('a person is chosen, types by pad and keys, and is in; the tablet is locked no longer', async () => {
  const signed = jest.fn();
  tellDoor({ is: 'signed-out' });
  expect(wasLocked()).toBe(true);
  render(<DoorPanel door={DOOR} onSigned={signed} />);
  press('Bo Learner · PIN 7193');
  for (const digit of ['7', '1', '9', '9', '⌫']) {
    const name = digit === '⌫' ? 'Rub out the last digit' : digit;
    press(name);
  }
  fireEvent.change(secret(), { target: { value: `${secret().value}3` } });
  answers.push({ status: 200, body: signedIn });
  press('Sign in');
  await waitFor(() => expect(signed).toHaveBeenCalledWith(signedIn));
  expect(sent).toEqual([{ url: '/api/v1/session', body: { personId: 'b', secret: '7193' } }]);
  expect(wasLocked()).toBe(false);
});

test('a wrong PIN says so and is typed anew; pressed twice it is sent once', async () => {
  render(<DoorPanel door={DOOR} onSigned={jest.fn()} />);
  press('Ada Owner');
  press('Sign in');
  expect(screen.getByText('Type the PIN or password.')).toBeTruthy();
  expect(sent).toEqual([]);
  fireEvent.change(secret(), { target: { value: '1' } });
  answers.push({
    status: 403,
    body: { detail: 'That is not it.', errors: [{ pointer: '/secret', detail: 'x' }] },
  });
  const form = secret().closest('form')!;
  act(() => {
    fireEvent.submit(form);
    fireEvent.submit(form);
  });
  await screen.findByText('That is not it.');
  expect(secret().value).toBe('');
  expect(sent).toHaveLength(1);
});

test('at the machine itself a browser nobody knows is made known by the same', async () => {
  const here = { ...DOOR, tablet: null, atMachine: true, people: [DOOR.people[0]!] };
  render(<DoorPanel door={here} onSigned={jest.fn()} />);
  // One person alone needs no choosing.
  fireEvent.change(secret(), { target: { value: '2580' } });
  press('Sign in');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toEqual({
    url: '/api/v1/session/pairing',
    body: { personId: 'a', secret: '2580', name: 'This machine' },
  });
});

test('a scanned address brings its code, which does not stay in the address', async () => {
  window.location.hash = '#code=KXPA-47RT';
  render(<PairForm onPaired={jest.fn()} />);
  expect((screen.getByLabelText('Code') as HTMLInputElement).value).toBe('KXPA-47RT');
  expect(window.location.hash).toBe('');
  press('Pair this tablet');
  expect(screen.getByText('Give the tablet a name.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Name of this tablet'), { target: { value: ' Lane ' } });
  press('Pair this tablet');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.body).toEqual({ code: 'KXPA-47RT', name: 'Lane' });
});

test('the first owner: a name, a PIN nobody guesses, twice the same', async () => {
  render(<OwnerForm door={{ ...DOOR, opened: false, people: [] }} onSigned={jest.fn()} />);
  const put = (label: string, value: string) =>
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
  press('Open the shop');
  expect(screen.getByText('Choose somebody, or type a name.')).toBeTruthy();
  put('Name', 'Ada');
  put('PIN or password', '1111');
  press('Open the shop');
  expect(screen.getByText(/guessed first/)).toBeTruthy();
  put('PIN or password', '2580');
  put('Once more', '2581');
  press('Open the shop');
  expect(screen.getByText('The two are not the same.')).toBeTruthy();
  expect(sent).toEqual([]);
  put('Once more', '2580');
  press('Open the shop');
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.body).toEqual({
    person: { name: 'Ada' },
    secret: '2580',
    tablet: 'This machine',
  });
});
