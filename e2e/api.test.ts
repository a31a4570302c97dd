import { examples, expectAgrees } from '@/core/testing/examples';
import { TestShop } from './shop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open('empty');
});
beforeEach(() => shop.testBegins());
afterEach(() => shop.testEnds());
afterAll(() => shop.close());

interface Operation {
  readonly operationId: string;
  readonly requestBody: { readonly content: Record<string, { readonly schema: object }> };
  readonly responses: Record<string, { readonly content: object }>;
}

const NAMES = [
  'draw-length',
  'limb-bolts',
  'launch-speed',
  'draw-weight',
  'draw-force',
  'draw-off',
  'cam-timing',
  'arrow',
  'kit',
  'sight-marks',
  'sight-fit',
  'paper-tune',
  'group',
  'balance',
  'hang-centre',
  'reaction',
  'bar-choice',
  'hold-trace',
  'hold-compare',
  'route',
];

describe('the compute interface over HTTP', () => {
  const cases = NAMES.flatMap((name) =>
    examples(name).map((example) => [`${name}: ${example.title}`, name, example] as const),
  );
  test.each(cases)('%s', async (_, name, { request, response, tolerance }) => {
    const answer = await shop.send(`/api/v1/compute/${name}`, request);
    expect([answer.status, answer.type]).toEqual([200, 'application/json']);
    expectAgrees(answer.body, response, tolerance);
  });

  test('a refusal of the model is 422 with its reason and field', async () => {
    const answer = await shop.send('/api/v1/compute/limb-bolts', {
      maxPeakN: 267,
      minPeakN: 178,
      maxTurns: 8,
      readings: [{ turns: 9, peakN: 150 }],
      targetN: 200,
    });
    expect([answer.status, answer.type]).toEqual([422, 'application/problem+json']);
    expect(answer.body).toMatchObject({
      type: 'urn:waffenrad:problem:past-turn-limit',
      errors: [{ pointer: '/readings/0/turns' }],
    });
  });

  test('OpenAPI 3.1 describes every calculation, with both kinds of refusal', async () => {
    const api = await shop.get<{ openapi: string; paths: Record<string, { post: Operation }> }>(
      '/api/v1/openapi.json',
    );
    expect(api.openapi).toBe('3.1.0');
    expect(Object.keys(api.paths)).toEqual(NAMES.map((name) => `/api/v1/compute/${name}`));
    for (const { post } of Object.values(api.paths)) {
      expect(NAMES).toContain(post.operationId);
      expect(post.requestBody.content['application/json']!.schema).toHaveProperty('properties');
      expect(Object.keys(post.responses)).toEqual(['200', '400', '422']);
    }
  });

  test('nothing of it is kept by a cache', async () => {
    const response = await shop.ask(`/api/v1/openapi.json`);
    expect(response.headers.get('cache-control')).toBe('no-store');
  });
});

describe('jobs over HTTP', () => {
  test('are opened, changed, found and refused as on the screens', async () => {
    const made = await shop.send('/api/v1/jobs', {
      archer: { name: 'Runa Velde' },
      job: {},
    });
    expect(made.status).toBe(201);
    const { id, version } = (made.body as { job: { id: string; version: number } }).job;
    const taken = await shop.send(`/api/v1/jobs/${id}/commands`, {
      version,
      command: { name: 'takeReadings', readings: [{ key: 'armSpan', entered: '68 in' }] },
    });
    expect(taken.status).toBe(200);
    const late = await shop.send(`/api/v1/jobs/${id}/commands`, {
      version,
      command: { name: 'undo' },
    });
    expect([late.status, late.type]).toEqual([409, 'application/problem+json']);
    expect(late.body).toMatchObject({
      type: 'urn:waffenrad:problem:version-conflict',
      changed: [{ summary: 'Arm span: 68 in', who: 'T. Okoro' }],
    });
    expect(await shop.jobOf('velde')).toBe(id);
    const place = await shop.send(`/api/v1/jobs/${id}/place`, { place: 'cellar' }, 'PUT');
    expect(place.status).toBe(400);
  });
});

test('a method an address does not know is refused as a problem, with what it does', async () => {
  for (const [method, path, allow] of [
    ['DELETE', '/api/v1/jobs', 'POST'],
    ['GET', '/api/v1/compute/group', 'POST'],
    ['PATCH', '/api/v1/shop/parts/imports/x', 'GET, POST, DELETE'],
  ] as const) {
    const response = await shop.ask(path, { method });
    expect([path, response.status, response.headers.get('allow')]).toEqual([path, 405, allow]);
    expect(response.headers.get('content-type')).toBe('application/problem+json');
  }
});
