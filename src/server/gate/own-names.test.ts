import { nameOfHost, ownNames, reachedBy } from './own-names';

const address = (ip: string, internal = false) =>
  ({
    ...{ address: ip, internal, netmask: '', mac: '', cidr: null },
    ...(ip.includes(':') ? { family: 'IPv6', scopeid: 0 } : { family: 'IPv4' }),
  }) as never;
const machine = (changes: object = {}) => ({
  ...{ host: '127.0.0.1', names: '', hostname: 'Bank' },
  interfaces: {
    lo: [address('127.0.0.1', true)],
    eth0: [address('fd00::5'), address('fe80::1'), address('192.168.7.5')],
  },
  ...changes,
});

test('on the machine alone it is called by the names of the machine alone', () => {
  expect([...ownNames(machine())]).toEqual(['localhost', '127.0.0.1', '[::1]']);
});
test('on every address by each of them, by the machine’s name, and by what the shop names', () => {
  const names = ownNames(machine({ host: '0.0.0.0', names: ' Bogen.Example , ' }));
  expect([...names].slice(3)).toEqual([
    '192.168.7.5',
    '[fd00::5]',
    'bank',
    'bank.local',
    'bogen.example',
  ]);
  expect(reachedBy(machine())[0]).toBe('192.168.7.5');
});
test('on one address by that one', () => {
  expect(ownNames(machine({ host: '192.168.7.5' })).has('192.168.7.5')).toBe(true);
  expect(ownNames(machine({ host: '192.168.7.5' })).has('bank')).toBe(false);
});
test.each([
  ['localhost:3000', 'localhost'],
  ['LOCALHOST', 'localhost'],
  ['[::1]:3000', '[::1]'],
  ['192.168.7.5:80', '192.168.7.5'],
  ['bogen.example.', 'bogen.example'],
  ['', null],
  [undefined, null],
  ['a b', null],
  ['a@b', null],
  ['a:b', null],
  ['a:123456', null],
  ['localhost:3000/x', null],
])('%j is called %j', (header, name) => expect(nameOfHost(header)).toBe(name));
