/** Words of the cards a sheet is printed on, and of reading their code back. */
export const cards = {
  back: 'Back to the sheet',
  lead: (revision: number) => `Cards of revision ${revision}, true to size`,
  noMarks: 'There are no sight marks yet: the cards have the numbers alone.',
  size: (width: number, height: number) => `${width} × ${height} mm, folded`,
  front: (name: string) => `${name}, front`,
  behind: (name: string) => `${name}, back`,
  svg: 'SVG',
  codeTitle: 'What the code says',
  codeHow:
    'The numbers themselves, in SI: any telephone shows them, without a network. A quarter of the code may be soiled.',
  codeSvg: 'The code alone, SVG',
  codeAsText: 'As a text file',
  readBack: 'Read a code back',
} as const;

export const codeWords = {
  lead: 'The code of a card holds the numbers of its sheet: hold it into the camera, choose a picture of it, or paste its text.',
  camera: 'Use the camera',
  stop: 'Stop the camera',
  noCamera: 'This browser lets no page use a camera here: choose a picture, or paste the text.',
  cameraFailed: 'The camera could not be opened: look whether the browser may use it.',
  looking: 'Hold the code still, a hand away.',
  picture: 'Choose a picture',
  pasted: 'Text of the code',
  pastedHint: 'As the telephone shows it, from its first line on.',
  noCode:
    'No code was found in this picture: take it from nearer, flat and without a shadow across.',
  lost: 'The program does not answer: try it again when it does.',
  noPicture: 'This file is no picture the browser can read.',
  tooLarge: (mb: number) => `This picture is larger than ${mb} MB: take a smaller one.`,
  title: (bow: string, hand: string) => `${bow}, ${hand} hand`,
  stamp: (ticket: number, revision: number, day: string, shop: string) =>
    `sheet ${ticket}.${revision} of ${day}${shop && `, ${shop}`}`,
  serial: (serial: string) => `no. ${serial}`,
  noSerial: 'its number is not in the code',
  here: 'It is a sheet of this shop.',
  elsewhere: 'It is no sheet of this shop: its numbers are below.',
  open: 'Open the job',
  compareWith: 'Make a bow here like it',
  whichJob: 'Choose an open job',
  toJob: 'To that job',
  values: 'Numbers of the code',
  marks: (first: string) => `Pin below its place for ${first}`,
} as const;
