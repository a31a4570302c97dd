import { Problem } from './problem';

test('a problem of another bundle is one; other things are none', () => {
  let Other = Problem;
  jest.isolateModules(() => {
    ({ Problem: Other } = jest.requireActual<typeof import('./problem')>('./problem'));
  });
  expect(Other).not.toBe(Problem);
  expect(new Other(422, 'no', 'No')).toBeInstanceOf(Problem);
  for (const thing of [new Error('x'), null, undefined, 'x', { status: 422, reason: 'no' }])
    expect(thing instanceof Problem).toBe(false);
});
