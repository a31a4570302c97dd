import { post } from './post';

const answers = (...all: readonly (readonly [number, unknown])[]) => {
  const left = [...all];
  const asked: unknown[] = [];
  global.fetch = ((_: string, { body }: { body: string }) => {
    asked.push(JSON.parse(body));
    const [status, said] = left.shift()!;
    return Promise.resolve({
      ok: status < 400,
      status,
      json: () => Promise.resolve(said),
    });
  }) as unknown as typeof fetch;
  return asked;
};
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** Waits as long as it likes. */
async function patiently<T>(work: Promise<T>): Promise<T> {
  let over = false;
  void work.then(() => (over = true));
  while (!over) await jest.advanceTimersByTimeAsync(500);
  return work;
}

test.each([429, 503])(
  'what was too much just now (%i) is sent again when it says',
  async (status) => {
    const asked = answers([status, { retryAfterS: 2 }], [200, { saved: true }]);
    const sent = post('/x', { key: 'k' });
    await jest.advanceTimersByTimeAsync(1900);
    expect(asked).toHaveLength(1);
    expect(await patiently(sent)).toEqual({ ok: true, body: { saved: true } });
    // The same entry with the same key: sent twice it counts once.
    expect(asked).toEqual([{ key: 'k' }, { key: 'k' }]);
  },
);

test('it gives up after a while and says why', async () => {
  const asked = answers(...Array(9).fill([503, { retryAfterS: 1, detail: 'Another program' }]));
  expect(await patiently(post('/x', {}))).toMatchObject({
    ok: false,
    status: 503,
    message: 'Another program',
  });
  expect(asked).toHaveLength(4);
});

test.each([
  ['a refusal', 422, { detail: 'no' }],
  ['a sick file', 503, { detail: 'The disk is full' }],
  ['a long wait', 429, { detail: 'later', retryAfterS: 60 }],
])('%s is told at once', async (_, status, said) => {
  const asked = answers([status, said]);
  expect(await post('/x', {})).toMatchObject({ ok: false, message: said.detail });
  expect(asked).toHaveLength(1);
});
