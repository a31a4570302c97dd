/** The views a value is measured in. */
export type HowView =
  | 'rest'
  | 'drawn'
  | 'behind'
  | 'above'
  | 'cam'
  | 'bolt'
  | 'knot'
  | 'housing'
  | 'scale'
  | 'paper'
  | 'gate'
  | 'target';

/** Where a value is measured, in one of the views: each is 220 wide and 150 high. */
export interface HowFigure {
  readonly view: HowView;
  /** Measured from here to there: x1, y1, x2, y2. */
  readonly dim?: readonly [number, number, number, number];
  /** Looked at here. */
  readonly spot?: readonly [number, number];
}

export const dim = (view: HowView, ...line: [number, number, number, number]): HowFigure => ({
  view,
  dim: line,
});
export const spot = (view: HowView, x: number, y: number): HowFigure => ({ view, spot: [x, y] });
