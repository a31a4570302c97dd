import { networkInterfaces } from 'node:os';
import { tabletAddress } from './tablet-address';

jest.mock('node:os', () => ({
  ...jest.requireActual<object>('node:os'),
  networkInterfaces: jest.fn(),
}));
const lan = (address: string, internal = false) =>
  ({ address, family: 'IPv4', internal, netmask: '255.255.255.0', mac: '', cidr: null }) as const;
const OLD = { ...process.env };
beforeEach(() => {
  jest.mocked(networkInterfaces).mockReturnValue({
    lo: [lan('127.0.0.1', true)],
    eth0: [lan('192.168.7.20')],
  });
});
afterEach(() => {
  process.env = { ...OLD };
});
const at = (called: string, env: Record<string, string>) => {
  process.env = { ...OLD, ...env };
  return tabletAddress(called);
};

test.each<[string, string, Record<string, string>, string | null]>([
  [
    'by the name it was called by',
    'shop.local:3000',
    { HOST: '0.0.0.0' },
    'http://shop.local:3000',
  ],
  ['with TLS', 'shop.local', { HOST: '0.0.0.0', WAFFENRAD_CERT: 'a.pem' }, 'https://shop.local'],
  ['from its own machine', 'localhost:3000', { HOST: '0.0.0.0' }, 'http://192.168.7.20:3000'],
  [
    'from its own machine, another port',
    '[::1]:8080',
    { HOST: '0.0.0.0', PORT: '8080' },
    'http://192.168.7.20:8080',
  ],
  ['on this machine alone', 'localhost:3000', { HOST: '127.0.0.1' }, null],
])('%s', (_, called, env, wanted) => expect(at(called, env)).toBe(wanted));

test('a machine without a network is reached by nobody', () => {
  jest.mocked(networkInterfaces).mockReturnValue({ lo: [lan('127.0.0.1', true)] });
  expect(at('localhost:3000', { HOST: '0.0.0.0' })).toBeNull();
});
