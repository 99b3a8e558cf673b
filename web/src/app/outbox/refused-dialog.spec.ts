import { TestBed } from '@angular/core/testing';
import { MatDialogRef } from '@angular/material/dialog';
import { aTry } from '@gumo/core/vocabulary/testing';
import type { OutboxEntry } from '@gumo/core/contract';
import { Outbox, type RefusedParcel } from '../state/outbox';
import { Place, TODAY, aChild, id } from '../testing/place';
import { RefusedDialog } from './refused-dialog';

const kofi = aChild(2, 'Kofi');

const observation = aTry({
  id: id(70),
  childId: kofi.id,
  sessionId: null,
  day: '2027-01-01',
  at: '2027-01-01T09:00:00.000Z',
});

async function open(message: string, answers: Record<string, unknown> = {}) {
  let left: RefusedParcel[] = [
    { key: 7, parcel: { kind: 'observation', observation }, message } as unknown as RefusedParcel,
  ];
  const sent: OutboxEntry[] = [];
  const closed = { times: 0 };
  const outbox = {
    refused: () => Promise.resolve(left),
    sendAgain: (_key: number, parcel: OutboxEntry) => {
      sent.push(parcel);
      left = [];
      return Promise.resolve();
    },
    discard: () => {
      left = [];
      return Promise.resolve();
    },
  };
  const place = await Place.open(RefusedDialog, {
    children: [kofi],
    answers,
    providers: [
      { provide: Outbox, useValue: outbox },
      { provide: MatDialogRef, useValue: { close: () => closed.times++ } },
    ],
  });
  return { place, sent, closed };
}

describe('what the server did not take', () => {
  afterEach(() => TestBed.resetTestingModule());

  it('stands there with whose it is, what it says, and the reason as a sentence', async () => {
    const { place } = await open('observations.0.day is in the future');
    expect(place.text).toContain('A record · Kofi');
    expect(place.text).toContain('One touch, one word');
    expect(place.find('.caution').textContent).toBe('The day is in the future.');
  });

  it('goes out again with the server’s date where its day was wrong', async () => {
    const now = `${TODAY}T10:30:00.000Z`;
    const { place, sent, closed } = await open('observations.0.day is in the future', {
      '/health': { ok: true, version: '0.9.0', day: TODAY, now },
    });
    await place.click('Send with today’s date');
    const [parcel] = sent;
    expect(parcel?.kind === 'observation' && parcel.observation.day).toBe(TODAY);
    expect(closed.times).toBe(1);
  });

  it('goes out as it is, or is discarded, where another thing was wrong', async () => {
    const { place, sent } = await open('the child is not known');
    expect(place.all('button')).not.toContain('Send with today’s date');
    await place.click('Send again');
    expect(sent.length).toBe(1);
    TestBed.resetTestingModule();
    const other = await open('the child is not known');
    await other.place.click('Discard');
    expect(other.closed.times).toBe(1);
  });
});
