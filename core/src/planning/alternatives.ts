import { type Offer, draftWith, worthOf } from './draft.js';
import type { Card, WeekModel } from './model.js';

/** What could be in the place of a card, and how much of the card's gain it brings. */
export interface Alternative extends Offer {
  /** 1 brings as much. */
  readonly share: number;
}

/**
 * The best cards for the place of another one: the same day and band, with the rest of the week as it
 * is; best first.
 * @param others all cards of the week but the one whose place it is
 */
export function alternativesTo(
  model: WeekModel,
  card: Card,
  others: readonly Card[],
  most = 3,
): Alternative[] {
  const draft = draftWith(model, others);
  const band = model.activities[card.activity]?.band;
  const gain = worthOf(model, [...others, card]) - draft.worth();
  return model.activities
    .flatMap((activity, a): Offer[] => {
      if (a === card.activity || activity.band !== band) return [];
      const offer = draft.best(a, card.day, -Infinity);
      return offer ? [offer] : [];
    })
    .sort((x, y) => y.gain - x.gain || x.activity - y.activity)
    .slice(0, most)
    .map((offer) => ({ ...offer, share: gain > 0 ? Math.max(0, offer.gain / gain) : 1 }));
}

const SHARES: readonly (readonly [from: number, words: string])[] = [
  [1.03, 'more'],
  [0.97, 'just as much'],
  [0.85, 'almost as much'],
  [0.7, 'three quarters as much'],
  [0.58, 'two thirds as much'],
  [0.42, 'half as much'],
  [0.28, 'a third as much'],
  [0, 'little in comparison'],
];

/** "three quarters as much": a share in words, as nobody measures a week to the second digit. */
export function shareWords(share: number): string {
  return SHARES.find(([from]) => share >= from)?.[1] ?? 'nothing in comparison';
}
