import { describe, expect, it } from 'vitest';
import { boatWord, fileNames } from './file';

describe('names of files', () => {
  it('begin with the boat’s, in letters of any alphabet', () => {
    expect(boatWord('Öre / 3 "m"')).toBe('öre-3-m');
    expect(fileNames('Öre', ['section-1', 'section-1½', 'frame.2', 'sheet-6.5mm-A', '船底'])).toEqual([
      'öre-section-1',
      'öre-section-1½',
      'öre-frame-2',
      'öre-sheet-6.5mm-a',
      'öre-船底',
    ]);
  });
  it('stand once each, in capitals too, also where the number is taken', () => {
    expect(fileNames('B', ['a', 'A', 'a-2', 'a'])).toEqual(['b-a', 'b-a-2', 'b-a-2-2', 'b-a-3']);
  });
  it('are never empty, reserved, hidden, or a way out of the folder', () => {
    expect(['CON', 'nul', 'Lpt1', 'com³'].map(boatWord)).toEqual(['con-boat', 'nul-boat', 'lpt1-boat', 'com³-boat']);
    expect(['', '...', '\u0000\n', '//'].map(boatWord)).toEqual(['boat', 'boat', 'boat', 'boat']);
    expect(fileNames('../..', ['../../etc/passwd', '\u202e.exe', ' '])).toEqual([
      'boat-etc-passwd',
      'boat-exe',
      'boat-part',
    ]);
  });
  it('fit into 255 bytes with a number and an ending', () => {
    for (const letter of ['a', 'ж', '船', '𝔸']) {
      const [name] = fileNames(letter.repeat(500), [letter.repeat(500)]) as [string];
      expect(new TextEncoder().encode(name).length).toBeLessThan(200);
      expect(name).not.toContain('\uFFFD');
    }
  });
});
