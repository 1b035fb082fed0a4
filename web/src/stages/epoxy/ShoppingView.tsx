/** What do I buy? All of the boat in one place, ticked off as it is bought. */
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useMemo, useState } from 'react';
import { costOf, shoppingList, wholeOf, type Project } from '@kalotrope/core/project';
import { selectDerived, selectFound } from '../../state/selectors';
import { said } from '../../state/screen-slice';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { boughtFor, keepBought } from '../../storage/pots';

export function ShoppingView({ project }: { readonly project: Project }) {
  const derived = useAppSelector(selectDerived);
  const found = useAppSelector(selectFound);
  const list = useMemo(
    () => (derived ? shoppingList(wholeOf(project, derived, found)) : null),
    [project, derived, found],
  );
  const { bought, tick } = useBought(project.id);
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  if (!list) return null;
  const { groups, cost, unpriced } = list;
  const waits = [
    ...(found.sheets === undefined ? ['Sheets'] : []),
    ...(found.timber === undefined && (derived?.timber.value.runs.length ?? 0) > 0 ? ['Timber'] : []),
  ];
  return (
    <div style={{ maxWidth: 900 }}>
      {waits.length > 0 && (
        <Typography sx={{ mb: 1 }}>
          Not planned yet: open {waits.join(' and ')}, and what is bought for it is counted here.
        </Typography>
      )}
      {groups.map(({ title, lines }) => (
        <section key={title} aria-label={title}>
          <Typography variant="h2" sx={{ mt: 2 }}>
            {title}
          </Typography>
          <table
            className="plain-table"
            aria-label={`To buy: ${title}`}
            style={{ tableLayout: 'fixed', width: '100%' }}
          >
            <colgroup>
              {WIDTHS[isWide ? 'wide' : 'narrow'].map(([part, width]) => (
                <col key={part} style={{ width }} />
              ))}
            </colgroup>
            <thead>
              <tr>
                <th scope="col">bought</th>
                <th scope="col">what</th>
                <th scope="col" className="figure">
                  how much
                </th>
                <th scope="col" className="figure">
                  cost
                </th>
                {isWide && <th scope="col">for</th>}
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <tr key={line.id}>
                  <td>
                    <Checkbox
                      size="small"
                      checked={bought.includes(line.id)}
                      onChange={(_event, isBought) => tick(line.id, isBought)}
                      slotProps={{ input: { 'aria-label': `Bought: ${line.what}` } }}
                    />
                  </td>
                  <td>
                    {line.what}
                    {!isWide && <p className="quiet">{line.from}</p>}
                  </td>
                  <td className="figure">
                    {line.howMuch}
                    {line.there > 0 && `, ${line.there} there`}
                  </td>
                  <td className="figure">{costOf(line) > 0 ? costOf(line).toFixed(2) : ''}</td>
                  {isWide && <td className="quiet">{line.from}</td>}
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <Typography sx={{ mt: 2 }}>
        Together {cost.toFixed(2)}
        {unpriced > 0 && `, and ${unpriced} without a price`}.
      </Typography>
    </div>
  );
}

/** One layout for the tables of all groups; on a narrow screen what a thing is for stands under it. */
const WIDTHS = {
  wide: [
    ['bought', '12%'],
    ['what', '32%'],
    ['how much', '18%'],
    ['cost', '12%'],
    ['for', '26%'],
  ],
  narrow: [
    ['bought', '19%'],
    ['what', '37%'],
    ['how much', '25%'],
    ['cost', '19%'],
  ],
} as const;

/** What of the list is bought: kept beside the boat, as what was done and not what was decided. */
function useBought(project: string) {
  const [bought, setBought] = useState<readonly string[]>([]);
  const dispatch = useAppDispatch();
  useEffect(() => {
    let isGone = false;
    void boughtFor(project).then(
      (ids) => !isGone && setBought(ids),
      () => undefined,
    );
    return () => {
      isGone = true;
    };
  }, [project]);
  const tick = (id: string, isBought: boolean) => {
    const ids = isBought ? [...bought, id] : bought.filter((other) => other !== id);
    setBought(ids);
    keepBought(project, ids).catch(() => dispatch(said('This browser does not keep what is ticked off.')));
  };
  return { bought, tick };
}
