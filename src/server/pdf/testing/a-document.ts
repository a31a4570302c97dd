const ENDS = ['text', 'stroke', 'fill', 'fillAndStroke', 'image', 'addPage', 'restore'];

const inTenths = (_: string, value: unknown) =>
  typeof value === 'number' ? Math.round(value * 10) / 10 : value;

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
    /** All that was drawn, a stroke or a piece of text a line, for a kept record. */
    page: () => {
      const lines: string[] = [];
      const manner = { font: '', fontSize: '', fillColor: '' };
      let line: string[] = [];
      for (const [name, ...args] of told) {
        const said = args.map((arg) => JSON.stringify(arg, inTenths).replaceAll('"', ''));
        if (name in manner) manner[name as keyof typeof manner] = said[0]!;
        else if (name === 'text') line.push(...Object.values(manner), ...said);
        else line.push(name === 'fill' ? `fill ${manner.fillColor}` : [name, ...said].join(' '));
        if (ENDS.includes(name)) [lines[lines.length], line] = [line.join(' '), []];
      }
      return [...lines, line.join(' ')].filter(Boolean).join('\n');
    },
    /** What a method was called with, call by call. */
    of: (wanted: string) =>
      told.filter(([name]) => name === wanted).map(([, ...args]) => args as number[]),
  };
}
