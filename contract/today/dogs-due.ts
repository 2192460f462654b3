import { OWNER_SAYS_WORDS } from '../handover/owner-words.ts';
import { collarKind } from '../collars/collar-kinds.ts';
import { clockWords, SKIN_GRADE_WORDS, DAY_MS, HOUR_MS, small } from '@banter/core';
import { momentOn } from '../neck/kennel-days.ts';
import { asIfSound, namesCollar, nextStep } from '../records/next-step.ts';
import { type DogDueFacts, type TodayFound } from './today-facts.ts';

/** Skin whose rest is over within so long is looked at today. From memory. */
export const SKIN_AHEAD_MS = 12 * HOUR_MS;

/** A sentence that stands after a name and a colon has none of its own: what comes after is another sentence. */
const sentences = (text: string): string => text.replaceAll(/: (\p{L})/gu, (_all, letter: string) => `. ${letter.toUpperCase()}`);

const STEPS = { screen: 'Screen', tape: 'Tape', bench: 'To the bench', check: 'Check the fit', edit: 'Weigh' } as const;

/** What each dog's fits ask for next, and looks at what a growing dog wears. */
export function fitsDue({ cards, growing, kennel, today, speak, now }: DogDueFacts): TodayFound[] {
  return cards.flatMap((card): TodayFound[] => {
    const { dog, fits: worn } = card;
    // What was found on a collar is a due of its own.
    const step = nextStep({ ...card, fits: worn.map(asIfSound) }, { kennel, today }, speak);
    const own = { dogId: dog.id, dogName: dog.name };
    const collarName = worn.find(({ plan }) => plan.kind === step.kind)?.plan.inputs.collar.name;
    const isNamed = !collarName || namesCollar(step.sentence, collarName);
    const path = { screen: 'screen', tape: 'tape', bench: 'bench', check: 'check', edit: 'edit' } as const;
    if (step.tone !== 'good' && step.goTo) {
      const to = `/dogs/${dog.id}/${path[step.goTo]}${step.goTo === 'check' && step.kind ? `?kind=${step.kind}` : step.goTo === 'bench' && step.kind ? `/${step.kind}` : ''}`;
      return [
        {
          ...own,
          code: 'fit',
          tone: step.tone,
          title: `${dog.name}${isNamed ? '' : `, ${collarName}`}: ${sentences(collarName && step.sentence.startsWith(collarName) ? step.sentence : small(step.sentence))}`,
          why: worn.length > 0 ? 'By its latest measures and checks.' : 'No collar decided yet.',
          to,
          does: STEPS[step.goTo],
          key: 'fit',
        },
      ];
    }
    if (!growing.has(dog.id)) return [];
    return worn.flatMap(({ plan, check }): TodayFound[] => {
      const { growing: look } = collarKind(plan.kind).traits;
      if (!look) return [];
      const every = look.everyDays * DAY_MS;
      const last = Date.parse(check?.at ?? plan.at);
      if (now - last < every) return [];
      return [
        {
          ...own,
          code: 'growing-look',
          tone: 'open',
          title: `${dog.name} grows: check ${plan.inputs.collar.name}.`,
          why: `${look.why}; last checked ${momentOn(last, now, kennel.timeZone)}.`,
          to: `/dogs/${dog.id}/check?kind=${plan.kind}`,
          does: 'Check',
          at: last + every,
          key: `grows ${plan.kind}`,
        },
      ];
    });
  });
}

/** Skin that keeps everything off the neck, and pink that is looked at again when its rest is over. */
export function skinDue({ skins, now, kennel }: DogDueFacts): TodayFound[] {
  return skins.flatMap(({ dogId, dogName, skin: { off, flags } }): TodayFound[] => {
    const own = { dogId, dogName, to: `/dogs/${dogId}/neck/skin` };
    if (off)
      return [
        {
          ...own,
          code: 'skin-off',
          tone: 'stop',
          title: `${dogName}: nothing on the neck.`,
          why: `The skin at ${clockWords(off.clock)} is ${SKIN_GRADE_WORDS[off.grade]}: a vet is asked, and it stays off until a later look says clear or pink.`,
          does: 'Check again',
          key: 'skin off',
        },
      ];
    return flags.flatMap(({ clock, untilMs }): TodayFound[] =>
      untilMs === null || untilMs - now >= SKIN_AHEAD_MS
        ? []
        : [
            {
              ...own,
              code: 'skin-again',
              tone: 'open',
              title: `Check ${dogName}’s skin at ${clockWords(clock)} again.`,
              why: `It was pink; its rest is over ${momentOn(untilMs, now, kennel.timeZone)}.`,
              does: 'Check',
              at: untilMs,
              key: `skin ${clock}`,
            },
          ],
    );
  });
}

/** What owners said that nobody has looked into yet. */
export function ownersDue({ owners }: DogDueFacts): TodayFound[] {
  return owners.map(({ dogId, dogName, owner, says, at, until }) => {
    const { told, part, tone } = OWNER_SAYS_WORDS[says];
    return {
      dogId,
      dogName,
      code: 'owner-says',
      tone,
      title: `${dogName}: ${told}, says ${owner}.`,
      why:
        says === 'pink'
          ? 'Check the skin before anything goes on again.'
          : says === 'loose' || says === 'slid'
            ? 'Check the height first, then the links.'
            : 'Ask the owner, and check it.',
      to: `/dogs/${dogId}/${part}`,
      does: part === 'check' ? 'Check the fit' : 'See it',
      key: says,
      at,
      dueUntil: until,
    };
  });
}
