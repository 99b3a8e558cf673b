import { provideZonelessChangeDetection } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { NO_TAPS, type Prompt, type Taps, choicesFor, promptFor } from '@gumo/core/activities';
import { AnswerPad } from './answer-pad';

describe('the answer pad', () => {
  let fixture: ComponentFixture<AnswerPad>;
  let taps: Taps;

  async function open(skillId: string, itemId: string, top: number): Promise<void> {
    const prompt = promptFor(skillId, itemId, ['speaks']) as Prompt;
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    fixture = TestBed.createComponent(AnswerPad);
    taps = NO_TAPS;
    fixture.componentRef.setInput('prompt', prompt);
    fixture.componentRef.setInput('choices', choicesFor(prompt, top));
    fixture.componentRef.setInput('taps', taps);
    fixture.componentInstance.tapsChange.subscribe((next) => {
      taps = next;
      fixture.componentRef.setInput('taps', next);
    });
    await fixture.whenStable();
  }

  const button = (text: string): HTMLButtonElement => {
    const all = fixture.nativeElement as HTMLElement;
    const found = [...all.querySelectorAll('button')].find(
      (one) => one.textContent?.trim() === text,
    );
    if (!found) throw new Error(`no button ${text}`);
    return found;
  };
  async function tap(text: string): Promise<void> {
    button(text).click();
    await fixture.whenStable();
  }

  it('shows the expected answer at once, and takes another one with one tap', async () => {
    await open('give-5', 'n4', 5);
    expect(button('4').getAttribute('aria-pressed')).toBe('true');
    await tap('6');
    expect(taps.value).toBe(6);
    expect(button('4').getAttribute('aria-pressed')).toBe('false');
    await tap('6');
    expect(taps.value).toBeNull();
  });

  it('offers zero to twenty for a range to twenty', async () => {
    await open('touch-20', 'n14', 20);
    expect(button('0') && button('20')).toBeTruthy();
  });

  it('takes where a count stopped, then what was left out on the way', async () => {
    await open('say-20', 'to-20', 20);
    await tap('17');
    await tap('15');
    expect(taps).toEqual({ ...NO_TAPS, value: 17, leftOut: [15] });
    expect(button('15').classList).toContain('struck');
    await tap('15');
    expect(taps.leftOut).toEqual([]);
  });

  it('takes slips of counting and of going on', async () => {
    await open('total-10', 'n7', 10);
    await tap('counted again when asked');
    expect(taps.recounted).toBeTrue();
    TestBed.resetTestingModule();
    await open('say-on-10', 'from-7', 10);
    await tap('started again at one');
    expect(taps.fromOne).toBeTrue();
  });
});
