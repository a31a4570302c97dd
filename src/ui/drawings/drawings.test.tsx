import { fireEvent, render, screen } from '@testing-library/react';
import { A_FIT, aBow } from '@/core/testing/fixtures';
import { drawLengthSteps } from '@/core/bow';
import { drawLength, drawWeight } from '@/core/fit';
import { weightTrials } from '@/core/job';
import { METRIC_UNITS, mm, newton, TRADE_UNITS } from '@/core/units';
import { BoltClocks } from './BoltClocks';
import { BowDrawing, type PartLook } from './BowDrawing';
import { DrawLengthRuler } from './DrawLengthRuler';
import { MarksTape } from './MarksTape';
import { PaperDrawing } from './PaperDrawing';
import { TargetDrawing } from './TargetDrawing';
import { WeightCurve } from './WeightCurve';

const text = (container: HTMLElement) =>
  container.textContent!.replace(/\u200b/g, '').replace(/\s+/g, ' ');
const sound = (container: HTMLElement) =>
  expect(container.innerHTML).not.toMatch(/NaN|Infinity|undefined/);

describe('the ruler of estimates', () => {
  const readings = [
    { method: 'armSpan' as const, valueMm: mm(1727) },
    { method: 'wallToMouth' as const, valueMm: mm(698) },
  ];
  const show = (changes: Partial<Parameters<typeof DrawLengthRuler>[0]> = {}) =>
    render(
      <DrawLengthRuler
        result={drawLength(readings)}
        stepsMm={drawLengthSteps(aBow())}
        moduleMm={698.5}
        shop={TRADE_UNITS}
        {...changes}
      />,
    ).container;

  test('names every method with its estimate, and the module', () => {
    const container = show();
    expect(text(container)).toContain('arm span 27 3/16 in');
    expect(text(container)).toContain('wall to mouth 27 1/2 in');
    expect(text(container)).toContain('module 27 1/2 in');
    sound(container);
  });
  test('without a reading it says what will be there', () => {
    const container = show({ result: null, moduleMm: null, stepsMm: [] });
    expect(text(container)).toContain('The first reading draws its estimate here');
    sound(container);
  });
  test('one furthest out is drawn broken', () => {
    const apart = drawLength([
      { method: 'armSpan', valueMm: mm(1500) },
      { method: 'wallToMouth', valueMm: mm(740) },
      { method: 'markedArrow', valueMm: mm(695.5) },
    ]);
    expect(show({ result: apart }).querySelector('[stroke-dasharray]')).not.toBeNull();
    expect(show().querySelector('[stroke-dasharray]')).toBeNull();
  });
  test('repeated readings are counted', () => {
    const twice = drawLength([...readings, readings[0]!]);
    expect(text(show({ result: twice }))).toContain('arm span ×2');
  });
  test('a metric shop sees millimetres', () => {
    const container = show({ shop: METRIC_UNITS });
    expect(text(container)).toContain('691 mm');
    sound(container);
  });
});

describe('the weight curve', () => {
  const trials = weightTrials(A_FIT, { hand: 'right' });
  const result = drawWeight({ priorMedianN: newton(200), trials });
  test('shows the start weight once a trial was made', () => {
    const { container } = render(
      <WeightCurve result={result} trials={trials} shop={TRADE_UNITS} startN={result.startN} />,
    );
    expect(text(container)).toMatch(/start weight \d+\.\d lb/);
    sound(container);
  });
  test('and none before', () => {
    const prior = drawWeight({ priorMedianN: newton(200), trials: [] });
    const { container } = render(
      <WeightCurve result={prior} trials={[]} shop={METRIC_UNITS} startN={null} />,
    );
    expect(text(container)).not.toContain('start weight');
    sound(container);
  });
});

