/** How a text file may be written. */
export type Encoding =
  'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252' | 'windows-1250' | 'macintosh';

export interface TextReading {
  readonly encoding: Encoding;
  readonly text: string;
  /** Words with letters that differ between the readings, for the eye. */
  readonly sample: string;
}

export type Decoded =
  | {
      readonly say: 'read';
      readonly reading: TextReading;
      /** Other ways it could be read; empty where there is no doubt. */
      readonly others: readonly TextReading[];
    }
  | { readonly say: 'ask'; readonly readings: readonly TextReading[] }
  | { readonly say: 'refused'; readonly message: string };

const SINGLE_BYTE: readonly Encoding[] = ['windows-1252', 'windows-1250', 'macintosh'];

/** Signs of Windows-1252 between 0x80 and 0x9F that price lists use: € … ‘ ’ “ ” • – — ™. */
const USUAL_SIGNS = new Set([0x80, 0x85, 0x91, 0x92, 0x93, 0x94, 0x95, 0x96, 0x97, 0x99]);

/**
 * Text of a file, its encoding found out: a byte order mark, else strict UTF-8, else Windows-1252. Where
 * bytes stand in it that Windows-1252 hardly uses, it is not guessed but asked, with samples.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  const marked = byMark(bytes);
  if (marked) return sure(bytes, marked);
  // A text has no zero bytes; a spreadsheet or a picture has.
  if (bytes.subarray(0, 4096).includes(0))
    return {
      say: 'refused',
      message: 'That is no text file. Save the table as CSV, encoded as UTF-8.',
    };
  const utf8 = decode(bytes, 'utf-8');
  if (utf8 !== null) return sure(bytes, 'utf-8');
  const readings = SINGLE_BYTE.map((encoding) => readingOf(bytes, encoding));
  const odd = bytes.some((byte) => byte >= 0x80 && byte <= 0x9f && !USUAL_SIGNS.has(byte));
  return odd
    ? { say: 'ask', readings }
    : { say: 'read', reading: readings[0]!, others: readings.slice(1) };
}

function byMark(bytes: Uint8Array): Encoding | null {
  const [a, b, c] = bytes;
  if (a === 0xef && b === 0xbb && c === 0xbf) return 'utf-8';
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  return a === 0xfe && b === 0xff ? 'utf-16be' : null;
}

/** Null where the bytes are not of that encoding. */
function decode(bytes: Uint8Array, encoding: Encoding): string | null {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

function sure(bytes: Uint8Array, encoding: Encoding): Decoded {
  const text = decode(bytes, encoding);
  return text === null
    ? {
        say: 'refused',
        message:
          'The file says how it is written, but is not: it is cut off or damaged. Save it anew.',
      }
    : { say: 'read', reading: { encoding, text, sample: '' }, others: [] };
}

/** Windows-1252 from 0x80 to 0x9F (WHATWG Encoding, index windows-1252); some runtimes read Latin-1 there. */
const WINDOWS_SIGNS = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

function readingOf(bytes: Uint8Array, encoding: Encoding): TextReading {
  const decoded = new TextDecoder(encoding).decode(bytes);
  const text =
    encoding === 'windows-1252'
      ? decoded.replace(/[\u0080-\u009f]/g, (sign) => WINDOWS_SIGNS[sign.charCodeAt(0) - 0x80]!)
      : decoded;
  return { encoding, text, sample: sampleOf(text) };
}

const SAMPLE_WORDS = 6;

/** The first words that hold a letter or sign beyond plain ones, each once. */
function sampleOf(text: string): string {
  const words = text.slice(0, 200_000).match(/[^\s,;"]*[^\u0000-\u007f][^\s,;"]*/g) ?? [];
  return [...new Set(words)].slice(0, SAMPLE_WORDS).join(' · ');
}
