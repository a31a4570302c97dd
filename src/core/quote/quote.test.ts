import { aBow, aFinishedJob, anItem, aPart, aShop, aSnapshot } from '../testing/fixtures';
import { derive, QUOTE_TERMS, type JobPart, type JobSnapshot } from '../job';
import { heldTax, jobTotal, makeQuote, quoteChanges } from '.';

const STAMP = { revision: 1, madeAt: '2026-11-24T10:00:00Z', madeDay: '2026-11-24', madeBy: 'T.' };
const job = (part: JobPart): JobPart => part;
const waits = {
  arrivesDay: null,
  orderedAt: null,
  arrivedAt: null,
  handedOver: false,
  short: [],
  build: null,
};
const rest = job({ ...aPart(anItem('rest', {}, { priceCents: 12900 }), 'rest'), ...waits });
const cleared = job({
  ...aPart(anItem('sight', {}, { priceCents: 14900, closeOutCents: 11900 }), 'sight'),
  ...waits,
  priceCents: 11900,
});
const own = job({ ...aPart(null, 'quiver', { owned: true, label: 'old quiver' }), ...waits });
const late = job({ ...aPart(anItem('case'), 'case'), ...waits, arrivesDay: '2026-12-03' });

const quoteOf = (
  parts: readonly JobPart[],
  terms = QUOTE_TERMS,
  more: Partial<JobSnapshot> = {},
) => {
  const snapshot = aSnapshot({ rest: { parts, shop: aShop({ quote: terms }), ...more } });
  return makeQuote(snapshot, derive(snapshot), STAMP);
};

describe('a quote', () => {
  test('bow and parts at their prices, close-outs with the usual one, moved parts at nothing', () => {
    const { lines, totalCents } = quoteOf([rest, cleared, own, late], QUOTE_TERMS, { bow: aBow() });
    expect(
      lines.map(({ kind, name, cents, usualCents }) => [kind, name, cents, usualCents]),
    ).toEqual([
      ['bow', 'Testhav Probe 31', 89900, null],
      ['part', 'Prüfwerk rest one', 12900, null],
      ['part', 'Prüfwerk sight one', 11900, 14900],
      ['moved', 'old quiver', 0, null],
      ['part', 'Prüfwerk case one', 10000, null],
    ]);
    expect(lines.at(-1)!.arrivesDay).toBe('2026-12-03');
    expect(totalCents).toBe(89900 + 12900 + 11900 + 10000);
  });

  test('a close-out that is not below the usual price names none', () => {
    const dear = job({
      ...aPart(anItem('sight', {}, { priceCents: 14900, closeOutCents: 14900 }), 'sight'),
      ...waits,
      priceCents: 14900,
    });
    const [, line] = quoteOf([dear], QUOTE_TERMS, { bow: aBow() }).lines;
    expect([line!.name, line!.cents, line!.usualCents]).toEqual([
      'Prüfwerk sight one',
      14900,
      null,
    ]);
  });

  test.each([
    [11900, 19, 1900],
    [10700, 7, 700],
    [12345, 0, 0],
    [1, 19, 0],
    [0, 19, 0],
  ])('%d cents hold at %d %% a tax of %d', (cents, pct, tax) =>
    expect(heldTax(cents, pct)).toBe(tax),
  );

  test('the work is rounded once, on the sum: no step’s third of a cent is lost or won', () => {
    // Of 34 steps each rounded by itself 31 would be up to half a cent off, all in one direction.
    for (const hourCents of [4799, 4801, 5000, 6137, 1]) {
      const snapshot = aSnapshot({
        rest: { bow: aBow(), parts: [rest], shop: aShop({ quote: { ...QUOTE_TERMS, hourCents } }) },
      });
      const derived = derive(snapshot);
      const work = makeQuote(snapshot, derived, STAMP).lines.filter((l) => l.kind === 'labour');
      const minutes = derived.plan.steps.reduce((sum, step) => sum + step.template.minutes, 0);
      expect(work.reduce((sum, { cents }) => sum + cents, 0)).toBe(
        Math.round((minutes / 60) * hourCents),
      );
      for (const line of work)
        expect(Math.abs(line.cents - (line.minutes! * hourCents) / 60)).toBeLessThanOrEqual(1);
    }
  });

  test('the one total of a job is what its quote comes to, by what it is made of', () => {
    const snapshot = aSnapshot({
      rest: {
        bow: aBow(),
        parts: [rest, cleared, own],
        shop: aShop({ quote: { ...QUOTE_TERMS, hourCents: 4800 } }),
      },
    });
    const derived = derive(snapshot);
    const total = jobTotal(snapshot, derived);
    const quote = makeQuote(snapshot, derived, STAMP);
    const minutes = derived.plan.steps.reduce((sum, step) => sum + step.template.minutes, 0);
    expect(total).toEqual({
      bowCents: 89900,
      partsCents: 12900 + 11900,
      workCents: minutes * 80,
      extraCents: 0,
      workMinutes: minutes,
      totalCents: quote.totalCents,
      taxCents: quote.taxCents,
      taxPct: 19,
    });
    const free = aSnapshot({ rest: { bow: aBow(), parts: [rest] } });
    expect(jobTotal(free, derive(free))).toMatchObject({ workCents: 0, totalCents: 102800 });
  });

  test('deposit and the last day it holds', () => {
    const terms = { ...QUOTE_TERMS, depositPct: 25, validDays: 10 };
    const quote = quoteOf([rest], terms, { bow: null });
    expect(quote).toMatchObject({
      totalCents: 12900,
      depositCents: 3225,
      taxCents: 2060,
      validUntil: '2026-12-04',
    });
  });

  test('the work by its steps, where the shop charges for it', () => {
    const snapshot = aFinishedJob();
    const charged = {
      ...snapshot,
      shop: { ...snapshot.shop, quote: { ...QUOTE_TERMS, hourCents: 6000 } },
    };
    const derived = derive(charged);
    const work = makeQuote(charged, derived, STAMP).lines.filter(({ kind }) => kind === 'labour');
    expect(work.length).toBe(derived.plan.steps.length);
    // A cent's hundredth a minute: the price is the minutes in euro.
    for (const { cents, minutes } of work) expect(cents).toBe(minutes! * 100);
    const free = makeQuote(snapshot, derive(snapshot), STAMP).lines;
    expect(free.some(({ kind }) => kind === 'labour')).toBe(false);
  });

  test('what changed since it was given is named', () => {
    const given = quoteOf([rest, own], QUOTE_TERMS, { bow: null });
    expect(quoteChanges(given, given)).toEqual([]);
    const dearer = { ...rest, priceCents: 13900 };
    expect(quoteChanges(given, quoteOf([dearer, cleared], QUOTE_TERMS, { bow: null }))).toEqual([
      'old quiver is gone',
      'Prüfwerk rest one has another price',
      'Prüfwerk sight one is new',
    ]);
  });
});
