import type { FitTone } from '../fit/fit-row.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { listWords } from '../units/count-words.ts';
import { percent } from '../units/percent.ts';
import { rigRoutes, type RigPart, type RigRoutes } from './rig-graph.ts';
import { RIG_PART_KINDS, type FittedRigPart, type RigCollar, type RigPartKindName } from './rig-parts.ts';

/** What a rig is judged by beside its parts. Lengths mm, weight kg; null where it is not known. */
export type RigOnDog = {
  worn: readonly RigCollar[];
  weightKg: number | null;
  /** How much shorter the prong gets when it closes, and which of its rings the leash is on. */
  prong: { closingMm: number; ring: 'live' | 'both' } | null;
  /** Girth less the backup slip's length, closed to the bottom of its clip: what a backup has over the neck. */
  backupOverMm: number | null;
  /** Of the flat collar as it is set: whether it comes over the head, and whether its buckle is plastic. */
  flat: { holds: boolean | null; plastic: boolean };
};

export type RigReason =
  | { code: 'not-connected' }
  | { code: 'sound'; routes: number }
  | { code: 'single-points'; names: string[] }
  | { code: 'loose-end'; names: string[] }
  | { code: 'leash-on-electronic' }
  | { code: 'backup-on-control-loop' }
  | { code: 'backup-on-electronic'; other: boolean }
  | { code: 'not-load-rated' }
  | { code: 'load-rating-unknown' }
  | { code: 'clip-too-heavy'; massG: number; ratio: number; limit: number; weightKg: number }
  | { code: 'clip-on-small-dog'; weightKg: number; limitKg: number }
  | { code: 'backup-loads-early'; slackMm: number; neededMm: number; against: 'closing' | 'travel' }
  | { code: 'backup-slack-unknown'; neededMm: number; against: 'closing' | 'travel' }
  | { code: 'backup-hangs-free'; slackMm: number; neededMm: number; against: 'closing' | 'travel' }
  | { code: 'backup-slip-tightens'; overMm: number; neededMm: number }
  | { code: 'anchor-comes-off' }
  | { code: 'anchor-unchecked' }
  | { code: 'plastic-buckle' }
  | { code: 'line-on-head-collar' };

const RIG_REASON_TONES: Record<RigReason['code'], FitTone> = {
  'not-connected': 'stop',
  sound: 'good',
  'single-points': 'mind',
  'loose-end': 'mind',
  'leash-on-electronic': 'stop',
  'backup-on-control-loop': 'stop',
  'backup-on-electronic': 'mind',
  'not-load-rated': 'stop',
  'load-rating-unknown': 'mind',
  'clip-too-heavy': 'mind',
  'clip-on-small-dog': 'mind',
  'backup-loads-early': 'stop',
  'backup-slack-unknown': 'mind',
  'backup-hangs-free': 'good',
  'backup-slip-tightens': 'stop',
  'anchor-comes-off': 'stop',
  'anchor-unchecked': 'mind',
  'plastic-buckle': 'mind',
  'line-on-head-collar': 'stop',
};

/** How much a reason weighs: a backup on the electronic strap is a stop where there is anything else to hang it on. */
export const rigReasonTone = (reason: RigReason): FitTone => (reason.code === 'backup-on-electronic' && reason.other ? 'stop' : RIG_REASON_TONES[reason.code]);

const against = { closing: 'the prong shortens by when it closes', travel: 'the leash hand travels before the prong closes' };