describe('paper and target', () => {
  const tapAt = (element: Element, x: number, y: number) => {
    element.getBoundingClientRect = () => ({ left: 0, top: 0, width: 480, height: 480 }) as DOMRect;
    // jsdom's pointer events carry no place; a mouse event of that name does.
    fireEvent(element, new MouseEvent('pointerdown', { bubbles: true, clientX: x, clientY: y }));
  };
  test('a tap on the paper is a tear in millimetres, right and up from the point', () => {
    const onTap = jest.fn();
    render(<PaperDrawing nock={null} onTap={onTap} />);
    tapAt(screen.getByRole('img'), 340, 190);
    const [tear] = onTap.mock.calls[0]!;
    expect(tear.rightMm).toBeCloseTo(20, 6);
    expect(tear.upMm).toBeCloseTo(10, 6);
  });
  test('a small paper is looked at, not tapped', () => {
    render(<PaperDrawing nock={{ rightMm: 3, upMm: -4 }} small />);
    expect(() => tapAt(screen.getByRole('img'), 1, 1)).not.toThrow();
  });
  test('the paper before is shown pale until there is a new one', () => {
    const { container, rerender } = render(
      <PaperDrawing nock={null} last={{ rightMm: 9, upMm: 0 }} />,
    );
    expect(text(container)).toContain('the last paper');
    rerender(<PaperDrawing nock={{ rightMm: 1, upMm: 0 }} last={{ rightMm: 9, upMm: 0 }} />);
    expect(text(container)).not.toContain('the last paper');
  });
  test('a tap on the target is a hit in whole millimetres', () => {
    const onTap = jest.fn();
    render(<TargetDrawing halfMm={300} hits={[]} centre={null} onTap={onTap} />);
    tapAt(screen.getByRole('img'), 120, 360);
    expect(onTap).toHaveBeenCalledWith({ rightMm: -150, upMm: -150 });
  });
  test('hits and their middle are drawn', () => {
    const hits = [
      { rightMm: mm(10), upMm: mm(0) },
      { rightMm: mm(-10), upMm: mm(4) },
    ];
    const { container } = render(
      <TargetDrawing
        halfMm={300}
        hits={hits}
        centre={{ rightMm: mm(0), upMm: mm(2) }}
        onTap={jest.fn()}
      />,
    );
    expect(container.querySelectorAll('circle[stroke="var(--sheet)"]')).toHaveLength(2);
    sound(container);
  });
});

describe('clocks, tape, bow', () => {
  test('the bolts’ clocks carry the hard stop', () => {
    const { container } = render(<BoltClocks upper={2.25} lower={0} goal={5} limit={8} />);
    expect(text(container)).toContain('upper');
    expect(container.querySelectorAll('[stroke="var(--brick)"]')).toHaveLength(2);
    sound(container);
  });
  test('marks stand apart on the tape though their pins are close', () => {
    const marks = [0, 0.4, 0.9].map((dropMm, i) => ({ text: `${10 + i * 5} m`, dropMm }));
    const { container } = render(<MarksTape marks={marks} />);
    const ys = [...container.querySelectorAll('text')].map((node) =>
      Number(node.getAttribute('y')),
    );
    expect(ys[1]! - ys[0]!).toBeGreaterThanOrEqual(17);
    expect(ys[2]! - ys[1]!).toBeGreaterThanOrEqual(17);
  });
  test.each(['planned', 'fitted', 'measured', 'again'] as PartLook[])(
    'a bow whose parts are all %s',
    (look) => {
      const { container } = render(
        <svg>
          <BowDrawing
            shape={aBow()}
            looks={{
              rest: look,
              sight: look,
              peep: look,
              nock: look,
              bar: look,
              quiver: look,
              cams: look,
              arrow: look,
              string: look,
              cord: look,
            }}
          />
        </svg>,
      );
      sound(container);
      // Told by the line, not by colour alone: only what is to do again is broken.
      expect(container.querySelector('[stroke-dasharray="9 6"]') !== null).toBe(look === 'again');
    },
  );
});
