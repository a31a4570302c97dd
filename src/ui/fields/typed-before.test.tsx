import { useState } from 'react';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { hydrateRoot } from 'react-dom/client';
import { TRADE_UNITS } from '@/core/units';
import { MeasureField } from './MeasureField';
import { TextField } from './TextField';

function Name() {
  const [name, setName] = useState('');
  return (
    <>
      <TextField
        id="name"
        label="Name"
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <output>{name}</output>
    </>
  );
}
const took = jest.fn();
const Length = () => (
  <MeasureField
    label="Arm span"
    draft="a-job/arm-span"
    options={{ quantity: 'length', shop: TRADE_UNITS, min: 900, max: 2400, what: 'arm span' }}
    onTake={took}
  />
);

/** The page as the server sent it, typed into before its scripts came, then alive. */
async function alive(page: React.ReactElement, typed: string) {
  // The server's own way to draw wants streams this browser has not.
  const { renderToString } =
    jest.requireActual<typeof import('react-dom/server')>('react-dom/server.node');
  const place = document.createElement('div');
  document.body.replaceChildren(place);
  place.innerHTML = renderToString(page);
  const field = place.querySelector('input')!;
  field.value = typed;
  await act(async () => {
    hydrateRoot(place, page);
  });
  return field;
}

test('a name typed before the scripts were there is heard of, and goes on', async () => {
  const field = await alive(<Name />, 'Ada');
  expect(document.querySelector('output')!.textContent).toBe('Ada');
  await userEvent.type(field, ' W');
  expect(document.querySelector('output')!.textContent).toBe('Ada W');
});
test('nothing typed is nothing heard', async () => {
  await alive(<Name />, '');
  expect(document.querySelector('output')!.textContent).toBe('');
});
test('a figure typed before is read, and taken as it stands', async () => {
  const field = await alive(<Length />, '68 1/2');
  expect(field.value).toBe('68 1/2');
  await userEvent.click(screen.getByRole('button', { name: /Take/ }));
  expect(took).toHaveBeenCalled();
});
