import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { METRIC_UNITS, TRADE_UNITS, type ReadOptions } from '@/core/units';
import { Choice } from './Choice';
import { dayOf, dayText, longDay, plainDay, timeText, whenText } from './dates';
import { Figure, WithFractions } from './Figure';
import { MeasureField } from './MeasureField';
import { TextAnswer } from './TextAnswer';

const SPAN: ReadOptions = {
  quantity: 'length',
  shop: TRADE_UNITS,
  min: 900,
  max: 2400,
  what: 'arm span',
};
const field = () => screen.getByLabelText('Arm span') as HTMLInputElement;
const take = () => screen.getByRole('button', { name: /^Take/ });

beforeEach(() => window.sessionStorage.clear());

describe('the measuring field', () => {
  const open = (onTake = jest.fn().mockResolvedValue(null), options = SPAN) => {
    render(
      <MeasureField label="Arm span" draft="job-1.armSpan" options={options} onTake={onTake} />,
    );
    return onTake;
  };

  test('shows how it was understood while it is typed, in both systems', async () => {
    open();
    await userEvent.type(field(), '68 1/2');
    expect(document.querySelector('[data-part="read"]')!.textContent).toBe('68 1/2 in · 1740 mm');
  });
  test('what was typed stands there again when the field comes back, and its owner is told', async () => {
    const onText = jest.fn();
    const show = () =>
      render(
        <MeasureField
          label="Arm span"
          draft="job-1.armSpan"
          options={SPAN}
          onTake={jest.fn(async () => null)}
          onText={onText}
        />,
      );
    const first = show();
    await userEvent.type(field(), '68 1/2');
    first.unmount();
    onText.mockClear();
    show();
    expect(field().value).toBe('68 1/2');
    expect(onText.mock.calls).toEqual([['68 1/2', expect.objectContaining({ ok: true })]]);
    await userEvent.click(take());
    expect(field().value).toBe('');
  });
  test('a refused number is marked: the next key writes over it', async () => {
    const taking = open();
    await userEvent.type(field(), '4 m{Enter}');
    expect(taking).not.toHaveBeenCalled();
    expect([field().selectionStart, field().selectionEnd]).toEqual([0, 3]);
    await userEvent.keyboard('68');
    expect(field().value).toBe('68');
  });
  test('takes what was typed, not what it was made into, and clears', async () => {
    const onTake = open();
    await userEvent.type(field(), ' 172,7 cm ');
    await userEvent.keyboard('{Enter}');
    expect(onTake).toHaveBeenCalledWith('172,7 cm');
    await waitFor(() => expect(field().value).toBe(''));
  });
  test('keeps the text and says why when it cannot be taken', async () => {
    const onTake = open(
      jest.fn().mockResolvedValue({ message: 'Somebody was quicker', pointer: '' }),
    );
    await userEvent.type(field(), '68');
    await userEvent.click(take());
    expect(onTake).toHaveBeenCalledTimes(1);
    expect(await screen.findByRole('alert')).toHaveTextContent('Somebody was quicker');
    expect(field().value).toBe('68');
  });
  test('does not send what is not a number, and keeps it', async () => {
    const onTake = open();
    await userEvent.type(field(), 'sixty');
    await userEvent.click(take());
    expect(onTake).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toHaveTextContent('“sixty” is not a number');
    expect(field().value).toBe('sixty');
    expect(field()).toHaveAttribute('aria-invalid', 'true');
  });
  test('a half-typed number is not scolded; a rested one is', () => {
    jest.useFakeTimers();
    open();
    fireEvent.change(field(), { target: { value: '6' } });
    expect(screen.queryByRole('alert')).toBeNull();
    act(() => void jest.advanceTimersByTime(1200));
    expect(screen.getByRole('alert')).toHaveTextContent('Too small for the arm span');
    fireEvent.change(field(), { target: { value: '68' } });
    expect(screen.queryByRole('alert')).toBeNull();
    jest.useRealTimers();
  });
  test('leaving an empty field is no mistake; taking it is', async () => {
    const onTake = open();
    await userEvent.click(field());
    await userEvent.tab();
    expect(screen.queryByRole('alert')).toBeNull();
    await userEvent.click(take());
    expect(screen.getByRole('alert')).toHaveTextContent('Enter the arm span, for example 65 3/8');
    expect(onTake).not.toHaveBeenCalled();
  });
  test('the pad types fractions and units', async () => {
    const onTake = open();
    for (const key of ['6', '8', '3/8'])
      await userEvent.click(document.querySelector(`[data-key="${key}"]`)!);
    expect(field().value).toBe('68 3/8');
    await userEvent.click(document.querySelector('[data-key="in"]')!);
    expect(field().value).toBe('68 3/8 in');
    expect(document.querySelector('[data-key="in"]')).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(take());
    expect(onTake).toHaveBeenCalledWith('68 3/8 in');
  });
  test('a metric shop has no fractions on its pad', () => {
    open(undefined, { ...SPAN, shop: METRIC_UNITS });
    expect(document.querySelector('[data-key="1/8"]')).toBeNull();
    expect(document.querySelector('[data-key="mm"]')).not.toBeNull();
  });
  test('buttons of one’s own take only a number that can be taken', async () => {
    const own = jest.fn().mockResolvedValue(null);
    render(
      <MeasureField
        label="Arm span"
        draft="job-1.armSpan"
        options={SPAN}
        onTake={jest.fn()}
        actions={(takeBy) => <button onClick={() => takeBy(own)}>Smooth</button>}
      />,
    );
    await userEvent.click(screen.getByText('Smooth'));
    expect(own).not.toHaveBeenCalled();
    await userEvent.type(field(), '68');
    await userEvent.click(screen.getByText('Smooth'));
    expect(own).toHaveBeenCalledTimes(1);
  });
});

