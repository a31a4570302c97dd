/** The house's colours; each strong one has a tint for grounds. Names say what they mean. */
export const tokens = {
  paper: '#F5F1E8',
  paperDeep: '#ECE6D8',
  sheet: '#FCFAF5',
  rule: '#CFC6B4',
  ruleSoft: '#E2DBCB',
  ink: '#1E2A2F',
  inkSoft: '#55605F',
  petrol: '#0E5A60',
  petrolTint: '#D5E5E3',
  amber: '#8A5200',
  amberMark: '#B86E00',
  amberTint: '#F7E6C6',
  plum: '#74355C',
  plumTint: '#EFDDE8',
  brick: '#A33A22',
  brickTint: '#F5DCD3',
  moss: '#3C6A3A',
  mossTint: '#DDE8D6',
} as const;

export const fonts = {
  text: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
  figure: "'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace",
};
