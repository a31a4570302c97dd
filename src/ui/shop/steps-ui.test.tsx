import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { aShop } from '@/core/testing/fixtures';
import type { Shop } from '@/core/job';
import { REGISTRY } from '@/core/setup';
import { HowDrawing } from '../drawings/HowDrawing';
import { BenchSettings } from './BenchSettings';
import { StepsPage } from './StepsPage';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: () => undefined, push: () => undefined }),
}));
jest.mock('../frame/PageHead', () => ({
  PageHead: ({ title }: { title: string }) => <h1>{title}</h1>,
}));

afterEach(() => window.sessionStorage.clear());

describe('how a value is measured, drawn', () => {
  test('every value of the registry has its drawing', () =>
    expect(REGISTRY.filter(({ figure }) => !figure).map(({ key }) => key)).toEqual([]));
  test('it says what it shows; a left-handed bow is the mirror', () => {
    const right = render(<HowDrawing of="braceHeight" left={false} />);
    expect(screen.getByRole('img')).toHaveAccessibleName('Brace height: from the side, at rest');
    expect(right.container.querySelector('g[transform]')).toBeNull();
    const left = render(<HowDrawing of="centreShot" left />);
    expect(left.container.querySelector('g')!.getAttribute('transform')).toContain('scale(-1 1)');
  });
  test('a shop’s own tick has none', () =>
    expect(render(<HowDrawing of="own:wax" left={false} />).container).toBeEmptyDOMElement());
});

describe('steps of the shop', () => {
  const page = (shop: Shop = aShop()) =>
    render(
      <StepsPage
        shop={shop}
        consumables={[{ id: 'wachs', name: 'Wachs' }]}
        times={{ loop: { count: 4, sumLogMin: 6 } }}
      />,
    );
  const row = (title: string) => screen.getByRole('button', { name: title }).closest('li')!;

  test('every shipped step with its station, values, minutes and how often it was clocked', () => {
    page();
    expect(row('Tie the loop').textContent).toMatch(
      /vice · takes loop, loop’s place.*5 min.*clocked 4×/,
    );
    expect(screen.getByRole('button', { name: 'Save' })).toBeEnabled();
  });

  test('changed, it says so; an empty field goes back to as shipped', async () => {
    page();
    await userEvent.click(screen.getByRole('button', { name: 'Tie the loop' }));
    await userEvent.type(screen.getByLabelText('Minutes'), '9');
    await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
    expect(within(row('Tie the loop')).getByText('changed')).toBeInTheDocument();
    expect(row('Tie the loop').textContent).toContain('9 min');
    await userEvent.click(screen.getByRole('button', { name: 'Tie the loop' }));
    await userEvent.click(screen.getByRole('button', { name: 'As shipped' }));
    expect(within(row('Tie the loop')).queryByText('changed')).toBeNull();
  });

  test('minutes that are none, and a step others need left out, keep it from being saved', async () => {
    page();
    await userEvent.click(screen.getByRole('button', { name: 'Tie the loop' }));
    await userEvent.type(screen.getByLabelText('Minutes'), 'soon');
    await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Between 1 and 240 minutes.');
    expect(screen.getByRole('button', { name: 'Save' })).toBeDisabled();
    await userEvent.click(screen.getByRole('button', { name: 'Tie the loop' }));
    await userEvent.click(screen.getByRole('button', { name: 'As shipped' }));
    await userEvent.click(screen.getByRole('button', { name: 'Find the nock height' }));
    await userEvent.click(screen.getByRole('button', { name: 'yes' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
    expect(screen.getByRole('alert')).toHaveTextContent('“Tie the loop”');
  });

  test('a step of its own: named by its title, taken away again', async () => {
    page();
    await userEvent.click(screen.getByRole('button', { name: 'A step of our own' }));
    await userEvent.type(screen.getByLabelText('Title'), 'Wachs für die Sehne');
    await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
    expect(screen.getByRole('alert')).toHaveTextContent('Say what is to be done.');
    await userEvent.click(screen.getByRole('button', { name: 'Wachs für die Sehne' }));
    await userEvent.type(screen.getByLabelText('What to do'), 'Dünn.');
    await userEvent.click(screen.getByRole('button', { name: 'Take it' }));
    expect(screen.queryByRole('alert')).toBeNull();
    expect(within(row('Wachs für die Sehne')).getByText('own')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Wachs für die Sehne' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take it away' }));
    expect(screen.queryByRole('button', { name: 'Wachs für die Sehne' })).toBeNull();
  });
});

describe('settings of the bench', () => {
  const settings = (shop = aShop()) => {
    const change = jest.fn<void, [Partial<Shop>]>();
    render(<BenchSettings shop={shop} people={shop.people} change={change} />);
    return { change };
  };
  test('a school is one tap', async () => {
    const { change } = settings();
    await userEvent.click(screen.getByRole('button', { name: 'by a second arrow' }));
    expect(change).toHaveBeenCalledWith({
      schools: expect.objectContaining({ centreShot: 'secondArrow', cage: 'on' }) as unknown,
    });
  });
  test('hours are read as they are spoken; what cannot be read is said', async () => {
    const { change } = settings();
    const monday = within(screen.getByRole('group', { name: 'T. Okoro' })).getByLabelText('Mon');
    expect(monday).toHaveValue('9–20');
    await userEvent.clear(monday);
    await userEvent.tab();
    expect(change).toHaveBeenLastCalledWith({
      hours: { 'T. Okoro': [null, ...Array.from({ length: 6 }, () => ({ from: 540, to: 1200 }))] },
    });
    await userEvent.type(monday, 'early');
    expect(screen.getByText('Like 9–18 or 9:30–17; empty for a day off.')).toBeInTheDocument();
  });
  test('two presses, and no more than nine of anything', async () => {
    const { change } = settings();
    const press = screen.getByLabelText('Press');
    await userEvent.clear(press);
    await userEvent.type(press, '2');
    await userEvent.tab();
    expect(change).toHaveBeenLastCalledWith({
      stations: expect.objectContaining({ press: 2, vice: 2 }) as unknown,
    });
    await userEvent.type(press, '0');
    await userEvent.tab();
    expect(change).toHaveBeenLastCalledWith({
      stations: expect.objectContaining({ press: 2 }) as unknown,
    });
  });
  test('closed days: added by hand, opened again', async () => {
    const { change } = settings(aShop({ closed: [{ day: '2026-12-24', name: 'Eve' }] }));
    await userEvent.type(screen.getByLabelText('Day'), '2026-12-27');
    await userEvent.type(screen.getByLabelText('Why'), 'stock-taking');
    await userEvent.click(screen.getByRole('button', { name: 'Close this day' }));
    expect(change).toHaveBeenLastCalledWith({
      closed: [
        { day: '2026-12-24', name: 'Eve' },
        { day: '2026-12-27', name: 'stock-taking' },
      ],
    });
    await userEvent.click(screen.getByRole('button', { name: 'Open again' }));
    expect(change).toHaveBeenLastCalledWith({ closed: [] });
  });
});
