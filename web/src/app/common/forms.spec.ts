import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, FormGroup } from '@angular/forms';
import { Song } from '@gumo/core/vocabulary';
import { ApiProblem } from './api';
import { Unsaved, faultOf, refused, valid } from './forms';

const form = () =>
  new FormGroup({
    title: new FormControl('', valid(Song.entries.title)),
    from: new FormControl(5, valid(Song.entries.from)),
  });

describe('a form', () => {
  it('says under each field what its schema says, and nothing where it may stand', () => {
    const { title, from } = form().controls;
    expect(faultOf(title)).toBe('Must not be empty.');
    title.setValue('Ten drums');
    expect(faultOf(title)).toBe('');
    from.setValue(1001);
    expect(faultOf(from)).toBe('Must be at most 1000.');
    from.setValue(null);
    expect(faultOf(from)).toBe('Must be a number.');
  });

  it('puts what the server refused on its field, and says the rest', () => {
    const song = form();
    song.setValue({ title: 'Ten drums', from: 1 });
    const errors = [{ field: 'from', message: 'must not be above to' }];
    expect(refused(song, new ApiProblem(422, 'wrong', errors))).toBeNull();
    expect(faultOf(song.controls.from)).toBe('Must not be above to.');
    expect(song.controls.from.touched).toBeTrue();
    const other = [...errors, { field: 'words.3', message: 'is too long' }];
    expect(refused(song, new ApiProblem(422, 'wrong', other))).toBe('words.3 is too long');
    expect(refused(song, new ApiProblem(409, 'outdated'))).toBe('outdated');
    expect(refused(song, new Error('away'))).toBe('away');
  });

  it('is watched for what is not saved as long as it is on screen', () => {
    const song = form();
    @Component({ changeDetection: ChangeDetectionStrategy.OnPush, template: '' })
    class Page {
      constructor() {
        inject(Unsaved).watch(() => song.dirty);
      }
    }
    const page = TestBed.createComponent(Page);
    const unsaved = TestBed.inject(Unsaved);
    expect(unsaved.any()).toBeFalse();
    song.markAsDirty();
    expect(unsaved.any()).toBeTrue();
    page.destroy();
    expect(unsaved.any()).toBeFalse();
  });
});
