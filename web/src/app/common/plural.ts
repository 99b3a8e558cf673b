import { Pipe, type PipeTransform } from '@angular/core';
import { counted, plural, timesWords } from '@gumo/core/numbers';

/** The form of a word that goes with a number: 1 | plural: 'is' : 'are'. */
@Pipe({ name: 'plural' })
export class Plural implements PipeTransform {
  transform(n: number, one: string, other: string): string {
    return plural(n, one, other);
  }
}

/** A number with its word: 2 | counted: 'try' : 'tries'. */
@Pipe({ name: 'counted' })
export class Counted implements PipeTransform {
  transform(n: number, one: string, other: string): string {
    return counted(n, one, other);
  }
}

/** "once" or "3 times". */
@Pipe({ name: 'times' })
export class Times implements PipeTransform {
  transform(n: number): string {
    return timesWords(n);
  }
}
