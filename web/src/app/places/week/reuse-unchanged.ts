import type { CellView } from './week-board';
import type { CardView } from './week-card';

export const keyOf = ({ day, band }: CellView): string => `${day.day}/${band}`;

/** Hands back what was there before where nothing of it has changed, so that it is left alone. */
export interface Kept {
  card(view: CardView): CardView;
  cell(cell: CellView): CellView;
}

export function reuseUnchanged(): Kept {
  const cards = new Map<string, { readonly look: string; readonly view: CardView }>();
  const cells = new Map<string, CellView>();
  return {
    card(view) {
      const look = JSON.stringify([
        view.entry,
        view.coming,
        view.loose,
        view.activity?.title,
        view.moment?.name,
        view.children,
      ]);
      const known = cards.get(view.key);
      if (known?.look === look) return known.view;
      cards.set(view.key, { look, view });
      return view;
    },
    cell(cell) {
      const key = keyOf(cell);
      const known = cells.get(key);
      const isSame =
        known?.day === cell.day &&
        known.empty === cell.empty &&
        known.cards.length === cell.cards.length &&
        known.cards.every((card, i) => card === cell.cards[i]);
      if (known && isSame) return known;
      cells.set(key, cell);
      return cell;
    },
  };
}
