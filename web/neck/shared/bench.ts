import {
  byHandsReason,
  collarKind,
  fitSureness,
  ringAtFor,
  schoolsSay,
  suggestFor,
  type AnyCollarKind,
  type BenchCollar,
  type Collar,
  type CollarKindName,
  type DrawnCollar,
  type FittingDog,
  type PlanOutcome,
  type SureNeck,
} from '@banter/contract';
import { byHandsIn, inCollar, PIECE_WORDS, type FitTone, type House, type Reason } from '@banter/core';
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { useUnits } from '../../stores/units.ts';

/** What stands on the bench before anything is done there: `begin` is what somebody had made up and not kept, `worn` what was last found on the dog, with the choices of its plan; `good` while hands say that it is right. */
export type BenchProps = {
  kind: CollarKindName;
  dog: FittingDog;
  name: string;
  /** How sure its girths are. */
  sure: SureNeck | null;
  stock: readonly (Collar & Pick<BenchCollar, 'against'>)[];
  house: House;
  begin: { collarId: string; choices: Record<string, unknown> } | null;
  worn: { collarId: string; setting: unknown; choices: Record<string, unknown>; good: boolean } | null;
  /** Links of a gauge on a collar as the ledger has it, null where that is what its own numbers say; and in the bag. */
  onCollar: (gaugeMm: number, collarId: string) => number | null;
  inBag: (gaugeMm: number) => number;
};

/** What is on the bench now, and whether that is Banter's own choice. */
export type BenchMade = {
  collarId: string;
  choices: Record<string, unknown>;
  outcome: PlanOutcome;
  drawn: DrawnCollar;
  line: string;
  chosen: boolean;
  /** What was found on it, where that keeps it off every dog. */
  unsound: string | null;
};

