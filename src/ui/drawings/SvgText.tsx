import { FRACTION_SHAPE, fractionRuns } from '@/core/units';

const { digits, raise, drop, kern, gap } = FRACTION_SHAPE;
/** Steps are in em of the piece that makes them. */
const small = (em: number) => `${(em / digits).toFixed(3)}em`;

/** Text inside an SVG, its fractions set as everywhere else. */
export const SvgText = ({ text }: { text: string }) =>
  fractionRuns(text).map((run, i) =>
    run.kind === 'words' ? (
      run.text
    ) : (
      <tspan key={i}>
        {run.whole}
        {/* Read it is a space, drawn it is the gap: a face's space is a quarter of an em. */}
        {run.whole && <tspan fontSize={`${gap * 4}em`}> </tspan>}
        <tspan dy={small(-raise)} fontSize={`${digits}em`}>
          {run.numerator}
        </tspan>
        <tspan dx={`${-kern}em`} dy={`${raise}em`}>
          /
        </tspan>
        <tspan dx={small(-kern)} dy={small(drop)} fontSize={`${digits}em`}>
          {run.denominator}
        </tspan>
        {/* Back to the line for what follows. */}
        <tspan dy={`${-drop}em`}>{'\u200b'}</tspan>
      </tspan>
    ),
  );
