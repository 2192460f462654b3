import { describe, expect, it } from 'vitest';
import { sentAheadAt, type SentAheadFile } from './sent-ahead.ts';

const DOG = '01a05c32-5e80-760b-b017-c2e160fdcfef';
const file: SentAheadFile = {
  fonts: ['assets/letters.woff2'],
  everywhere: { files: ['assets/shared.js'], asks: ['/api/doorstep'] },
  screens: [
    { matches: '^\\/dogs\\/new\\/?$', names: [], files: ['assets/form.js'], asks: [], title: 'Add a dog · Banter' },
    {
      matches: '^\\/dogs\\/([^/]+?)\\/neck(?:\\/(rig|skin))?\\/?$',
      names: ['id', 'part'],
      files: ['assets/neck.js'],
      asks: ['/api/dogs/:id/neck'],
      title: 'Neck · Banter',
    },
    {
      matches: '^\\/dogs\\/([^/]+?)\\/?$',
      names: ['id'],
      files: ['assets/dog.js'],
      asks: ['/api/dogs/:id/neck', '/api/dogs/:id/record'],
      title: 'Dog · Banter',
    },
  ],
};

describe('what is sent ahead with a page', () => {
  it('is what every screen needs, and what this one needs', () => {
    expect(sentAheadAt(file, `/dogs/${DOG}`)).toEqual({
      files: ['assets/shared.js', 'assets/dog.js'],
      asks: ['/api/doorstep', `/api/dogs/${DOG}/neck`, `/api/dogs/${DOG}/record`],
      title: 'Dog · Banter',
    });
    expect(sentAheadAt(file, `/dogs/${DOG}/neck/skin`).asks).toEqual(['/api/doorstep', `/api/dogs/${DOG}/neck`]);
    expect(sentAheadAt(file, `/dogs/${DOG}/neck`).asks).toEqual(['/api/doorstep', `/api/dogs/${DOG}/neck`]);
  });

  it('is of the first screen that an address leads to', () => {
    expect(sentAheadAt(file, '/dogs/new')).toEqual({ files: ['assets/shared.js', 'assets/form.js'], asks: ['/api/doorstep'], title: 'Add a dog · Banter' });
    expect(sentAheadAt(file, '/elsewhere')).toEqual({ ...file.everywhere, title: 'Banter' });
  });

  it('holds nothing of an address but ids and words', () => {
    expect(sentAheadAt(file, '/dogs/x>;rel=preload,<%2F%2Felsewhere>').asks).toEqual(['/api/doorstep']);
  });
});