/** A bench with one kind of collar on it, whatever the kind: what Banter would take, what is made up now, and all that follows from it. Computed in the page. */
export function useBench(props: BenchProps) {
  const units = useUnits();
  const kind = computed(() => collarKind(props.kind) as AnyCollarKind);
  const collars = computed<(BenchCollar & { measured: boolean })[]>(() =>
    props.stock.map(({ id, name, numbers, owned, against, measuredOn }) => ({
      id,
      name,
      numbers: kind.value.numbers.parse(numbers),
      owned,
      against,
      measured: measuredOn !== null,
    })),
  );
  const proposed = computed(() => collars.value.filter(({ against }) => against === null));
  const suggestion = computed(() => suggestFor(props.kind, props.dog, collars.value, props.house, props.worn?.collarId ?? null));
  const best = computed(() => suggestion.value.choice ?? suggestion.value.all[0] ?? null);

  const collarId = ref('');
  const choices = shallowRef<Record<string, unknown>>({});
  function take(id: string, now: unknown) {
    collarId.value = id;
    choices.value = structuredClone(now) as Record<string, unknown>;
  }
  const choose = (some: Record<string, unknown>) => (choices.value = { ...choices.value, ...some });
  const takeChoice = () => best.value && take(best.value.collarId, best.value.choices);
  watch(
    () => props.stock,
    () => {
      const before = props.begin && kind.value.choices.safeParse(props.begin.choices);
      const isStocked = (id: string) => collars.value.some((one) => one.id === id);
      if (before?.success && isStocked(props.begin!.collarId)) take(props.begin!.collarId, before.data);
      else if (props.worn?.good && proposed.value.some(({ id }) => id === props.worn!.collarId)) take(props.worn.collarId, props.worn.choices);
      else takeChoice();
    },
    { immediate: true },
  );

  // Should another stock come, the first of it stands for the one that is gone until the best of it is taken.
  const collar = computed(() => collars.value.find(({ id }) => id === collarId.value) ?? collars.value[0]!);
  /** The dog as it is inside the collar on the bench: hands outrank the tape. */
  const dog = computed(() => inCollar(props.dog, collarId.value));
  const outcome = computed(() => kind.value.plan(props.dog, collar.value, proposed.value, choices.value, props.house.rules));
  const sureness = computed(() => props.sure && fitSureness(props.kind, props.dog, props.sure, collar.value, props.house));
  const setting = computed(() => kind.value.firstSetting(choices.value));
  const chosen = computed(() => {
    const { choice } = suggestion.value;
    return choice !== null && choice.collarId === collarId.value && JSON.stringify(choice.choices) === JSON.stringify(choices.value);
  });

  const links = computed(() => kind.value.links?.(collar.value.numbers) ?? null);
  /** How sure Banter’s own choice is, and any other make-up that it could still come to; what is made up otherwise is judged as it is. */
  const unsure = computed(() => {
    if (chosen.value) return sureness.value;
    const range = sureness.value?.links;
    const count = links.value?.inIt(setting.value) ?? 0;
    return range && count >= range[0] && count <= range[1] ? { ...sureness.value!, sentence: null } : null;
  });
  const counted = computed(() => (links.value ? props.onCollar(links.value.gaugeMm, collarId.value) : null));
  /** It was found to be mended or worn out: it goes on no dog, however it fits. */
  const unsound = computed(() => {
    const { against } = collar.value;
    return against === null || against === 'plated' ? null : PIECE_WORDS[against];
  });
  const isWorn = computed(() => props.worn?.collarId === collarId.value);
  /** As it was last found good on the dog: no model undoes that. */
  const isGood = computed(() => isWorn.value && props.worn!.good && JSON.stringify(setting.value) === JSON.stringify(props.worn!.setting));
  /** How a collar of links is made up before anything is done: as last found on this dog, else as the ledger has it; null for other kinds. */
  const now = computed(() => (links.value === null ? null : isWorn.value ? props.worn!.setting : links.value.madeUpOf(counted.value || links.value.stocked)));
  const nowIs = computed(() => (isWorn.value ? 'worn' : counted.value !== null && counted.value !== links.value?.stocked ? 'it hangs' : 'stocked'));
  /** Links that have to come out of the bag, where it holds fewer. */
  const short = computed(() => {
    if (links.value === null) return null;
    const { gaugeMm, inIt } = links.value;
    const wanted = inIt(setting.value) - (counted.value ?? inIt(now.value));
    const held = props.inBag(gaugeMm);
    return wanted > held ? { gaugeMm, wanted, held } : null;
  });

  const drawn = computed<DrawnCollar>(() => ({
    kind: props.kind,
    collar: { id: collarId.value, name: collar.value.name, numbers: collar.value.numbers as Record<string, unknown> },
    setting: setting.value,
    ringAt: ringAtFor(props.kind, choices.value, props.house, props.dog.worksOn),
  }));
  const reasons = computed<Reason[]>(() => {
    const said = kind.value.planReasons(outcome.value, units.speak);
    const hands = byHandsReason(props.kind, collar.value.numbers, byHandsIn(props.dog, collarId.value), units.speak);
    const ofChoice = chosen.value ? suggestion.value.reasons(units.speak) : [];
    return [...(hands ? [hands] : []), ...said, ...ofChoice.filter(({ text }) => said.every((one) => one.text !== text))];
  });
  const made = computed<BenchMade>(() => ({
    collarId: collarId.value,
    choices: choices.value,
    outcome: outcome.value,
    drawn: drawn.value,
    line: kind.value.describePlan(collar.value, choices.value, outcome.value, units.speak),
    // As it is found whenever the bench is opened: nothing that hands have made there.
    unsound: unsound.value?.says ?? null,
    chosen: chosen.value || (isGood.value && JSON.stringify(choices.value) === JSON.stringify(props.worn!.choices)),
  }));

  return reactive({
    name: computed(() => props.name),
    dog,
    /** The dog by its tape, for choosing among several collars. */
    taped: computed(() => props.dog),
    house: computed(() => props.house),
    kind,
    collars,
    proposed,
    suggestion,
    take,
    choose,
    takeChoice,
    collar,
    choices,
    outcome,
    chosen,
    setting,
    links,
    isWorn,
    isGood,
    now,
    nowIs,
    short,
    drawn,
    reasons,
    made,
    verdict: computed<{ tone: FitTone; word: string }>(() => {
      if (unsound.value) return { tone: 'stop', word: unsound.value.word };
      if (isGood.value) return { tone: 'good', word: 'Good on the dog' };
      const tone = kind.value.planTone(outcome.value);
      return { tone: unsure.value?.tone ?? tone, word: unsure.value?.verdict ?? kind.value.planVerdict(outcome.value) };
    }),
    /** What would settle a verdict that could still be another. */
    asks: computed(() => sureness.value?.asks ?? []),
    sentence: computed(() => {
      if (unsound.value) return `Leave ${collar.value.name} off: it ${unsound.value.says}.`;
      return unsure.value?.sentence ?? kind.value.planSentence(props.name, props.dog, collar.value, choices.value, outcome.value, now.value, units.speak);
    }),
    rows: computed(() => kind.value.rows(props.dog, collar.value, choices.value, outcome.value, props.house.rules)),
    knobs: computed(() => kind.value.knobs(collar.value.numbers)),
    says: computed(() => {
      const had = proposed.value.filter(({ owned }) => owned);
      return schoolsSay(props.kind, props.name, props.dog, { [props.kind]: had.length > 0 ? had : proposed.value }, props.house, units.speak, {
        ...(props.worn ? { [props.kind]: props.worn.collarId } : {}),
      });
    }),
    wanted: computed(() => (suggestion.value.choice ? null : kind.value.wanted(props.dog, props.house, units.speak))),
  });
}

export type Bench = ReturnType<typeof useBench>;
