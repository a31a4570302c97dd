export type Stage = 'meet' | 'fit' | 'bow' | 'kit' | 'bench' | 'lane' | 'steady' | 'handover';

export const STAGES: readonly { readonly id: Stage; readonly name: string }[] = [
  { id: 'meet', name: 'Meet' },
  { id: 'fit', name: 'Fit' },
  { id: 'bow', name: 'Bow' },
  { id: 'kit', name: 'Kit' },
  { id: 'bench', name: 'Bench' },
  { id: 'lane', name: 'Lane' },
  { id: 'steady', name: 'Steady' },
  { id: 'handover', name: 'Handover' },
];
