import {
  calendarCase,
  CalendarChanged,
  placedSession,
  plannedFacts,
  scheduleDays,
  stagesPlanned,
  timeOn,
  type CalendarChange,
  type CalendarPage,
  type Kennel,
  type PlannedSession,
} from '@banter/contract';
import { heldSessions, isHardFault, moveSession, sessionFaults, type NoRoom, type PlacedSession } from '@banter/core';
import { v7 as uuidv7 } from 'uuid';
import { computed, ref, shallowRef, type Ref } from 'vue';
import { useKeep } from '../../stores/keep.ts';

type Change = CalendarChange['sessions'][number];
/** Something tried on the calendar that is not kept yet: the sessions as they would lie, and what that changes. */
export type Trial = {
  title: string;
  sessions: PlacedSession[];
  changed: ReadonlySet<string>;
  dropped: ReadonlySet<string>;
  stuck: readonly string[];
  noRoom: readonly NoRoom[];
  /** The session a hand is moving, where one is. */
  held: string | null;
};
type Step = { title: string; changes: Change[] };

/**
 * The kennel's calendar while somebody works on it: what is kept, what is tried, and what can be undone. Everything is tried
 * first with the core's own rules, and kept in one request or not at all.
 */
export function useCalendarBoard(page: Ref<CalendarPage>, kennel: Ref<Kennel>, now: Ref<number>) {
  const keeping = useKeep();
  /** The kept sessions, which change here before the page is fetched anew. */
  const sessions = shallowRef<PlannedSession[]>([]);
  const adopt = (fresh: CalendarPage) => (sessions.value = fresh.sessions);
  adopt(page.value);
  const live = computed<CalendarPage>(() => ({ ...page.value, sessions: sessions.value }));
  const days = computed(() => scheduleDays(page.value));
  const around = computed(() => calendarCase(live.value, kennel.value, now.value));
  /** Of those whose calendar it is, who can be given something: not who has left. */
  const hands = computed(() => page.value.people.filter(({ id, left }) => !left && page.value.hands.includes(id)));
  const programmes = computed(() => stagesPlanned(live.value, kennel.value, now.value));
  /** Sessions to come of programmes that rest, are done or were left. */
  const orphans = computed(() => {
    const running = new Set(programmes.value.map(({ programme }) => programme.id));
    const { day, minute } = around.value.notBefore;
    return placed.value.filter((one) => {
      const { programmeId } = byId.value.get(one.id)!;
      return programmeId !== null && !running.has(programmeId) && (one.day > day || (one.day === day && one.from >= minute));
    });
  });
  const placed = computed(() => sessions.value.filter(({ state }) => state === 'planned').map((one) => placedSession(one, days.value)));
  const byId = computed(() => new Map(sessions.value.map((one) => [one.id, one])));
  const startOf = ({ day, from }: Pick<PlannedSession, 'day' | 'from'>) => timeOn(day, from, kennel.value.timeZone);
  const heldBy = computed(() =>
    heldSessions(
      sessions.value.map((one) => ({ id: one.id, dogId: one.dogId, at: startOf(one) })),
      page.value.held.map(({ id, dogId, begunAt }) => ({ id, dogId, at: Date.parse(begunAt) })),
    ),
  );

  const trial = shallowRef<Trial | null>(null);
  const shown = computed(() => trial.value?.sessions ?? placed.value);
  const selected = ref<string | null>(null);
  const dogNames = computed(() => new Map(page.value.dogs.map(({ id, name }) => [id, name])));
  const dogName = (dogId: string) => dogNames.value.get(dogId) ?? 'a dog';
  const ofId = computed(() => new Map(page.value.programmes.map((one) => [one.id, one])));
  const stageName = ({ wishId }: Pick<PlacedSession, 'wishId'>) => {
    const [programmeId, stageId] = wishId.split(' ');
    const programme = ofId.value.get(programmeId ?? '');
    return programme?.stageNames[stageId ?? ''] ?? '';
  };
  const faultsOf = (one: PlacedSession) => sessionFaults(one, shown.value, around.value);

  /** Tries a session elsewhere; what clashes goes later, just far enough. */
  function tryMove(id: string, to: Partial<Pick<PlacedSession, 'day' | 'from' | 'handId'>>) {
    const one = shown.value.find((other) => other.id === id);
    const was = placed.value.find((other) => other.id === id);
    if (!one || !was) return;
    const place = { day: to.day ?? one.day, from: to.from ?? one.from, handId: to.handId ?? one.handId };
    if (place.day < 0 || place.day >= days.value.length || place.from < 0 || place.from + one.minutes > 1440) return;
    const { sessions: lie, moved, stuck } = moveSession(placed.value, id, place, around.value);
    const same = was.day === place.day && was.from === place.from && was.handId === place.handId;
    trial.value = same
      ? null
      : { title: `${dogName(one.dogId)} moved`, sessions: lie, changed: new Set(moved), dropped: new Set(), stuck, noRoom: [], held: id };
  }
  /** Tries sessions of a plan beside what stays; `dropped` are those it stands in place of. */
  function tryPlan(title: string, added: readonly PlacedSession[], dropped: ReadonlySet<string>, noRoom: readonly NoRoom[]) {
    const fresh = added.map((one) => ({ ...one, id: uuidv7() }));
    trial.value = {
      title,
      sessions: [...placed.value.filter(({ id }) => !dropped.has(id)), ...fresh],
      changed: new Set(fresh.map(({ id }) => id)),
      dropped,
      stuck: [],
      noRoom,
      held: null,
    };
  }
  const giveUp = () => (trial.value = null);
  /** Why what is tried cannot be kept: a dog or hands in two places at a time, or a time that is over. */
  const cannot = computed(() => {
    const { value } = trial;
    if (!value) return [];
    return value.sessions.filter(({ id }) => value.changed.has(id)).flatMap((one) => faultsOf(one).filter(isHardFault));
  });

  const undone = ref<Step[]>([]);
  const done = ref<Step[]>([]);
  async function post(changes: Change[]): Promise<Change[] | null> {
    const before = new Map(byId.value);
    const answer = await keeping.keep('/api/calendar-changes', CalendarChanged, { sessions: changes }, null, 'POST');
    if (!answer) return null;
    const kept = new Map(answer.sessions.map((one) => [one.id, one]));
    sessions.value = [...sessions.value.filter(({ id }) => !kept.has(id)), ...answer.sessions].sort(
      (a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.from - b.from) || (a.id < b.id ? -1 : 1),
    );
    return changes.map(({ id }) => {
      const { id: _id, version, ...is } = kept.get(id)!;
      const was = before.get(id);
      const { id: _wasId, version: _wasVersion, ...facts } = was ?? { ...is, state: 'dropped' as const, id, version };
      return { id, version, facts };
    });
  }
  async function apply(title: string, changes: Change[]): Promise<boolean> {
    const back = await post(changes);
    if (!back) return false;
    done.value = [...done.value, { title, changes: back }];
    undone.value = [];
    return true;
  }
  /** Versions may have moved on since a step was noted: what is changed is always the session as it is known here. */
  const current = (changes: Change[]) => changes.map((one) => ({ ...one, version: byId.value.get(one.id)?.version ?? null }));
  async function step(from: Ref<Step[]>, to: Ref<Step[]>) {
    const last = from.value.at(-1);
    if (!last) return;
    trial.value = null;
    const back = await post(current(last.changes));
    if (!back) return;
    from.value = from.value.slice(0, -1);
    to.value = [...to.value, { title: last.title, changes: back }];
  }
  async function keepTrial(): Promise<boolean> {
    const { value } = trial;
    if (!value || cannot.value.length > 0 || value.stuck.length > 0) return false;
    const changes: Change[] = [
      ...[...value.dropped].map((id) => {
        const { id: _id, version, ...facts } = byId.value.get(id)!;
        return { id, version, facts: { ...facts, state: 'dropped' as const } };
      }),
      ...value.sessions
        .filter(({ id }) => value.changed.has(id))
        .map((one) => {
          const known = byId.value.get(one.id);
          return { id: one.id, version: known?.version ?? null, facts: plannedFacts(one, days.value, known?.note ?? '') };
        }),
    ];
    const kept = await apply(value.title, changes);
    if (kept) trial.value = null;
    return kept;
  }
  async function drop(ids: readonly string[], title: string) {
    trial.value = null;
    const changes = ids.map((id) => {
      const { id: _id, version, ...facts } = byId.value.get(id)!;
      return { id, version, facts: { ...facts, state: 'dropped' as const } };
    });
    if (await apply(title, changes)) selected.value = null;
  }

  return {
    keeping,
    adopt,
    live,
    days,
    around,
    hands,
    programmes,
    placed,
    orphans,
    shown,
    trial,
    selected,
    heldBy,
    byId,
    cannot,
    dogName,
    stageName,
    faultsOf,
    startOf,
    tryMove,
    tryPlan,
    giveUp,
    keepTrial,
    drop,
    done,
    undone,
    undo: () => step(done, undone),
    redo: () => step(undone, done),
  };
}
export type CalendarBoard = ReturnType<typeof useCalendarBoard>;
