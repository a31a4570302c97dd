export interface RouteStep {
  readonly id: string;
  readonly station: string;
  readonly archer: boolean;
  readonly needs: readonly string[];
}

export interface RouteInput {
  readonly steps: readonly RouteStep[];
  /** Station one stands at to begin with; nowhere when absent. */
  readonly start?: string;
  /** The archer is there to begin with. */
  readonly startArcher?: boolean;
  /** Paid on entering a station. */
  readonly changeCost: Readonly<Record<string, number>>;
  /** Paid when the archer is called to a step while not there. */
  readonly archerCallCost: number;
}

export interface Visit {
  readonly station: string;
  readonly archer: boolean;
  readonly steps: readonly string[];
}

export interface RouteResult {
  readonly order: readonly string[];
  readonly cost: number;
  readonly visits: readonly Visit[];
}
