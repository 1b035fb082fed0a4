/** The packs in which resin and hardener are sold, and what is there of them. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Pack } from '@kalotrope/core/epoxy';
import { mlPerShown, volumeUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { NameField } from '../../controls/NameField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

const MOST = 20;

export function Packs({ project: { epoxy, notation } }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { packs } = epoxy;
  const put = (label: string, value: readonly Pack[]) =>
    dispatch(edited({ label, edits: [{ path: ['epoxy', 'packs'], value: [...value] }] }));
  const add = () => {
    let number = packs.length + 1;
    while (packs.some(({ id }) => id === `pack-${number}`)) number++;
    put('Pack added', [
      ...packs,
      { id: `pack-${number}`, name: 'Another pack', aMl: 1000, bMl: 500, price: 0, onHand: 0 },
    ]);
  };
  const unit = mlPerShown(notation);
  const set = (id: string, key: keyof Pack) => (value: number | string) =>
    dispatch(edited({ label: 'Pack', edits: [{ path: ['epoxy', 'packs', id, key], value }] }));
  return (
    <Section title="Packs to be had" aside={String(packs.length)}>
      {packs.map((pack) => {
        const field = (key: 'aMl' | 'bMl' | 'price' | 'onHand', label: string, one = 1) => (
          <NumberField
            label={label}
            value={pack[key] / one}
            onCommit={(value) => set(pack.id, key)(value * one)}
            path={['epoxy', 'packs', pack.id, key]}
            unit={one}
          />
        );
        return (
          <Box key={pack.id} sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 1.5 }}>
            <NameField label="Pack" value={pack.name} most={120} onCommit={set(pack.id, 'name')} />
            <Button
              size="small"
              onClick={() =>
                put(
                  'Pack taken out',
                  packs.filter(({ id }) => id !== pack.id),
                )
              }
            >
              Take it out
            </Button>
            {field('aMl', `Resin in it, ${volumeUnit(notation)}`, unit)}
            {field('bMl', `Hardener in it, ${volumeUnit(notation)}`, unit)}
            {field('price', 'Its price')}
            {field('onHand', 'How many are there')}
          </Box>
        );
      })}
      <Button onClick={add} disabled={packs.length >= MOST}>
        Add a pack
      </Button>
    </Section>
  );
}