export const RIG_REASON_WORDS: ReasonWords<RigReason> = {
  'not-connected': () => 'Nothing leads from the hand to the dog.',
  sound: (r) => `${r.routes} routes share no part (sound from 2): whichever part fails, the dog is still held.`,
  'single-points': (r) =>
    r.names.length === 1
      ? `The ${r.names[0]} is a single point (sound needs 2 routes that share no part): if it fails, the dog is loose.`
      : `Single points (sound needs 2 routes that share no part): ${listWords(r.names)}. If any one of these fails, the dog is loose.`,
  'loose-end': (r) => `${r.names.length === 1 ? 'One part leads' : 'Some parts lead'} nowhere and hold nothing: ${listWords(r.names)}.`,
  'leash-on-electronic': () => 'A leash is on the electronic collar: never attach one; it drives the contacts into the neck.',
  'backup-on-control-loop': () =>
    'The backup hangs on a martingale’s control loop: pulled, it tightens the collar instead of holding beside it. Use its body ring.',
  'backup-on-electronic': (r) =>
    r.other
      ? 'The backup hangs on the electronic collar’s strap, and there is another collar to hold it: use that one.'
      : 'The backup hangs on the electronic collar’s strap: only because there is nothing else; it is not made to hold a dog.',
  'not-load-rated': () => 'The carabiner is not rated for load: a key-ring one opens when it is needed.',
  'load-rating-unknown': () => 'Nobody has said whether the carabiner is rated for load: look for the rating stamped on it.',
  'clip-too-heavy': (r, speak) =>
    `A clip of ${Math.round(r.massG)} g is ${percent(r.ratio)} of a dog of ${speak.weight(r.weightKg)}, more than the ${percent(r.limit)} allowed: a coupler is lighter.`,
  'clip-on-small-dog': (r, speak) =>
    `A carabiner hangs on a dog of ${speak.weight(r.weightKg)}, under the ${speak.weight(r.limitKg)} of a small dog, and nobody has weighed it: a coupler is lighter.`,
  'backup-loads-early': (r, speak) =>
    `The backup loads too early: ${speak.gap(r.slackMm)} of slack, and it needs more than the ${speak.gap(r.neededMm)} ${against[r.against]}.`,
  'backup-slack-unknown': (r, speak) => `The backup’s slack is not measured: it needs more than the ${speak.gap(r.neededMm)} ${against[r.against]}.`,
  'backup-hangs-free': (r, speak) =>
    `The backup has ${speak.gap(r.slackMm)} of slack, more than the ${speak.gap(r.neededMm)} ${against[r.against]}: it carries nothing while the prong works.`,
  'backup-slip-tightens': (r, speak) =>
    `The backup slip is ${speak.gap(r.overMm)} over the neck, less than the ${speak.gap(r.neededMm)} a backup has: it would tighten while the prong is on.`,
  'anchor-comes-off': () => 'The flat collar can be pulled over the head: it is no anchor for a backup.',
  'anchor-unchecked': () => 'Nobody has checked that the flat collar stays on the head: until then it is not known to be an anchor.',
  'plastic-buckle': () => 'The flat collar closes with a plastic buckle, which fails, most of all in the cold: a weak part of the backup.',
  'line-on-head-collar': () => 'A long line is on the head collar: never; a run to its end jerks the neck.',
};

/** Ties that a backup hangs by. */
const TIES = new Set<RigPartKindName>(['second snap', 'carabiner', 'coupler', 'coupler with spare ring', 'safety strap', 'slip lead']);
/** A backup is worn 3 in (76.2 mm) or more over the neck, to the bottom of its clip; mm. Common practice. */
const BACKUP_OVER_MM = 76.2;

const nameOf = (part: RigPart) => RIG_PART_KINDS[part.kind as RigPartKindName]?.name ?? part.kind;

/** Every reason that a rig gets from its graph alone, whatever its parts are. */
export function routeReasons(parts: readonly RigPart[], routes: RigRoutes): RigReason[] {
  const named = (ids: readonly string[]) => parts.filter(({ id }) => ids.includes(id)).map(nameOf);
  const inOrder = (ids: readonly string[]) => ids.map((id) => nameOf(parts.find((part) => part.id === id)!));
  if (!routes.connected) return [{ code: 'not-connected' }];
  return [
    routes.sound ? { code: 'sound', routes: routes.routes.length } : { code: 'single-points', names: inOrder(routes.singlePoints) },
    ...(routes.loose.length > 0 ? [{ code: 'loose-end' as const, names: named(routes.loose) }] : []),
  ];
}

/**
 * A rig on a dog, judged: its routes, and what the trade forbids or asks of a backup. Slack of a tie on the dead ring is held
 * against the prong's closing, of one on the leash against the ring's travel; a slip that serves as backup against 3 in over the
 * neck; a clip's mass against the dog's. `tone` is the worst of all. Lengths mm, masses g. Common practice.
 */
