/** Binary heap: what has the least value comes out first. */
export class Heap<T> {
  private readonly items: T[] = [];
  constructor(private readonly valueOf: (item: T) => number) {}

  push(item: T): void {
    const { items, valueOf } = this;
    const value = valueOf(item);
    let i = items.length;
    items.push(item);
    while (i > 0) {
      const parent = (i - 1) >> 1;
      if (valueOf(items[parent]!) <= value) break;
      items[i] = items[parent]!;
      i = parent;
    }
    items[i] = item;
  }

  /** Null once it is empty. */
  pop(): T | null {
    const { items, valueOf } = this;
    const top = items[0];
    if (top === undefined) return null;
    const last = items.pop()!;
    if (items.length === 0) return top;
    const value = valueOf(last);
    let i = 0;
    for (;;) {
      let child = 2 * i + 1;
      if (child >= items.length) break;
      if (child + 1 < items.length && valueOf(items[child + 1]!) < valueOf(items[child]!)) child++;
      if (valueOf(items[child]!) >= value) break;
      items[i] = items[child]!;
      i = child;
    }
    items[i] = last;
    return top;
  }
}
