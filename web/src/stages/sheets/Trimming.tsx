/** In what order that which is left on comes off. */
import { formatFine, unitLabel } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { trimmingOf, trimWords } from '@kalotrope/core/sheets';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { selectDerived } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

export function Trimming({ project }: { readonly project: Project }) {
  const derived = useAppSelector(selectDerived);
  if (!derived) return null;
  const values = { panels: derived.panels.value, frames: derived.frames.value };
  const trims = trimmingOf({ project, values });
  if (trims.length === 0) return null;
  const { notation } = project;
  const rows = trims.map((trim, i) => {
    const { what, when } = trimWords(trim);
    return { key: i, cells: [`${i + 1}. ${what}: ${when}`, formatFine(trim.mm, notation)] };
  });
  return (
    <Section title="Order of trimming" aside={String(trims.length)}>
      <PlainTable
        label="Order of trimming"
        columns={[{ name: 'edge, and when' }, { name: `left on, ${unitLabel(notation)}`, isFigure: true }]}
        rows={rows}
      />
    </Section>
  );
}
