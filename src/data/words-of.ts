import { slotName, type AnyPart } from '@/core/kit';

/** Everything a part may be asked for by: its names, its kind, and its attributes as words. */
export function wordsOf(item: AnyPart): string {
  const attrs = Object.entries(item.attrs).flatMap(([name, value]) =>
    value === null || value === false || value === ''
      ? []
      : value === true
        ? [spaced(name)]
        : [`${spaced(name)} ${[value].flat().map(String).map(spaced).join(' ')}`],
  );
  const hand = item.hand === 'both' ? '' : `${item.hand} hand`;
  return [slotName(item.slot), item.id, item.maker, item.model, hand, item.supplier, ...attrs]
    .filter(Boolean)
    .join(' ');
}

const spaced = (name: string) =>
  name.replace(/Mm$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
