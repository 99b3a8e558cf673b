import { MatRadioButtonHarness } from '@angular/material/radio/testing';
import type { Pairing, Sharing as State } from '@gumo/core/vocabulary';
import { Place } from '../../testing/place';
import { Sharing } from './sharing';

const shut: State = {
  on: false,
  port: 4311,
  encryption: 'own',
  hasPassword: true,
  trouble: '',
  addresses: [],
  certificate: null,
  devices: [],
};
const open: State = {
  ...shut,
  on: true,
  addresses: ['https://10.0.0.4:4311'],
  devices: [
    {
      id: 'd1',
      name: 'Loft tablet',
      role: 'helper',
      addedAt: '2026-03-01T09:00:00.000Z',
      seenAt: '2026-03-10T08:00:00.000Z',
      lockMinutes: 10,
      locked: true,
    },
  ],
};
const pairing: Pairing = {
  code: '48217730',
  role: 'helper',
  seconds: 600,
  address: 'https://10.0.0.4:4311/sign-in',
  qr: { side: 21, path: 'M0 0h1v1h-1z' },
};

const at = (state: State): Promise<Place<Sharing>> =>
  Place.open(Sharing, {
    answers: { '/access/sharing': state },
    replies: {
      'PUT /access/sharing': { ...state, on: !state.on, addresses: open.addresses },
      'PUT /access/password': { ...state, hasPassword: true },
      'POST /access/pairings': pairing,
    },
  });

describe('sharing at home', () => {
  it('asks for a password twice before anything can be shared', async () => {
    const place = await at({ ...shut, hasPassword: false });
    expect(place.all('button')).not.toContain('Share at home');
    await place.fill(/The new one/, 'seven snails on a kite');
    await place.fill(/Once more/, 'seven snails on a cart');
    await place.submit();
    expect(place.all('mat-error')).toEqual(['Is not the same as the new one.']);
    expect(place.sent).toEqual([]);
    await place.fill(/Once more/, 'seven snails on a kite');
    await place.submit();
    expect(place.sent[0]!.path).toBe('/access/password');
    expect(place.all('button')).toContain('Share at home');
  });

  it('opens the door with the choices that stand there', async () => {
    const place = await at(shut);
    await place.click('Share at home');
    expect(place.sent).toEqual([
      {
        method: 'PUT',
        path: '/access/sharing',
        body: { on: true, port: 4311, encryption: 'own' },
      },
    ]);
    expect(place.text).toContain('https://10.0.0.4:4311');
  });

  it('shows a code to point at and to type, for a role and with a lock', async () => {
    const place = await at(open);
    const owner = await place.loader.getHarness(MatRadioButtonHarness.with({ label: /An owner/ }));
    await owner.check();
    await place.click('Make a code');
    expect(place.sent[0]!.body).toEqual({ role: 'owner', lockMinutes: 10 });
    expect(place.text).toContain('4821 7730');
    expect(place.text).toContain('10 minutes yet');
    expect(place.find('svg.qr path').getAttribute('d')).toBe(pairing.qr.path);
  });

  it('lists devices, and asks before one is removed', async () => {
    const place = await at(open);
    expect(place.all('.devices li')[0]).toContain('helper');
    expect(place.all('.devices li')[0]).toContain('locked now');
    await place.click(/Remove Loft tablet/);
    expect(place.sent).toEqual([]);
    await place.click('Remove it');
    expect(place.sent[0]).toEqual(
      jasmine.objectContaining({ method: 'DELETE', path: '/access/devices/d1' }),
    );
  });
});
