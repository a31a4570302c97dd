import type { CalendarInput } from '@/core/calendar';
import { planPieces, type CalendarSaid } from './calendar';
import { readPieces, type FileRead } from './part-file';

const last = (said: Iterable<FileRead>) => [...said].at(-1)!;

describe('a file of parts, read in a thread', () => {
  test.each<[string, unknown, RegExp]>([
    ['no text', 7, /no text/],
    ['nothing in it', ' \n ', /empty/],
    ['far too long', 'x'.repeat(60_000_001), /larger than \d+ MB/],
    ['headers of nothing we know', 'a,b\n1,2\n', /./],
  ])('%s is refused with what is wrong', (_, text, says) => {
    const said = [...readPieces(text)];
    expect(said).toHaveLength(1);
    expect(said[0]).toMatchObject({ say: 'refused', message: expect.stringMatching(says) });
  });

  const HEADER =
    'id,slot,maker,model,hand,mass_g,price_eur,close_out_eur,stock,delivery_days,supplier,throat_mm,fits_inner_mm';
  const row = (i: number, mass = '0.58') =>
    `nock-${i},nock,Schilf,Nock ${i},both,${mass},0.6,,200,3,Nordufer Handel,8,5.2`;
  const nocks = (count: number, wrong: readonly number[] = []) =>
    [
      HEADER,
      ...Array.from({ length: count }, (_, i) => row(i, wrong.includes(i) ? 'heavy' : '0.58')),
    ].join('\n');

  test('says how far it is after every thousand rows, and what was read at the end', () => {
    const said = [...readPieces(nocks(2500))];
    expect(said.flatMap((one) => (one.say === 'progress' ? [one.done] : []))).toEqual([
      1000, 2000, 2500,
    ]);
    const read = last(said) as Extract<FileRead, { say: 'read' }>;
    expect([read.say, read.kind, read.parts.length, read.faultCount]).toEqual([
      'read',
      'nock',
      2500,
      0,
    ]);
  });
  test('a row that cannot be read is named by its line, the others are read', () => {
    const read = last(readPieces(nocks(1200, [3, 1100]))) as Extract<FileRead, { say: 'read' }>;
    expect([read.parts.length, read.faultCount]).toEqual([1198, 2]);
    // Line 1 is the header.
    expect(read.faults.map(({ line, column }) => [line, column])).toEqual([
      [5, 'mass_g'],
      [1102, 'mass_g'],
    ]);
  });
  test('of very many faults all are counted and twenty told', () => {
    const every = Array.from({ length: 2600 }, (_, i) => i);
    const read = last(readPieces(nocks(2600, every))) as Extract<FileRead, { say: 'read' }>;
    expect([read.parts.length, read.faultCount, read.faults.length]).toEqual([0, 2600, 20]);
  });
});

describe('the calendar, planned in a thread', () => {
  const input: CalendarInput = {
    now: 540,
    stations: { counter: 1, vice: 1, press: 1, drawBoard: 1, lane: 1 },
    people: [{ name: 'T. Okoro', shifts: [{ from: 540, to: 1080 }] }],
    jobs: [
      {
        id: 'a',
        name: 'a',
        weight: 1,
        due: 600,
        appointment: null,
        visits: [
          {
            id: 'v',
            station: 'vice',
            archer: false,
            minutes: 90,
            steps: 1,
            release: 0,
            pinnedAt: null,
          },
        ],
      },
    ],
  };
  test.each([null, 'plan', { jobs: 1 }, { jobs: [], people: [] }])(
    '%p is nothing to plan',
    (data) =>
      expect([...planPieces(data)]).toEqual([
        { say: 'refused', message: 'That is nothing to plan.' },
      ]),
  );
  test('ends with a plan and with what would help the job that stays late', () => {
    const said = [...planPieces(input)];
    const end = said.at(-1) as Extract<CalendarSaid, { say: 'plan' }>;
    expect(end.say).toBe('plan');
    // Ninety minutes from nine o'clock end at half past ten; it was promised for ten.
    expect(end.plan.visits).toMatchObject([{ jobId: 'a', from: 540, to: 630 }]);
    expect(end.plan.late.map(({ jobId }) => jobId)).toEqual(['a']);
    expect(end.remedies.map(({ jobId }) => jobId)).toEqual(['a']);
  });
  test('the same jobs are planned the same', () =>
    expect([...planPieces(input)]).toEqual([...planPieces(input)]));
});
