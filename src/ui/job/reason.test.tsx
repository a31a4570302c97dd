import { fireEvent, render, screen } from '@testing-library/react';
import { aShop, aSnapshot, someone } from '@/core/testing/fixtures';
import { Shell } from '../frame/Shell';
import { JobProvider } from './JobProvider';
import { ReasonPanel } from './ReasonPanel';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: jest.fn() }),
  useParams: () => ({ id: 'job-1' }),
  usePathname: () => '/jobs/job-1/bench',
  useSearchParams: () => new URLSearchParams(),
}));
beforeEach(() => sessionStorage.clear());

/** The window as it is opened to sign a step of a job off; what stands in its field. */
function opened(jobId: string, step: string) {
  const { unmount } = render(
    <Shell shop={aShop()} someone={someone('T. Okoro')}>
      <JobProvider initial={aSnapshot({ job: { id: jobId } })}>
        <ReasonPanel
          title="Sign it off"
          text={step}
          action="Sign"
          onReason={async () => null}
          onClose={() => undefined}
        />
      </JobProvider>
    </Shell>,
  );
  const field = screen.getByLabelText<HTMLInputElement>(/why/i);
  return { field, close: unmount };
}

test('a reason that was typed and not given stands there again, for this step of this job alone', () => {
  const first = opened('job-1', 'Set the rest');
  fireEvent.change(first.field, { target: { value: 'the rest is hers' } });
  first.close();
  const seen = (
    [
      ['job-1', 'Set the rest'],
      ['job-1', 'Set the nock height'],
      ['job-2', 'Set the rest'],
    ] as const
  ).map(([jobId, step]) => {
    const { field, close } = opened(jobId, step);
    const { value } = field;
    close();
    return value;
  });
  expect(seen).toEqual(['the rest is hers', '', '']);
});
