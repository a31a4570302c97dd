import type { Slot } from '../../kit';
import type { BuildContext } from '../build-context';
import type { SchoolName, SetupKey, Stage } from '../../setup';
import type { Fasten } from './fasten';
import type { Station } from '../stations';

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
