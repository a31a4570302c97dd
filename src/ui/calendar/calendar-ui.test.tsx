import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CalendarView } from '@/core/job';
import type { CalendarPlan, PlacedVisit } from '@/core/calendar';
import { clockWords, longWords, whenWords } from './clock';
import { DayChart } from './DayChart';
import { MovePanel } from './MovePanel';
import { PlanState, remedyWords } from './PlanState';
import type { Calendar } from './useCalendar';

const visit = (more: Partial<PlacedVisit> = {}): PlacedVisit => ({
  jobId: 'j1',
  name: 'Runa Velde',
  visitId: 'twists',
  station: 'press',
  unit: 0,
  person: 'T. Okoro',
  from: 600,
  to: 630,
  archer: false,
  steps: 3,
  pinned: false,
  toArrange: false,
  ...more,
});
const plan = (more: Partial<CalendarPlan> = {}): CalendarPlan => ({
  visits: [visit()],
  unplaced: [],
  late: [],
  lateness: 0,
  bound: 0,
  pressVisits: 1,
  ...more,
});
const calendar = (more: Partial<Calendar> = {}): Calendar => ({
  view: { firstDay: '2026-11-24', input: {}, plan: plan() } as unknown as CalendarView,
  plan: plan(),
  remedies: [],
  part: null,
  stop: () => undefined,
  put: () => Promise.resolve(null),
  trouble: '',
  ...more,
});
const late = { jobId: 'j1', name: 'Runa Velde', minutes: 900, endsAt: 2000 };

describe('times in words', () => {
  test.each([
    [0, '0:00'],
    [545, '9:05'],
    [1440 + 61, '1:01'],
  ])('%i is %s', (minute, words) => expect(clockWords(minute)).toBe(words));
  test.each([
    [10, '1 h'],
    [180, '3 h'],
    [1440, '1 day'],
    [2 * 1440 + 240, '2 days 4 h'],
  ])('%i minutes is %s', (minutes, words) => expect(longWords(minutes)).toBe(words));
  test('with the day', () => {
    expect(whenWords('2026-11-24', 545)).toBe('today 9:05');
    expect(whenWords('2026-11-24', 1440 + 545)).toBe('tomorrow 9:05');
    expect(whenWords('2026-11-24', 10 * 1440 + 545)).toBe('Fri 4 Dec 9:05');
  });
});

describe('how good a plan is', () => {
  const text = (more: Partial<Calendar>) => {
    const { container } = render(<PlanState calendar={calendar(more)} />);
    return container.textContent!.replace(/\s+/g, ' ').trim();
  };
  test('nothing late', () => expect(text({})).toBe('Everybody gets their bow in time.'));
  test('late, and no plan can be better', () =>
    expect(text({ plan: plan({ late: [late], lateness: 900, bound: 890 }) })).toBe(
      '1 bow late, 15 h in all No plan can be better.',
    ));
  test('late, with what is sure and what might be saved', () =>
    expect(text({ plan: plan({ late: [late, late], lateness: 1800, bound: 600 }) })).toBe(
      '2 bows late, 1 day 6 h in all At least 10 h late whatever is done. A better plan could save 20 h at most.',
    ));
  test('while it is looked for it can be stopped', async () => {
    const stop = jest.fn();
    render(<PlanState calendar={calendar({ part: 0.4, stop })} />);
    expect(screen.getByText('looking for a better plan, 40 %')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Stop looking' }));
    expect(stop).toHaveBeenCalled();
  });
  test.each([
    [{ kind: 'appointment', from: 1440 + 600, was: 0 }, 'ask them to come tomorrow 10:00'],
    [
      { kind: 'overtime', person: 'T. Okoro', days: [0, 1] },
      'T. Okoro stays an hour longer on today and tomorrow',
    ],
    [{ kind: 'express', day: 1, was: 4 }, 'have the part sent faster, here by tomorrow'],
    [{ kind: 'promise', day: 10 }, 'promise Fri 4 Dec'],
  ] as const)('%j', (remedy, words) => expect(remedyWords(remedy, '2026-11-24')).toBe(words));
});

describe('the chart of a day', () => {
  const chart = (visits: PlacedVisit[], more = {}) =>
    render(<DayChart visits={visits} opens={540} closes={1200} now={620} {...more} />);
  test('every visit leads to its job and says who, when and what', () => {
    chart([
      visit(),
      visit({ jobId: 'j2', name: 'Ove Lind', station: 'lane', archer: true, from: 700, to: 760 }),
    ]);
    expect(screen.getByRole('link', { name: 'Runa Velde, 10:00, 3 steps' })).toHaveAttribute(
      'href',
      '/jobs/j1',
    );
    expect(screen.getByRole('link', { name: 'Ove Lind, 11:40, with archer' })).toBeInTheDocument();
  });
  test('put by hand and to be arranged are told by more than colour', () => {
    chart([visit({ pinned: true, toArrange: true })]);
    const box = screen.getByRole('link', { name: /put here/ });
    expect(box).toHaveAttribute('data-put', 'yes');
    expect(box).toHaveAttribute('data-arrange', 'yes');
  });
  test('a second vice has a row only when somebody works at it', () => {
    const rows = (container: HTMLElement) =>
      [...container.querySelectorAll('.svgStrong')].map((node) => node.textContent);
    const one = chart([visit({ station: 'vice' })]);
    expect(rows(one.container)).toEqual(['Counter', 'Vice', 'Press', 'Draw board', 'Lane']);
    const height = (container: HTMLElement) =>
      Number.parseInt(
        container.querySelector<HTMLElement>('[data-part="day-plan"] > div')!.style.height,
        10,
      );
    const two = chart([
      visit({ station: 'vice' }),
      visit({ jobId: 'j2', station: 'vice', unit: 1 }),
    ]);
    expect(height(two.container)).toBeGreaterThan(height(one.container));
  });
  test('now is a line on today and on no other day', () => {
    expect(chart([visit()]).container.querySelector('[data-part="now"]')).not.toBeNull();
    expect(chart([visit()], { now: null }).container.querySelector('[data-part="now"]')).toBeNull();
  });
});

describe('a visit moved by typing', () => {
  const panel = (put: (minute: number | null) => Promise<string | null>, moved = visit()) => {
    const onClose = jest.fn();
    render(<MovePanel visit={moved} view={calendar().view} onPut={put} onClose={onClose} />);
    return onClose;
  };
  test('begins where it stands; what is wrong is said at the field', async () => {
    const put = jest.fn(() => Promise.resolve('Nobody works then.'));
    const onClose = panel(put);
    const field = screen.getByLabelText('Day and time');
    expect(field).toHaveValue('2026-11-24T10:00');
    await userEvent.click(screen.getByRole('button', { name: 'Put it there' }));
    expect(put).toHaveBeenCalledWith(600);
    expect(await screen.findByText('Nobody works then.')).toBeInTheDocument();
    expect(onClose).not.toHaveBeenCalled();
  });
  test('one that was put can be let go', async () => {
    const put = jest.fn(() => Promise.resolve(null));
    const onClose = panel(put, visit({ pinned: true }));
    await userEvent.click(
      within(screen.getByRole('dialog')).getByRole('button', { name: 'Let the plan decide' }),
    );
    expect(put).toHaveBeenCalledWith(null);
    expect(onClose).toHaveBeenCalled();
  });
});
