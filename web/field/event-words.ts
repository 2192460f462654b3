import type { FieldPage, NewFieldEvent } from '@banter/contract';
import { DIRECTION_WORDS, levelWords, RESPONSE_WORDS } from '@banter/core';

const CAUSE_WORDS = {
  contact: 'it was the contact',
  skin: 'it was skin or place',
  battery: 'it was the battery',
  distraction: 'it was distracted',
  nothing: 'nothing found',
} as const;

/** What an event of a session says in the log: short, as it is read at arm's length. */
export function eventSentence(event: NewFieldEvent, page: Pick<FieldPage, 'settings' | 'dogs'> | null): string {
  const settingName = (id: string) => page?.settings.find((one) => one.id === id)?.name ?? id;
  switch (event.event) {
    case 'begin':
      return `Began, ${settingName(event.setting)}`;
    case 'setting':
      return `Went to: ${settingName(event.setting)}`;
    case 'press':
      return event.mode === 'tone' || event.mode === 'vibration' ? `Pressed ${event.mode}` : `Pressed ${levelWords(event.level)}`;
    case 'response': {
      const { name } = RESPONSE_WORDS[event.response];
      return event.latencyMs === null ? name : `${name}, after ${(event.latencyMs / 1000).toFixed(1)} s`;
    }
    case 'correction':
      return `Corrected ${DIRECTION_WORDS[event.direction].name}`;
    case 'contact':
      if (event.made === null) return 'Contact to be checked again';
      return event.made ? 'Contact felt: both touch' : 'Contact felt: they do not touch';
    case 'looked-into':
      return `Looked why it needs more: ${CAUSE_WORDS[event.found]}`;
    case 'note':
      return event.text;
    case 'result':
      return `Of its stage: ${event.met} of ${event.of} went well${event.setback ? ', with a setback' : ''}`;
    case 'joins':
      return 'Made one with the other phone’s';
    case 'void':
      return 'Taken back';
    case 'cue':
    case 'reward':
    case 'marker':
    case 'pushed-up':
    case 'hold':
    case 'let-go':
    case 'end':
      return { cue: 'Cue', reward: 'Reward', marker: 'Marked', 'pushed-up': 'Collar pushed back up', hold: 'Tension held', 'let-go': 'Let go', end: 'Ended' }[
        event.event
      ];
  }
}
