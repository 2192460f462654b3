import { momentOn, ROLE_WORDS } from '@banter/contract';
import { computed } from 'vue';
import { useConnection } from '../stores/connection.ts';
import { useOffline } from '../stores/offline.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';
import { useWearing } from '../stores/wearing.ts';

/** Something to see to, whichever screen is open. */
export type Alert = { id: string; tone: 'stop' | 'mind'; text: string; to: string | null; does: string };

const entries = (count: number) => `${count} ${count === 1 ? 'entry' : 'entries'}`;

/** What must not stay as it is: what dogs wear against a rule, what may have come off and was not logged, and what this device has not sent. */
export function useAlerts() {
  const session = useSession();
  const wearing = useWearing();
  const connection = useConnection();
  const offline = useOffline();
  const outbox = useOutbox();
  const when = (at: number) => momentOn(at, Date.now(), session.kennel!.timeZone);
  const ofDogs = computed((): Alert[] => [
    ...wearing.alarms.map(({ dogId, dogName, collarId, collarName, code, text }) => ({
      id: `${dogId} ${collarId} ${code}`,
      tone: 'stop' as const,
      text: `${dogName}, ${collarName}: ${text}`,
      to: `/dogs/${dogId}/neck`,
      does: 'Fix',
    })),
    ...wearing.asked.map(({ dogId, dogName, collarId, collarName, from }) => ({
      id: `${dogId} ${collarId} ask`,
      tone: 'mind' as const,
      text: `${dogName}: is ${collarName} still on? On since ${when(Date.parse(from))}.`,
      to: `/dogs/${dogId}/neck/wear`,
      does: 'Answer',
    })),
  ]);
  const ofDevice = computed((): Alert[] => {
    const refused = outbox.refused.length + outbox.unread.length;
    // What goes through at once is not worth a word.
    const asOf = offline.asOf === null ? '' : ` This screen is as of ${when(offline.asOf)}.`;
    const role = session.waitingRole;
    const all: (Alert | false | null)[] = [
      outbox.clockAsk !== null && { id: 'clock', tone: 'stop', text: 'This device’s clock is off.', to: '/outbox', does: 'See' },
      refused > 0 && { id: 'refused', tone: 'stop', text: `${entries(refused)} not saved.`, to: '/outbox', does: 'See' },
      connection.lost && {
        id: 'lost',
        tone: 'mind',
        text: `No connection. What you type stays on this device and is sent when it is back.${asOf}`,
        to: null,
        does: '',
      },
      outbox.stuck && { id: 'waits', tone: 'mind', text: `${entries(outbox.waiting)} to be sent.`, to: '/outbox', does: 'See' },
      role && {
        id: 'role',
        tone: 'mind',
        text: `Your role is ${ROLE_WORDS[role].name.toLowerCase()} now. Sign out and in again to use it.`,
        to: null,
        does: '',
      },
    ];
    return all.filter((one): one is Alert => Boolean(one));
  });
  return computed(() => [...ofDevice.value, ...ofDogs.value].sort((a, b) => (a.tone === b.tone ? 0 : a.tone === 'stop' ? -1 : 1)));
}
