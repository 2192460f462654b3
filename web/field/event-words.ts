import type { FieldPage, NewHappening } from '@banter/contract';
import { clockWords, DIRECTION_WORDS, levelWords, RESPONSE_WORDS, WEAR_STATE_WORDS } from '@banter/core';

const CAUSE_WORDS = {
  contact: 'it was the contact',
  skin: 'it was skin or place',
  battery: 'it was the battery',
  distraction: 'it was distracted',
  nothing: 'nothing found',
} as const;

const CAUSE_NAMES = { contact: 'Contact', skin: 'Skin or place', battery: 'Battery', distraction: 'Distraction' } as const;

/** What happened, as it is said in the log: short, as it is read at arm's length. */
export function eventSentence(event: NewHappening, page: Pick<FieldPage, 'settings' | 'dogs'> | null): string {
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
      return event.made ? 'Contact good' : 'Contact checked: no contact';
    case 'looked-through':
      return `Checked why it needs more: ${CAUSE_WORDS[event.found]}`;
    case 'note':
      return event.text;
    case 'result':
      return `Of its stage: ${event.met} of ${event.of} went well${event.setback ? ', with a setback' : ''}`;
    case 'joins':
      return 'Made one with the other phone’s';
    case 'void':
      return 'Undone';
    case 'put-on':
      return 'Put on';
    case 'taken-off':
      return 'Taken off';
    case 'moved':
      return `Moved to ${clockWords(event.clock)}`;
    case 'state':
      return WEAR_STATE_WORDS[event.state].name;
    case 'charged':
      return `Battery ${Math.round(event.percent)} %`;
    case 'covers':
      return event.shut ? 'Covers shut' : 'Covers open';
    case 'paired':
      return event.paired ? 'Paired' : 'Not paired';
    case 'switched':
      return event.on ? 'Switched on' : 'Switched off';
    case 'tried':
      return `Tried at ${levelWords(event.level)}`;
    case 'locked-out':
      return `Locked out for ${event.seconds} s`;
    case 'looked-into':
      return `${CAUSE_NAMES[event.cause]}: ${event.was ? 'the cause' : 'not the cause'}`;
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
