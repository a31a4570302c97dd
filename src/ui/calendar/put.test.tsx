import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlacedVisit } from '@/core/calendar';
import { ownClock } from '../testing/own-clock';
import type { Calendar } from './useCalendar';
import { usePut } from './usePut';

const visit = (changes: Partial<PlacedVisit> = {}) =>
  ({
    jobId: 'j',
    visitId: 'v',
    name: 'Aino',
    from: 600,
    to: 660,
    archer: true,
    ...changes,
  }) as PlacedVisit;

function shown(appointment: { from: number; to: number } | null) {
  const put = jest.fn(async () => null);
  let move: ReturnType<typeof usePut>['put'];
  function Probe() {
    const hook = usePut({
      view: { firstDay: '2026-11-24', input: { jobs: [{ id: 'j', appointment }] } },
      put,
    } as unknown as Calendar);
    move = hook.put;
    return hook.asking;
  }
  render(<Probe />);
  return { put, move: (of: PlacedVisit, to: number) => act(async () => void move(of, to)) };
}

test('within what was agreed, without an appointment, or without the archer nothing is asked', async () => {
  const agreed = shown({ from: 600, to: 720 });
  await agreed.move(visit(), 660);
  await agreed.move(visit({ archer: false }), 900);
  expect(agreed.put.mock.calls).toEqual([
    ['j', 'v', 660],
    ['j', 'v', 900],
  ]);
  const free = shown(null);
  await free.move(visit(), 900);
  expect(free.put).toHaveBeenCalledTimes(1);
});

test.each([
  ['Leave', 0],
  ['They agreed', 1],
])('past what was agreed it is asked: %s', async (answer, times) => {
  const clock = ownClock();
  const { put, move } = shown({ from: 600, to: 720 });
  await move(visit(), 661);
  expect(put).not.toHaveBeenCalled();
  await clock.pass(450);
  await userEvent.click(screen.getByRole('button', { name: new RegExp(answer, 'i') }));
  expect(put).toHaveBeenCalledTimes(times);
});
