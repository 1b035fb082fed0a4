/** What do I buy? All of the boat in one place: what each stage says is bought for it, with what it costs. */
import { csv, innerBox, pageOnItsSide, sheetsOf, tablePages, type ExportTable, type PaperSheets } from '../formats';
import type { BuyLine } from '../stage';
import type { StageName, Whole } from './chain';
import { CHAIN, type Project } from './document';

export type ShoppingGroup = { readonly stage: StageName; readonly title: string; readonly lines: readonly BuyLine[] };
export type ShoppingList = {
  readonly groups: readonly ShoppingGroup[];
  /** Of what has a price and is not there. */
  readonly cost: number;
  readonly unpriced: number;
};

export function shoppingList(whole: Whole<Project>): ShoppingList {
  const groups = CHAIN.flatMap(({ name, title, buys }) => {
    const lines = buys?.(whole) ?? [];
    return lines.length > 0 ? [{ stage: name, title, lines }] : [];
  });
  const lines = groups.flatMap((group) => group.lines);
  return {
    groups,
    cost: lines.reduce((sum, line) => sum + costOf(line), 0),
    unpriced: lines.filter(({ price, qty, there }) => price === 0 && qty > there).length,
  };
}

/** The stages for which something may be bought. */
export const buyingStages = (): readonly { readonly stage: StageName; readonly title: string }[] =>
  CHAIN.flatMap(({ name, title, buys }) => (buys ? [{ stage: name, title }] : []));

/** Of what is not there. */
export const costOf = ({ qty, there, price }: BuyLine): number => Math.max(0, qty - there) * price;

const priceWords = (price: number): string => (price === 0 ? '' : price.toFixed(2));

export const shoppingTable = ({ groups }: ShoppingList): ExportTable => ({
  name: 'shopping-list',
  title: 'Shopping list, all of the boat',
  csv: csv(
    ['group', 'item', 'how_much', 'there', 'price_of_one', 'cost', 'for'],
    groups.flatMap(({ title, lines }) =>
      lines.map((line) => [
        ...[title, line.what, line.howMuch, line.there],
        ...[priceWords(line.price), priceWords(costOf(line)), line.from],
      ]),
    ),
  ),
});

export function shoppingSheets(whole: Whole<Project>): PaperSheets {
  const { sheetHead: head } = whole;
  const { groups, cost, unpriced } = shoppingList(whole);
  const inner = innerBox(pageOnItsSide(head.paper));
  const rows = groups.flatMap(({ lines }) =>
    lines.map((line) => [
      ...[line.what, line.howMuch, line.there > 0 ? String(line.there) : ''],
      ...[priceWords(costOf(line)), line.from, ''],
    ]),
  );
  const table = {
    columns: [
      { head: 'to buy' },
      ...[
        { head: 'how much', isFigure: true },
        { head: 'there', isFigure: true },
        { head: 'cost', isFigure: true },
      ],
      ...[{ head: 'for' }, { head: 'bought' }],
    ],
    rows: [...rows, ['together', '', '', priceWords(cost), unpriced > 0 ? `${unpriced} without a price` : '', '']],
  };
  const sheet = {
    ...{ name: 'shopping-sheet', title: 'Shopping list, to print', part: 'Shopping list', hand: 'all of the boat' },
    ...{ material: '', scale: 'no drawing' },
  };
  return sheetsOf(head, sheet, tablePages([table], { first: inner, later: inner }));
}