export function judgeRig(parts: readonly FittedRigPart[], dog: RigOnDog, rules: HouseRules): RigRoutes & { reasons: RigReason[]; tone: FitTone } {
  const routes = rigRoutes(parts);
  const reasons = routeReasons(parts, routes);
  const touches = (part: FittedRigPart, joint: FittedRigPart['from']) => part.from === joint || part.to === joint;
  const leashEnd = (part: FittedRigPart) => touches(part, 'leash end') || touches(part, 'second leash end');
  const ties = parts.filter(({ kind }) => TIES.has(kind));

  const onElectronic = parts.filter((part) => part.kind !== 'electronic strap' && touches(part, 'electronic strap'));
  if (onElectronic.some((part) => ['leash', 'long line', 'snap'].includes(part.kind) || (TIES.has(part.kind) && leashEnd(part))))
    reasons.push({ code: 'leash-on-electronic' });
  else if (onElectronic.length > 0)
    reasons.push({ code: 'backup-on-electronic', other: dog.worn.some((collar) => collar === 'flat' || collar === 'wide-throat' || collar === 'martingale') });
  if (ties.some((part) => touches(part, 'loop ring'))) reasons.push({ code: 'backup-on-control-loop' });

  const line = parts.find(({ kind }) => kind === 'long line');
  if (line && parts.some((part) => touches(part, 'chin ring') && (part === line || touches(part, 'leash end')))) reasons.push({ code: 'line-on-head-collar' });

  for (const { loadRated } of parts.filter(({ kind }) => kind === 'carabiner')) {
    if (loadRated === false) reasons.push({ code: 'not-load-rated' });
    if (loadRated === null) reasons.push({ code: 'load-rating-unknown' });
  }
  for (const { massG, kind } of ties) {
    if (massG === null && kind === 'carabiner' && dog.weightKg !== null && dog.weightKg < rules.smallDogKg)
      reasons.push({ code: 'clip-on-small-dog', weightKg: dog.weightKg, limitKg: rules.smallDogKg });
    if (massG === null || dog.weightKg === null) continue;
    const ratio = massG / 1000 / dog.weightKg;
    if (ratio > rules.clipMassRatio) reasons.push({ code: 'clip-too-heavy', massG, ratio, limit: rules.clipMassRatio, weightKg: dog.weightKg });
  }
  if (dog.prong) {
    for (const part of ties) {
      // The second half of a coupler in two is slack with the first.
      const how = touches(part, 'dead ring') ? 'closing' : leashEnd(part) && touches(part, 'leash end') ? 'travel' : null;
      if (how === null) continue;
      const neededMm = how === 'closing' ? dog.prong.closingMm : dog.prong.ring === 'live' ? rules.liveTravelMm : rules.bothTravelMm;
      reasons.push(
        part.slackMm === null
          ? { code: 'backup-slack-unknown', neededMm, against: how }
          : { code: part.slackMm > neededMm ? 'backup-hangs-free' : 'backup-loads-early', slackMm: part.slackMm, neededMm, against: how },
      );
    }
    if (dog.backupOverMm !== null && dog.backupOverMm < BACKUP_OVER_MM - 1e-9 && parts.some(({ kind }) => kind === 'clip-on slip'))
      reasons.push({ code: 'backup-slip-tightens', overMm: dog.backupOverMm, neededMm: BACKUP_OVER_MM });
  }
  if (ties.some((part) => touches(part, 'flat ring'))) {
    if (dog.flat.holds === false) reasons.push({ code: 'anchor-comes-off' });
    if (dog.flat.holds === null) reasons.push({ code: 'anchor-unchecked' });
    if (dog.flat.plastic) reasons.push({ code: 'plastic-buckle' });
  }
  const rank = { good: 0, mind: 1, stop: 2 } as const;
  const tone = reasons
    .map(rigReasonTone)
    .reduce((worst, one) => (rank[one as keyof typeof rank] > rank[worst as keyof typeof rank] ? one : worst), 'good' as FitTone);
  return { ...routes, reasons, tone };
}
