import { ErrorHandler, provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { LastTime } from '@gumo/core/contract';
import { type Change, WRITE_HEADER } from '@gumo/core/vocabulary';
import * as v from 'valibot';
import { Api, NotUnderstood } from './api';

const ID = '00000000-0000-4000-8000-000000000007';

describe('the line to the server', () => {
  let api: Api;
  let asked: jasmine.Spy<typeof fetch>;
  const logged: string[] = [];
  beforeEach(() => {
    logged.length = 0;
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        {
          provide: ErrorHandler,
          useValue: { handleError: (error: Error) => logged.push(error.message) },
        },
      ],
    });
    api = TestBed.inject(Api);
    asked = spyOn(window, 'fetch');
  });
  const answers = (body: unknown): void =>
    void asked.and.callFake(() => Promise.resolve(new Response(JSON.stringify(body))));

  it('hands on what is as agreed', async () => {
    answers({ words: 'Six was hard.' });
    expect(await api.get('/children/x/last-time', LastTime)).toEqual({ words: 'Six was hard.' });
    expect(logged).toEqual([]);
  });

  it('says which field of an answer is missing, on screen and in the log, and names no child', async () => {
    answers({});
    const failed = await api
      .get(`/children/${ID}/last-time?activity=a`, LastTime)
      .catch((error: unknown) => error);
    expect(failed).toBeInstanceOf(NotUnderstood);
    expect((failed as Error).message).toBe(
      'The server’s answer cannot be read (words). Load Gumo again; if that does not help, restart the server.',
    );
    expect(logged).toEqual(['The answer to /children/:id/last-time is not as agreed: words.']);
  });

  it('knows the event of a write whose screen loads what it changed, and no other', async () => {
    answers(null);
    const sent = async (loads: boolean): Promise<string | null> => {
      await api.send('POST', '/plan', {}, { loads });
      return new Headers(asked.calls.mostRecent().args[1]?.headers).get(WRITE_HEADER);
    };
    const write = await sent(true);
    const change: Change = { what: 'plan', childIds: [], day: null };
    expect(v.is(v.pipe(v.string(), v.uuid()), write)).toBeTrue();
    expect(api.isOwn({ ...change, write: write! })).toBeTrue();
    expect(api.isOwn({ ...change, write: ID })).toBeFalse();
    expect(api.isOwn(change)).toBeFalse();
    expect(await sent(false)).toBeNull();
  });
});
