import { render, screen } from '@testing-library/react';
import { aBow, aPart, aShop, someone, aSnapshot, anItem } from '@/core/testing/fixtures';
import { QUOTE_TERMS, type JobSnapshot } from '@/core/job';
import { Shell } from '../../frame/Shell';
import { JobProvider } from '../../job/JobProvider';
import { KitStage } from './KitStage';

jest.mock('next/navigation', () => ({
  useParams: () => ({ id: 'job-1' }),
  usePathname: () => '/jobs/job-1/kit',
  useSearchParams: () => new URLSearchParams('slot=sight'),
  useRouter: () => ({ push: jest.fn() }),
}));

beforeEach(() => {
  window.sessionStorage.clear();
  global.fetch = jest.fn(async () => ({ ok: false, json: async () => null })) as never;
});

const show = (snapshot: JobSnapshot) =>
  render(
    <Shell shop={aShop()} someone={someone()}>
      <JobProvider initial={snapshot}>
        <KitStage items={[]} components={[]} />
      </JobProvider>
    </Shell>,
  );
const rest = {
  ...aPart(anItem('rest', {}, { priceCents: 12900 }), 'rest'),
  arrivesDay: null,
  orderedAt: null,
  arrivedAt: null,
  handedOver: false,
  short: [],
  build: null,
};

test('what was said to be brought along stands where parts are chosen', () => {
  const { unmount } = show(
    aSnapshot({ job: { alreadyOwn: ' release and a short bar ' }, rest: { bow: aBow() } }),
  );
  expect(screen.getByText('Said in Meet, they bring along:').parentElement).toHaveTextContent(
    'they bring along: release and a short bar',
  );
  unmount();
  show(aSnapshot({ job: { alreadyOwn: '  ' }, rest: { bow: aBow() } }));
  expect(screen.queryByText('Said in Meet, they bring along:')).toBeNull();
});

test('the one total says what it is made of; work only where the shop charges for it', () => {
  const { unmount } = show(
    aSnapshot({
      rest: {
        bow: aBow(),
        parts: [rest],
        shop: aShop({ quote: { ...QUOTE_TERMS, hourCents: 6000 } }),
      },
    }),
  );
  const made = document.querySelector('[data-part="made-of"]')!.textContent!.replace(/\s/g, ' ');
  const [, minutes] = /bench work € [\d ]+ for (\d+) min/.exec(made)!;
  // At a euro a minute the total is bow, parts and minutes.
  const total = document
    .querySelector('[data-part="head"] [data-text="big"]')!
    .textContent!.replace(/\D/g, '');
  expect(Number(total)).toBe(899 + 129 + Number(minutes));
  expect(made).toContain('Bow € 899 · parts € 129');
  expect(made).toContain('of it 19 % tax, €');
  unmount();
  show(aSnapshot({ rest: { bow: aBow(), parts: [rest] } }));
  expect(document.querySelector('[data-part="made-of"]')!.textContent).not.toContain('bench work');
});
