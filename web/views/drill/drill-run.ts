import {
  drillDog,
  drillScenes,
  drillScore,
  judgeScene,
  type Direction,
  type DrillAnswer,
  type CorrectionWays,
  type DrillPace,
  type HouseRules,
  type Pressure,
  type SceneJudgement,
} from '@banter/core';
import { useRafFn } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import { onLook } from '../../stores/looked-at.ts';

export type DrillSetting = { seed: number; pace: DrillPace; ways: CorrectionWays; count: number };
/** A hand that holds on past a scene's end is let go for it after so long, ms. */
const PATIENCE_MS = 2500;

/** A drill as it runs: frame by frame the dog of the core, and what hands do by the monotonic clock. */
export function useDrillRun(setting: DrillSetting, rules: HouseRules) {
  const scenes = drillScenes(setting);
  const state = ref<'ready' | 'running' | 'paused' | 'over'>('ready');
  const index = ref(0);
  const begunAt = ref(0);
  const at = ref(0);
  const pressures = shallowRef<Pressure[]>([]);
  const holding = shallowRef<{ direction: Direction; from: number } | null>(null);
  const paidAt = ref<number | null>(null);
  const answers = shallowRef<DrillAnswer[]>([]);
  const judged = shallowRef<SceneJudgement[]>([]);
  const scene = computed(() => scenes[Math.min(index.value, scenes.length - 1)]!);
  const soFar = computed<Pressure[]>(() => (holding.value ? [...pressures.value, { ...holding.value, to: at.value }] : pressures.value));
  const dog = computed(() => drillDog(scene.value, soFar.value, at.value, setting));
  const walked = ref(0);
  const moment = () => Math.max(0, Math.round(performance.now() - begunAt.value));

  function beginScene() {
    begunAt.value = performance.now();
    at.value = 0;
    pressures.value = [];
    holding.value = null;
    paidAt.value = null;
  }
  function release() {
    if (!holding.value) return;
    pressures.value = [...pressures.value, { ...holding.value, to: moment() }];
    holding.value = null;
  }
  function press(direction: Direction) {
    if (state.value !== 'running' || holding.value?.direction === direction) return;
    release();
    holding.value = { direction, from: moment() };
  }
  function pay() {
    if (state.value === 'running' && paidAt.value === null) paidAt.value = moment();
  }
  function endScene() {
    release();
    const answer = { pressures: pressures.value, paidAt: paidAt.value };
    answers.value = [...answers.value, answer];
    judged.value = [...judged.value, judgeScene(scene.value, answer, { ways: setting.ways, rules })];
    if (index.value + 1 >= scenes.length) {
      state.value = 'over';
      frames.pause();
      return;
    }
    index.value += 1;
    beginScene();
  }
  let last = 0;
  const frames = useRafFn(
    () => {
      const now = moment();
      walked.value += Math.max(0, now - last);
      last = now;
      at.value = now;
      if (dog.value.over && (!holding.value || now - holding.value.from > PATIENCE_MS)) {
        last = 0;
        endScene();
      }
    },
    { immediate: false },
  );
  function begin() {
    state.value = 'running';
    last = 0;
    beginScene();
    frames.resume();
  }
  // Nobody can answer what they do not see: the scene begins anew when the page is looked at again.
  onLook((isSeen) => {
    if (!isSeen && state.value === 'running') {
      state.value = 'paused';
      frames.pause();
      holding.value = null;
    }
  });
  return {
    scenes,
    state,
    index,
    scene,
    dog,
    at,
    walked,
    holding,
    paidAt,
    answers,
    judged,
    begin,
    press,
    release,
    pay,
    score: computed(() => drillScore(scenes, judged.value)),
  };
}
export type DrillRun = ReturnType<typeof useDrillRun>;