describe('a text answer', () => {
  const input = () => screen.getByLabelText('Phone') as HTMLInputElement;
  test('is saved when it is left, once', async () => {
    const onSave = jest.fn().mockResolvedValue(null);
    render(<TextAnswer id="phone" label="Phone" value="" onSave={onSave} />);
    await userEvent.type(input(), ' 0151 ');
    await userEvent.tab();
    expect(onSave).toHaveBeenCalledWith('0151');
    await userEvent.click(input());
    await userEvent.tab();
    expect(onSave).toHaveBeenCalledTimes(1);
  });
  test('follows what was saved, also written otherwise', async () => {
    const onSave = jest.fn().mockResolvedValue(null);
    const { rerender } = render(<TextAnswer id="phone" label="Phone" value="" onSave={onSave} />);
    await userEvent.type(input(), '900');
    await userEvent.tab();
    rerender(<TextAnswer id="phone" label="Phone" value="€ 900" onSave={onSave} />);
    expect(input().value).toBe('€ 900');
    rerender(<TextAnswer id="phone" label="Phone" value="" onSave={onSave} />);
    expect(input().value).toBe('');
  });
  test('what is being typed is not overwritten by another screen', async () => {
    const onSave = jest.fn().mockResolvedValue(null);
    const { rerender } = render(<TextAnswer id="phone" label="Phone" value="a" onSave={onSave} />);
    await userEvent.type(input(), 'b');
    rerender(<TextAnswer id="phone" label="Phone" value="c" onSave={onSave} />);
    expect(input().value).toBe('ab');
  });
  test('stays, with the reason, when it cannot be saved', async () => {
    const onSave = jest.fn().mockResolvedValue({ message: 'Not saved', pointer: '' });
    render(<TextAnswer id="phone" label="Phone" value="" onSave={onSave} />);
    await userEvent.type(input(), '1');
    await userEvent.tab();
    expect(await screen.findByRole('alert')).toHaveTextContent('Not saved');
    expect(input().value).toBe('1');
    await userEvent.click(input());
    await userEvent.tab();
    expect(onSave).toHaveBeenCalledTimes(2);
  });
  test('is not sent when it is impossible', async () => {
    const onSave = jest.fn();
    render(
      <TextAnswer id="phone" label="Phone" value="" onSave={onSave} check={() => 'No letters'} />,
    );
    await userEvent.type(input(), 'x{Enter}');
    expect(onSave).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toHaveTextContent('No letters');
  });
});

describe('a choice', () => {
  test('names its group, tells the chosen one, and cannot be unchosen', async () => {
    const onChange = jest.fn();
    const options = [
      { id: 'r', name: 'right' },
      { id: 'l', name: 'left' },
    ] as const;
    render(<Choice label="Hand" value="r" options={options} onChange={onChange} />);
    expect(screen.getByRole('group', { name: 'Hand' })).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'right' })).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(screen.getByRole('button', { name: 'right' }));
    expect(onChange).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: 'left' }));
    expect(onChange).toHaveBeenCalledWith('l');
  });
});

describe('figures', () => {
  test.each([
    [698.5, '27 1/2 in'],
    [685.8, '27 in'],
    [9.525, '3/8 in'],
    [-3.175, '−1/8 in'],
    [0, '0 in'],
  ])('%s mm reads “%s”', (si, text) => {
    const { container } = render(<Figure si={si} quantity="length" shop={TRADE_UNITS} />);
    expect(container.textContent).toBe(text);
  });
  test('fractions in a sentence become true ones, the words stay', () => {
    const { container } = render(<WithFractions text="set to 27 1/2 in, 3/8 less" />);
    expect(container.textContent).toBe('set to 27 1/2 in, 3/8 less');
    expect(container.querySelectorAll('[data-part="frac"]')).toHaveLength(2);
  });
});

describe('days and times', () => {
  const today = '2026-11-24';
  test.each([
    ['2026-11-24', 'today'],
    ['2026-11-25', 'tomorrow'],
    ['2026-12-04', 'Fri 4 Dec'],
    ['2026-11-20', 'Fri 20 Nov'],
    ['2027-01-02', 'Sat 2 Jan 2027'],
  ])('%s is “%s”', (day, text) => expect(dayText(day, today)).toBe(text));
  test('in words', () => {
    expect(longDay(today)).toBe('Tuesday 24 November');
    expect(plainDay(today, true)).toBe('Tue 24 Nov 2026');
    expect(timeText('2026-11-24T09:05:00Z', 'Europe/Berlin')).toBe('10:05');
    expect(dayOf('2026-11-24T23:30:00Z', 'Europe/Berlin')).toBe('2026-11-25');
    expect(whenText('2026-11-24T09:05:00Z', 'Europe/Berlin', today)).toBe('10:05');
    expect(whenText('2026-11-20T09:05:00Z', 'Europe/Berlin', today)).toBe('Fri 20 Nov 10:05');
  });
});
