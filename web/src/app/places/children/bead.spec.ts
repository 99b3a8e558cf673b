import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { SkillStatus } from '@gumo/core/evidence';
import { Bead } from './bead';

describe('a bead', () => {
  it('shows each status by its shape alone', async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    const fixture = TestBed.createComponent(Bead);
    const looks = new Set<string>();
    const all: SkillStatus[] = ['not-started', 'started', 'nearly', 'secure', 'review', 'assumed'];
    for (const status of all) {
      fixture.componentRef.setInput('status', status);
      await fixture.whenStable();
      const host = fixture.nativeElement as HTMLElement;
      const shapes = [...host.querySelectorAll('circle, path')];
      looks.add(
        shapes.map((shape) => shape.getAttribute('class')! + shape.getAttribute('d')).join(),
      );
    }
    expect(looks.size).toBe(all.length);
  });
});
