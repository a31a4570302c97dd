import Papa from 'papaparse';

/** The cells of a file: comma, semicolon or tab between the columns, with or without a BOM. */
export const cellsOf = (text: string): string[][] =>
  Papa.parse<string[]>(text.replace(/^\ufeff/, '').replace(/\r\n?/g, '\n'), {
    skipEmptyLines: false,
    delimitersToGuess: [',', ';', '\t'],
  }).data;
