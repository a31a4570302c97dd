export type Station = 'counter' | 'vice' | 'press' | 'drawBoard' | 'lane';

export const STATIONS: readonly {
  readonly id: Station;
  readonly name: string;
  readonly changeCost: number;
  /** How many a small shop has. */
  readonly usual: number;
}[] = [
  { id: 'counter', name: 'Counter', changeCost: 2, usual: 2 },
  { id: 'vice', name: 'Vice', changeCost: 2, usual: 2 },
  { id: 'press', name: 'Press', changeCost: 6, usual: 1 },
  { id: 'drawBoard', name: 'Draw board', changeCost: 4, usual: 1 },
  { id: 'lane', name: 'Lane', changeCost: 5, usual: 1 },
];
/** What a small shop has of each. */
export const USUAL_STATIONS = Object.fromEntries(
  STATIONS.map(({ id, usual }) => [id, usual]),
) as Readonly<Record<Station, number>>;

export const ARCHER_CALL_COST = 8;

export const stationName = (id: string): string =>
  STATIONS.find((station) => station.id === id)?.name ?? id;
