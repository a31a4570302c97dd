import { join } from 'node:path';

const FONTS = join(/* turbopackIgnore: true */ process.cwd(), 'node_modules/@expo-google-fonts');
const FILES = {
  text: ['atkinson-hyperlegible-next', '400Regular', 'AtkinsonHyperlegibleNext'],
  bold: ['atkinson-hyperlegible-next', '700Bold', 'AtkinsonHyperlegibleNext'],
  figure: ['atkinson-hyperlegible-mono', '500Medium', 'AtkinsonHyperlegibleMono'],
} as const;

/** The file of one of the program's own fonts, as the papers embed it. */
export function font(name: keyof typeof FILES): string {
  const [family, weight, file] = FILES[name];
  return join(FONTS, family, weight, `${file}_${weight}.ttf`);
}
