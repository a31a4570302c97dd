/** A page of Letter that notes what it is told to draw, in points; a letter is half as wide as it is high. */
export function aDocument() {
  const told: [string, ...unknown[]][] = [];
  let size = 10;
  const known: Record<string, unknown> = {
    page: { width: 612, height: 792 },
    widthOfString: (text: string) => (text.length * size) / 2,
    heightOfString: (text: string, { width }: { width: number }) =>
      size * Math.max(1, Math.ceil((text.length * size) / 2 / width)),
  };
  const doc: unknown = new Proxy(known, {
    get: (_, name: string) =>
      known[name] ??
      ((...args: unknown[]) => {
        if (name === 'fontSize') size = args[0] as number;
        told.push([name, ...args]);
        return doc;
      }),
  });
  return {
    doc: doc as PDFKit.PDFDocument,
    /** What a method was called with, call by call. */
    of: (wanted: string) =>
      told.filter(([name]) => name === wanted).map(([, ...args]) => args as number[]),
  };
}
