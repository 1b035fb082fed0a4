/** What is said of the purchase and of the glass. */
import type { EpoxyFinding } from './findings';
import type { Purchase } from './purchase';
import type { EpoxyPart } from './schema';

const where = { stage: 'epoxy' } as const;

export function judgePurchase({ isShort, needed }: Purchase): EpoxyFinding[] {
  if (!isShort) return [];
  return [{ severity: 'check', code: 'no-pack', where, data: { aMl: needed.aMl, bMl: needed.bMl } }];
}

export function judgeGlass({ glass: { tapeKind, clothKind } }: EpoxyPart): EpoxyFinding[] {
  const onMat = [tapeKind, clothKind].includes('biaxial on mat');
  return onMat ? [{ severity: 'note', code: 'mat-binder', where, data: {} }] : [];
}
