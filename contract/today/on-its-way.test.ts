import { describe, expect, it } from 'vitest';
import { answersDue } from '../index.ts';

const [BRAMBLE, MOSS, ALDER, HAZEL] = ['bramble', 'moss', 'alder', 'hazel'];
const moveAlder = { code: 'move-place', dogId: BRAMBLE, collarId: ALDER } as const;

describe('what was done here and has not arrived', () => {
  it('answers what is due of that dog and that collar, and no other', () => {
    expect(answersDue(moveAlder, { dogId: BRAMBLE, told: { event: 'moved', collarId: ALDER } })).toBe('done');
    expect(answersDue(moveAlder, { dogId: BRAMBLE, told: { event: 'taken-off', collarId: ALDER } })).toBe('done');
    expect(answersDue(moveAlder, { dogId: BRAMBLE, told: { event: 'moved', collarId: HAZEL } })).toBeNull();
    expect(answersDue(moveAlder, { dogId: MOSS, told: { event: 'moved', collarId: ALDER } })).toBeNull();
  });
  it('answers nothing that it says nothing of', () => {
    // Contact that was felt moves no contacts; a weight is no look at the skin.
    expect(answersDue(moveAlder, { dogId: BRAMBLE, told: { event: 'contact', collarId: ALDER } })).toBeNull();
    expect(answersDue({ code: 'skin-again', dogId: BRAMBLE, collarId: null }, { dogId: BRAMBLE, made: { path: 'weighings' } })).toBeNull();
    expect(answersDue({ code: 'skin-again', dogId: BRAMBLE, collarId: null }, { dogId: BRAMBLE, made: { path: 'skin-looks' } })).toBe('noted');
    // What is done at the desk is not done in the yard; the law is of no dog.
    expect(answersDue({ code: 'law', dogId: null, collarId: null }, { dogId: null, told: { event: 'note' } })).toBeNull();
  });
  it('ends nothing that depends on what was found: a check that found it too tight, contacts that do not touch', () => {
    const red = { code: 'skin-off', dogId: BRAMBLE, collarId: null } as const;
    // It may have been looked at elsewhere on the neck.
    expect(answersDue(red, { dogId: BRAMBLE, made: { path: 'skin-looks' } })).toBe('noted');
    const atNight = { code: 'worn-wrong', dogId: BRAMBLE, collarId: ALDER } as const;
    expect(answersDue(atNight, { dogId: BRAMBLE, told: { event: 'moved', collarId: ALDER } })).toBe('noted');
    expect(answersDue(atNight, { dogId: BRAMBLE, told: { event: 'taken-off', collarId: ALDER } })).toBe('done');
    expect(answersDue({ code: 'fit', dogId: BRAMBLE, collarId: null }, { dogId: BRAMBLE, made: { path: 'fit-checks' } })).toBe('noted');
  });
  it('leaves a level that rose as pressing as it is, whatever the hand felt', () => {
    const rose = { code: 'level-up', dogId: BRAMBLE, collarId: null } as const;
    expect(answersDue(rose, { dogId: BRAMBLE, told: { event: 'contact', collarId: ALDER } })).toBe('noted');
  });
  it('answers a session that is planned, by beginning it', () => {
    expect(answersDue({ code: 'session-now', dogId: MOSS, collarId: null }, { dogId: MOSS, told: { event: 'begin' } })).toBe('done');
  });
});
