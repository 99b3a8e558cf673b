import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { LAYOUTS } from '@gumo/core/vocabulary';
import { Counters } from './counters';

describe('things to handle', () => {
  beforeEach(() =>
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] }),
  );

  it('draws as many counters as there should lie, in every layout, from none to twenty', async () => {
    const fixture = TestBed.createComponent(Counters);
    for (const layout of LAYOUTS) {
      for (let n = 0; n <= 20; n++) {
        fixture.componentRef.setInput('n', n);
        fixture.componentRef.setInput('layout', layout);
        await fixture.whenStable();
        const host = fixture.nativeElement as HTMLElement;
        expect(host.querySelectorAll('.counter').length).withContext(`${n} ${layout}`).toBe(n);
      }
    }
  });
});
