import { refusalOf, rightsOf, ROLES, secretFault, waitAfter, type Right } from '.';

const OKORO = { name: 'T. Okoro', role: 'owner' } as const;
const LINDAUER = { name: 'M. Lindauer', role: 'technician' } as const;
const JAN = { name: 'Jan', role: 'learner' } as const;

test.each<[Right, string]>([
  ['look', 'owner technician counter learner'],
  ['enter', 'owner technician counter learner'],
  ['sign', 'owner technician'],
  ['price', 'owner technician counter'],
  ['stock', 'owner technician counter'],
  ['settings', 'owner'],
  ['people', 'owner'],
  ['export', 'owner'],
  ['restore', 'owner'],
  ['erase', 'owner'],
])('%s: %s', (right, who) =>
  expect(
    ROLES.filter(({ id }) => rightsOf(id).includes(right))
      .map(({ id }) => id)
      .join(' '),
  ).toBe(who),
);

test('a refusal says who can', () => {
  expect(refusalOf('sign', 'learner', [JAN, OKORO, LINDAUER])).toBe(
    'A learner may not sign off steps and hand bows over. T. Okoro (owner) or M. Lindauer (technician) can: change the person at the top, what is typed stays.',
  );
  expect(refusalOf('settings', 'counter', [JAN, LINDAUER])).toBe(
    'Who works at the counter may not change the shop’s settings. Nobody here may: the owner gives somebody the role.',
  );
  expect(refusalOf('stock', null, [OKORO])).toMatch(/^This program may not correct stock/);
});

test('of many who can, three are named', () => {
  const many = ['A', 'B', 'C', 'D'].map((name) => ({ name, role: 'owner' }) as const);
  expect(refusalOf('people', 'learner', many)).toContain('A (owner), B (owner) or C (owner) can');
});

test.each([
  [0, 0],
  [4, 0],
  [5, 60],
  [6, 120],
  [7, 240],
  [10, 1920],
  [11, 3600],
  [500, 3600],
])('after %i wrong tries the next waits %i s', (wrong, seconds) =>
  expect(waitAfter(wrong)).toBe(seconds),
);

test.each([
  ['2580', null],
  ['739164', null],
  ['a long way home', null],
  ['zwölf Möwen', null],
  ['123', 'A PIN has at least 4 digits.'],
  ['1111', 'The same digit all along is guessed first: take others.'],
  ['4567', 'Digits in a row are guessed first: take others.'],
  ['7654', 'Digits in a row are guessed first: take others.'],
  ['', 'A PIN of at least 4 digits, or a password of at least 8 signs.'],
  ['seven77', 'A PIN of at least 4 digits, or a password of at least 8 signs.'],
  ['12 34', 'A PIN of at least 4 digits, or a password of at least 8 signs.'],
  ['7'.repeat(101), 'At most 100 signs.'],
])('%j as a PIN or password: %j', (secret, fault) => expect(secretFault(secret)).toBe(fault));
