import type { Notation } from '@kalotrope/core/measure';

export const NOTATION_NAMES: Readonly<Record<Notation, string>> = {
  mm: 'mm',
  m: 'm',
  in: 'in, decimal',
  'in-16': 'in, 16ths',
  'in-32': 'in, 32nds',
  'ft-in-8ths': 'ft-in-8ths',
};
