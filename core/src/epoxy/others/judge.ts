/** What is said of other glues. */
import type { EpoxyFinding } from '../findings';
import type { Faces } from '../glue';
import type { EpoxyPart } from '../schema';
import { glueFor } from './others';

const where = { stage: 'epoxy' } as const;
/** What holds the boat together. */
const BEARING: readonly Faces['what'][] = ['blanks', 'skin', 'layers', 'skins', 'scarfs', 'edges'];

export function judgeGlues(faces: readonly Faces[], part: Pick<EpoxyPart, 'glues' | 'gluedWith'>): EpoxyFinding[] {
  const used = faces.filter(({ areaM2 }) => areaM2 > 0);
  return part.glues.flatMap((glue): EpoxyFinding[] => {
    const items = (among: readonly Faces['what'][]) =>
      used
        .filter(({ what }) => among.includes(what) && glueFor(what, part)?.id === glue.id)
        .map(({ item }) => item)
        .join(', ');
    const bearing = items(BEARING);
    const scarfs = items(['blanks', 'layers', 'skins', 'scarfs']);
    const data = { glue: glue.name, items: bearing };
    if (bearing !== '' && (glue.kind === 'sealing' || glue.kind === 'instant'))
      return [{ severity: 'check', code: 'glue-does-not-bear', where, data }];
    if (scarfs !== '' && glue.kind === 'expanding')
      return [{ severity: 'note', code: 'glue-foams', where, data: { glue: glue.name, items: scarfs } }];
    return [];
  });
}
