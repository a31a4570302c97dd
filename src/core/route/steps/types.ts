import type { Slot } from '../../kit';
import type { BuildContext } from '../context';
import type { SchoolName } from '../schools';
import type { SetupKey, Stage } from '../types';
import type { Fasten } from './fasten';

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

/** A piece of work at one station; done when its readings exist, hold and are in tolerance. */
export interface StepTemplate {
  readonly id: string;
  readonly title: string;
  /** What to do, in the order of the hands. */
  readonly say: (context: BuildContext) => string;
  readonly stage: Extract<Stage, 'bow' | 'bench' | 'lane' | 'handover'>;
  readonly station: Station;
  readonly archer: boolean;
  readonly tool: string;
  readonly minutes: number;
  readonly reads: readonly SetupKey[];
  /** Steps that must be done before, where they belong to the job. */
  readonly needs: readonly string[];
  readonly applies: (context: BuildContext) => boolean;
  readonly watch?: readonly string[];
  /** Has to stand so long before what needs it goes on: glue dries. */
  readonly dryMinutes?: number;
  /** Its screws: which key, how tight. */
  readonly fasten?: Fasten;
  /** Parts of the kit that must lie ready. */
  readonly uses?: readonly Slot[];
  /** The school that decides how it is done. */
  readonly school?: SchoolName;
  /** Added by the shop, not shipped with the app. */
  readonly own?: true;
}

export const stationName = (id: string): string =>
  STATIONS.find((station) => station.id === id)?.name ?? id;
