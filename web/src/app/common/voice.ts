import { DOCUMENT, Injectable, inject } from '@angular/core';

/**
 * Says a word aloud where the machine itself has a voice for the language. Voices that would ask
 * something outside the machine are never used; without one it stays silent.
 */
@Injectable({ providedIn: 'root' })
export class Voice {
  private readonly speech = inject(DOCUMENT).defaultView?.speechSynthesis;

  say(words: string, language: string): void {
    const main = language.split('-')[0] ?? language;
    const voice = this.speech
      ?.getVoices()
      .find((one) => one.localService && one.lang.toLowerCase().startsWith(main));
    if (!voice || !this.speech) return;
    const spoken = new SpeechSynthesisUtterance(words);
    spoken.voice = voice;
    spoken.rate = 0.85;
    this.speech.cancel();
    this.speech.speak(spoken);
  }

  stop(): void {
    this.speech?.cancel();
  }
}
