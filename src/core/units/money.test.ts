import { plainMoney, readMoney, writeMoney } from './money';

describe('money', () => {
  test.each([
    ['900', 90000],
    ['€ 900', 90000],
    ['€900', 90000],
    ['899,50', 89950],
    ['899.5 €', 89950],
    ['12.50', 1250],
    ['1 250', 125000],
    ['1 200', 120000],
    ['1\u00a0200', 120000],
    ['1\u202f200,05', 120005],
    ['1’250', 125000],
    ["12'400", 1240000],
    ['1,200.00', 120000],
    ['1.200,00', 120000],
    ['1.250,00 €', 125000],
    ['12.345,6', 1234560],
    ['€ 1 200,50', 120050],
    ['899,-', 89900],
    ['899.–', 89900],
    ['1.200,-', 120000],
    ['1 200,—', 120000],
    // No amount has a tenth of a cent, so this is no decimal.
    ['1.255', 125500],
    ['0', 0],
    ['0,5', 50],
    ['12 euro', 1200],
    ['EUR 12', 1200],
  ])('%s is %i cents', (text, cents) => expect(readMoney(text)).toEqual({ ok: true, cents }));

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['€', 'empty'],
    ['lots', 'notANumber'],
    ['-5', 'tooSmall'],
    ['−5,50 €', 'tooSmall'],
    ['12.345.6', 'notANumber'],
    ['1 2', 'notANumber'],
    ['12€50', 'notANumber'],
    ['0,500', 'notANumber'],
    ['0.500', 'notANumber'],
    ['1,2,3', 'notANumber'],
    ['1.200.00', 'notANumber'],
    ['1,200,50.10', 'notANumber'],
    ['.50', 'notANumber'],
    ['12.', 'notANumber'],
    ['1e3', 'notANumber'],
    ['NaN', 'notANumber'],
    ['Infinity', 'notANumber'],
    ['99999999', 'tooLarge'],
  ])('“%s” is refused: %s', (text, code) =>
    expect(readMoney(text, { what: 'budget' })).toMatchObject({ ok: false, code }),
  );

  test.each([
    ['1.250', 125000, 125],
    ['1,250', 125000, 125],
    ['10.900 €', 1090000, 1090],
  ])('“%s” can be two amounts, and both are offered', (text, large, small) => {
    const answer = readMoney(text);
    expect(answer).toMatchObject({ ok: false, code: 'ambiguous', readings: [large, small] });
    if (answer.ok) throw new Error();
    // Written as the message says, each is taken.
    const [, one, other] = /Write (\S+) or (\S+)\.$/.exec(answer.message)!;
    expect([readMoney(one!), readMoney(other!)]).toEqual([
      { ok: true, cents: large },
      { ok: true, cents: small },
    ]);
  });

  test('what is written is read again, on the screen and in a file', () => {
    for (let cents = 0; cents <= 10_000_000; cents += 37) {
      const wanted = JSON.stringify({ ok: true, cents });
      for (const text of [writeMoney(cents), plainMoney(cents)])
        if (JSON.stringify(readMoney(text)) !== wanted) throw new Error(`${text}: ${cents}`);
    }
  });

  test('whatever is typed is whole cents in range or a sentence, never NaN', () => {
    const letters = '0123456789.,-€ ’e';
    let state = 7;
    const next = (below: number) =>
      Math.floor(((state = (state * 48271) % 2147483647) / 2147483647) * below);
    let taken = 0;
    for (let i = 0; i < 30_000; i++) {
      const text = Array.from({ length: next(11) }, () => letters[next(letters.length)]).join('');
      const answer = readMoney(text, { maxCents: 500_000 });
      if (answer.ok) {
        taken++;
        const { cents } = answer;
        if (!Number.isInteger(cents) || cents < 0 || cents > 500_000) throw new Error(text);
      } else if (/NaN|undefined/.test(answer.message)) throw new Error(answer.message);
    }
    expect(taken).toBeGreaterThan(1000);
  });

  test('is written with cents only where there are any', () => {
    expect(writeMoney(90000)).toBe('€\u00a0900');
    expect(writeMoney(89950)).toBe('€\u00a0899.50');
    expect(writeMoney(123456700)).toBe('€\u00a01\u00a0234\u00a0567');
    expect(writeMoney(-500)).toBe('−€\u00a05');
  });
});
