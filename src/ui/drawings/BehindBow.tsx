import { bowOutline, type BowShape, type Hand } from '@/core/bow';

/** The bow from behind, as the archer has it: our own lines from its own measures. */
export function BehindBow({ shape, hand }: { shape: BowShape; hand: Hand }) {
  const { pocketY: u, cams } = bowOutline(shape);
  const half = shape.axleToAxleMm / 2;
  // The window is cut beside the arrow; above the shelf the riser stands away from it.
  const s = hand === 'right' ? 1 : -1;
  const x = (mm: number) => s * mm;
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={4} strokeLinejoin="round">
      <path
        d={`M${x(-15)} ${-u}L${x(15)} ${-u}L${x(22)} ${-0.6 * u}L${x(22)} ${-0.1 * u}L${x(14)} ${0.02 * u}L${x(13)} ${0.34 * u}L${x(15)} ${u}L${x(-15)} ${u}L${x(-13)} ${0.34 * u}L${x(-14)} ${-0.02 * u}L${x(8)} ${-0.1 * u}L${x(8)} ${-0.56 * u}Z`}
      />
      <path d={`M-12 4V${0.33 * u}H12V4Z`} fill="var(--rule)" />
      {[-1, 1].map((end) => (
        <g key={end}>
          <path d={`M-19 ${end * (u - 16)}L-17 ${end * half}H17L19 ${end * (u - 16)}Z`} />
          <path d={`M-4 ${end * (half - 46)}h8v92h-8z`} fill="var(--paper)" />
        </g>
      ))}
      <path d={`M0 ${cams[0]!.axle.y}V${cams[1]!.axle.y}`} strokeWidth={3} />
      <path d={`M${x(4)} ${-half + 20}L${x(30)} 0L${x(4)} ${half - 20}`} strokeWidth={2} />
    </g>
  );
}
