import type { Observation } from '@gumo/core/vocabulary';
import type { OutboxEntry } from '@gumo/core/contract';
import { Outbox } from '../../../state/outbox';
import { Place, aChild, aMaterial } from '../../../testing/place';
import { Measure } from '../measure';

export const kofi = aChild(2, 'Kofi');
export const mirela = aChild(3, 'Mirela');

export interface Opened {
  readonly place: Place<Measure>;
  readonly parcels: OutboxEntry[];
  noted(): Observation[];
}

const aRange = (low: number, high: number) => ({
  day: '2026-03-02',
  low,
  high,
  actual: 40,
  leaning: 0,
});

export async function open(tool: string, participants: readonly string[] = []): Promise<Opened> {
  const parcels: OutboxEntry[] = [];
  const outbox = { put: (parcel: OutboxEntry) => Promise.resolve(void parcels.push(parcel)) };
  const place = await Place.open(Measure, {
    inputs: { tool },
    children: [kofi, mirela],
    materials: [
      aMaterial(5, 'cork discs', { colors: [{ name: 'blue', count: 24 }] }),
      aMaterial(6, 'felt balls', {
        colors: [{ name: 'red', count: 16 }],
        shape: { kind: 'ball', diameterMm: 25 },
      }),
    ],
    answers: {
      [`/children/${kofi.id}/details/measuring`]: { ranges: [aRange(30, 60), aRange(30, 60)] },
      [`/children/${mirela.id}/details/measuring`]: { ranges: [] },
      ['/days/2026-03-10/tops/jar-range']: [
        { childId: kofi.id, top: 50 },
        { childId: mirela.id, top: 20 },
      ],
      ['/days/2026-03-10/tops/columns-chart']: [{ childId: mirela.id, top: 5 }],
    },
    providers: [{ provide: Outbox, useValue: outbox }],
  });
  for (const name of participants)
    await place.click(new RegExp(name), 'gumo-measuring-participants button');
  const noted = (): Observation[] =>
    parcels.flatMap((one) => (one.kind === 'observation' ? [one.observation] : []));
  return { place, parcels, noted };
}

export async function add(place: Place<Measure>, name: string): Promise<void> {
  await place.fill(/^Object/, name);
  await place.click('Add');
}
