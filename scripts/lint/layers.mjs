/**
 * The house's one ordered list: whoever stands further down may import what stands above, never the
 * other way. What stands in one row does not know its neighbours. The lint's zones are made from it.
 */

/** Areas of `src/core`. */
export const CORE = [
  ['outcome.ts'],
  ['people'],
  ['units', 'numerics'],
  ['bow', 'flight'],
  ['arrow', 'fit', 'tuning', 'balance', 'hold'],
  ['kit'],
  ['setup'],
  ['ripple', 'steady'],
  ['bench'],
  ['route', 'calendar'],
  ['job'],
  ['quote', 'entries'],
  ['sheet'],
  ['twin', 'elsewhere', 'erase'],
];

/** Layers of `src`. The interface reaches data and server through `app` alone. */
export const LAYERS = [
  { name: 'core', may: [] },
  { name: 'contracts', may: ['core'] },
  { name: 'data', may: ['core', 'contracts'] },
  { name: 'devices', may: ['core', 'contracts'] },
  { name: 'workers', may: ['core', 'contracts'] },
  { name: 'server', may: ['core', 'contracts', 'data', 'devices'], testsMay: ['workers'] },
  { name: 'ui', may: ['core', 'contracts', 'workers'] },
  { name: 'app', may: ['core', 'contracts', 'server', 'ui'] },
];

/** Areas of `src/ui`. */
export const UI = [
  ['words', 'theme'],
  ['pieces'],
  ['keep'],
  ['fields', 'drawings', 'charts'],
  ['door'],
  ['frame'],
  ['job'],
  ['parts', 'quote', 'calendar'],
  ['shop', 'stages', 'orders', 'today', 'delivered', 'sheet', 'code', 'people', 'archers'],
  ['first'],
];

const beside = (rows, path) =>
  rows.flatMap((row, i) =>
    row.flatMap((area) => {
      const from = rows
        .slice(i)
        .flat()
        .filter((other) => other !== area)
        .map((other) => `./src/${path}/${other}`);
      return from.length === 0
        ? []
        : [
            {
              target: `./src/${path}/${area}`,
              from,
              message: `${path}/${area} stands above it in scripts/lint/layers.mjs: what both need lies below both.`,
            },
          ];
    }),
  );

const layers = (inTests) =>
  LAYERS.map(({ name, may, testsMay = [] }) => ({
    target: `./src/${name}`,
    from: LAYERS.map((layer) => layer.name)
      .filter((other) => other !== name && !may.includes(other))
      .filter((other) => !(inTests && testsMay.includes(other)))
      .map((other) => `./src/${other}`),
    message: `${name} may import ${may.length === 0 ? 'nothing but itself' : may.join(', ')}.`,
  }));

export const layerZones = layers(false);
/** What a test may look at besides: the other half of the work it tests. */
export const layerZonesOfTests = layers(true);

/** Between the areas of core and of the interface. A test may look at the whole of its layer. */
export const areaZones = [...beside(CORE, 'core'), ...beside(UI, 'ui')];

/** Made-up jobs and worked cases are the tests' own. */
export const testingZone = {
  target: './src',
  from: ['./src/core/testing', './src/server/testing', './src/ui/testing'],
  message: 'Fixtures are for tests.',
};
