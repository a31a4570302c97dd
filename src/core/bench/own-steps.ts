import type { Slot } from '../kit';
import type { OwnKey, SetupKey } from '../setup';
import type { Station } from './stations';

/** A shipped step as this shop does it; what is left out stays as shipped. */
export interface StepEdit {
  readonly id: string;
  /** Not done in this shop. */
  readonly off?: boolean;
  readonly title?: string;
  readonly say?: string;
  readonly tool?: string;
  readonly minutes?: number;
  readonly station?: Station;
  /** Steps it needs besides those it is shipped with. */
  readonly needs?: readonly string[];
}

/** A step the shop added: a tick of its own. */
export interface OwnStep {
  /** Lower case letters, digits and hyphens; its tick is kept under it. */
  readonly id: string;
  readonly title: string;
  readonly say: string;
  readonly station: Station;
  readonly archer: boolean;
  readonly tool: string;
  readonly minutes: number;
  readonly needs: readonly string[];
  /** Shipped steps that are not done before it. */
  readonly before: readonly string[];
  /** Only where the job has a part in this place; null for every job. */
  readonly slot: Slot | null;
  /** Values that, changed later, ask for it again. */
  readonly dependsOn: readonly SetupKey[];
}

/** What a step uses up of the shelf whenever a bow is handed over on which it was done. */
export interface StepUse {
  readonly stepId: string;
  readonly partId: string;
  /** Bows one piece is enough for. */
  readonly lasts: number;
}

export interface ShopSteps {
  readonly edits: readonly StepEdit[];
  readonly own: readonly OwnStep[];
  /** Absent in settings of before. */
  readonly uses?: readonly StepUse[];
}

export const NO_SHOP_STEPS: ShopSteps = { edits: [], own: [] };

export const ownKey = (id: string): OwnKey => `own:${id}`;
