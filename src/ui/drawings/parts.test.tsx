import { render } from '@testing-library/react';
import { demoCatalogue } from '../../../demo/load-csv';
import type { AnyPart } from '@/core/kit';
import { PartDrawing } from './PartDrawing';

const drawn = (part: AnyPart) => render(<PartDrawing part={part} />).container.innerHTML;
const of = (id: string) => demoCatalogue().find((part) => part.id === id)!;

describe('parts drawn from what is known of them', () => {
  test.each(demoCatalogue().map((part) => [part.id, part] as const))(
    '%s has a drawing',
    (_, part) => {
      const html = drawn(part);
      expect(html).toMatch(/<(path|circle|rect|ellipse)/);
      expect(html).not.toMatch(/NaN|undefined|Infinity/);
    },
  );
  test('a sight shows its pins, a slide its scale', () => {
    const pins = (id: string) => (drawn(of(id)).match(/r="1.1"/g) ?? []).length;
    expect([pins('sight-einton'), pins('sight-dreiklang'), pins('sight-funfklang')]).toEqual([
      1, 3, 5,
    ]);
    expect(drawn(of('sight-einton'))).not.toBe(drawn(of('sight-kimme')));
  });
  test('a longer bar is drawn longer, a wider hole wider', () => {
    expect(drawn(of('stabiliser-stab-30'))).not.toBe(drawn(of('stabiliser-stab-6')));
    expect(drawn(of('peep-rund-1-8'))).not.toBe(drawn(of('peep-rund-5-16')));
  });
});
