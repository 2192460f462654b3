import { worstTone, type FitTone } from '../fit/fit-row.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { HouseSchools } from '../rules/house-schools.ts';
import { listWords } from '../units/count-words.ts';
import { percent } from '../units/percent.ts';
import { rigRoutes, type RigPart, type RigRoutes } from './rig-graph.ts';
import type { FittedRigPart, RigCatalogue } from './rig-parts.ts';
import { atLeast } from '../units/tolerance.ts';

/** Of a worn collar that closes when the leash is drawn: by how much it gets shorter, how far the leash hand moves first, and its ring that does not close; mm. */
export type RigClosing = { byMm: number; travelMm: number; deadJoint: string };
/** Of a worn collar that a backup hangs on: whether it stays on the head, null while nobody looked, and whether its buckle is plastic. */
export type RigAnchor = { joint: string; called: string; holds: boolean | null; plastic: boolean };
/** Of a collar that is itself the backup: how much longer than the neck it is, and how much a backup is at least; mm. */
export type RigBackup = { partKind: string; overMm: number; neededMm: number };

/** What a rig is judged by beside its parts: what is worn (ids of roles), the dog's weight in kg, null where it is not known, and what each collar brings. */
export type RigOnDog = {
  wornRoles: readonly string[];
  weightKg: number | null;
  closing: RigClosing | null;
  backup: RigBackup | null;
  anchors: readonly RigAnchor[];
};

export type RigReason =
  | { code: 'not-connected' }
  | { code: 'sound'; routes: number }
  | { code: 'single-points'; names: string[] }
  | { code: 'one-backup'; uncovered: string[] }
  | { code: 'loose-end'; names: string[] }
  | { code: 'leash-on-electronic' }
  | { code: 'backup-where-it-closes'; joint: string }
  | { code: 'backup-on-electronic'; other: boolean }
  | { code: 'part-not-counted'; name: string }
  | { code: 'not-load-rated' }
  | { code: 'load-rating-unknown' }
  | { code: 'clip-too-heavy'; massG: number; ratio: number; limit: number; weightKg: number }
  | { code: 'clip-on-small-dog'; weightKg: number; limitKg: number }
  | { code: 'backup-loads-early'; slackMm: number; neededMm: number; against: 'closing' | 'travel' }
  | { code: 'backup-slack-unknown'; neededMm: number; against: 'closing' | 'travel' }
  | { code: 'backup-hangs-free'; slackMm: number; neededMm: number; against: 'closing' | 'travel' }
  | { code: 'backup-slip-tightens'; overMm: number; neededMm: number }
  | { code: 'anchor-comes-off'; called: string }
  | { code: 'anchor-unchecked'; called: string }
  | { code: 'plastic-buckle'; called: string }
  | { code: 'line-where-it-jerks'; joint: string };

const RIG_REASON_TONES: Record<RigReason['code'], FitTone> = {
  'not-connected': 'stop',
  sound: 'good',
  'single-points': 'mind',
  'one-backup': 'good',
  'loose-end': 'mind',
  'leash-on-electronic': 'stop',
  'backup-where-it-closes': 'stop',
  'backup-on-electronic': 'mind',
  'part-not-counted': 'mind',
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
  'line-where-it-jerks': 'stop',
};

/** How much a reason weighs: a backup on the electronic strap is a stop where there is anything else to hang it on. */
export const rigReasonTone = (reason: RigReason): FitTone => (reason.code === 'backup-on-electronic' && reason.other ? 'stop' : RIG_REASON_TONES[reason.code]);

export const RIG_REASON_WORDS: ReasonWords<RigReason> = {
  'not-connected': () => 'Nothing leads from the hand to the dog.',
  sound: (r) => `${r.routes} routes share no part (sound from 2): whichever part fails, the dog is still held.`,
  'single-points': (r) =>
    r.names.length === 1
      ? `The ${r.names[0]} is a single point (sound needs 2 routes that share no part): if it fails, the dog is loose.`
      : `Single points (sound needs 2 routes that share no part): ${listWords(r.names)}. If any one of these fails, the dog is loose.`,
  'one-backup': (r) =>
    `Backed up: if the collar opens, the dog is still held. Not covered: ${listWords(r.uncovered)}; look at ${r.uncovered.length === 1 ? 'it' : 'them'} at every wear.`,
  'loose-end': (r) => `${r.names.length === 1 ? 'One part leads' : 'Some parts lead'} nowhere and hold nothing: ${listWords(r.names)}.`,
  'leash-on-electronic': () => 'A leash is on the electronic collar: never attach one; it drives the contacts into the neck.',
  'backup-where-it-closes': (r) =>
    `The backup hangs on the ${r.joint}: pulled, it tightens the collar instead of holding beside it. Hang it on a ring that does not close.`,
  'backup-on-electronic': (r) =>
    r.other
      ? 'The backup hangs on the electronic collar’s strap, and there is another collar to hold it: use that one.'
      : 'The backup hangs on the electronic collar’s strap: only because there is nothing else; it is not made to hold a dog.',
  'part-not-counted': (r) => `The collar has a ${r.name}, which can fail like every part and is not in this rig: add the collar again.`,
  'not-load-rated': () => 'The carabiner is not rated for load: a key-ring one opens when it is needed.',
  'load-rating-unknown': () => 'Carabiner’s load rating not logged: look for the rating stamped on it.',
  'clip-too-heavy': (r, speak) =>
    `A clip of ${speak.mass(r.massG)} is ${percent(r.ratio)} of a dog of ${speak.weight(r.weightKg)}, more than the ${percent(r.limit)} allowed: a coupler is lighter.`,
  'clip-on-small-dog': (r, speak) =>
    `A carabiner hangs on a dog of ${speak.weight(r.weightKg)}, under the ${speak.weight(r.limitKg)} of a small dog, and nobody has weighed it: a coupler is lighter.`,
  'backup-loads-early': (r, speak) => `Backup too short: ${speak.gap(r.slackMm)} slack, ${r.against} needs over ${speak.gap(r.neededMm)}.`,
  'backup-slack-unknown': (r, speak) => `Backup’s slack not measured: ${r.against} needs over ${speak.gap(r.neededMm)}.`,
  'backup-hangs-free': (r, speak) => `Backup hangs free: ${speak.gap(r.slackMm)} slack, ${r.against} needs over ${speak.gap(r.neededMm)}.`,
  'backup-slip-tightens': (r, speak) =>
    `Backup slip too short: ${speak.gap(r.overMm)} over the neck, needs ${speak.gap(r.neededMm)}, or it tightens while the collar works.`,
  'anchor-comes-off': (r) => `The ${r.called} can be pulled over the head: it is no anchor for a backup.`,
  'anchor-unchecked': (r) => `Not checked yet that the ${r.called} stays on the head: until then it is not known to be an anchor.`,
  'plastic-buckle': (r) => `The ${r.called} closes with a plastic buckle, which fails, most of all in the cold: a weak part of the backup.`,
  'line-where-it-jerks': (r) => `A long line is on the ${r.joint}: never; a run to its end jerks the neck.`,
};

/** Ties that a backup hangs by. */
const TIES = new Set(['second snap', 'carabiner', 'coupler', 'coupler with spare ring', 'safety strap', 'slip lead']);
/** Every reason that a rig gets from its graph alone, whatever its parts are. */
export function routeReasons(parts: readonly RigPart[], routes: RigRoutes, catalogue: Pick<RigCatalogue, 'parts'>): RigReason[] {
  const nameOf = ({ kind }: RigPart) => (Object.hasOwn(catalogue.parts, kind) ? catalogue.parts[kind]!.name : kind);
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
 * against the collar's closing, of one on the leash against the ring's travel; a slip that serves as backup against what a backup
 * has over the neck; a clip’s mass against the dog’s. Where the house is content with one backup, the single parts that it does not
 * cover are named and no fault. `tone` is the worst of all. Lengths mm, masses g. Common practice.
 */
export function judgeRig(
  parts: readonly FittedRigPart[],
  dog: RigOnDog,
  rules: HouseRules,
  catalogue: RigCatalogue,
  { backupSchool }: Pick<HouseSchools, 'backupSchool'>,
): RigRoutes & { reasons: RigReason[]; tone: FitTone } {
  const routes = rigRoutes(parts);
  const ties = parts.filter(({ kind }) => TIES.has(kind));
  const reasons = [
    ...routeReasons(parts, routes, catalogue).map((reason) =>
      reason.code === 'single-points' && backupSchool === 'one-backup' && isBackedUp(parts, ties, routes)
        ? { code: 'one-backup' as const, uncovered: reason.names }
        : reason,
    ),
    ...uncounted(parts, dog, catalogue),
    ...jointReasons(parts, ties, dog, catalogue),
    ...clipReasons(parts, ties, dog, rules),
    ...backupReasons(parts, ties, dog),
    ...anchorReasons(ties, dog),
  ];
  return { ...routes, reasons, tone: worstTone(reasons.map((reason) => ({ tone: rigReasonTone(reason) }))) };
}

const touches = (part: FittedRigPart, joint: string) => part.from === joint || part.to === joint;
/** Whether a tie holds the dog should the collar itself open: then no single point goes to the dog. */
const isBackedUp = (parts: readonly FittedRigPart[], ties: readonly FittedRigPart[], { connected, singlePoints }: RigRoutes) =>
  connected && ties.length > 0 && !parts.some((part) => singlePoints.includes(part.id) && touches(part, 'dog'));
const onLeashEnd = (part: FittedRigPart) => touches(part, 'leash end') || touches(part, 'second leash end');

/** Parts that a worn collar of the rig has, and that its rig has not. */
function uncounted(parts: readonly FittedRigPart[], { wornRoles: worn }: RigOnDog, catalogue: RigCatalogue): RigReason[] {
  const isIn = ({ kind }: FittedRigPart) => parts.some((part) => part.kind === kind);
  return catalogue.roles
    .filter((role) => worn.includes(role.id) && role.parts.some(isIn))
    .flatMap((role) => role.parts.filter((part) => catalogue.parts[part.kind]?.counted && !isIn(part)))
    .map(({ kind }) => ({ code: 'part-not-counted', name: catalogue.parts[kind]!.name }));
}

/** What goes to a joint that it must not go to. */
function jointReasons(parts: readonly FittedRigPart[], ties: readonly FittedRigPart[], dog: RigOnDog, { joints, roles }: RigCatalogue): RigReason[] {
  const line = parts.find(({ kind }) => kind === 'long line');
  const holding = roles.filter(({ id, holdsAt }) => dog.wornRoles.includes(id) && holdsAt.length > 0);
  return Object.entries(joints).flatMap(([joint, { name, leash, line: noLine, backup }]): RigReason[] => {
    const reasons: RigReason[] = [];
    // The collar's own parts lead on to the dog.
    const led = parts.filter((part) => touches(part, joint) && !roles.some((role) => role.parts.some(({ kind }) => kind === part.kind)));
    if (leash === 'never' && led.some((part) => ['leash', 'long line', 'snap'].includes(part.kind) || (TIES.has(part.kind) && onLeashEnd(part))))
      reasons.push({ code: 'leash-on-electronic' });
    else if (backup === 'last' && led.length > 0) reasons.push({ code: 'backup-on-electronic', other: holding.length > 0 });
    if (backup === 'never' && ties.some((part) => touches(part, joint))) reasons.push({ code: 'backup-where-it-closes', joint: name });
    if (noLine === 'never' && line && parts.some((part) => touches(part, joint) && (part === line || touches(part, 'leash end'))))
      reasons.push({ code: 'line-where-it-jerks', joint: name });
    return reasons;
  });
}

/** Carabiners by their rating, and ties by their mass. */
function clipReasons(parts: readonly FittedRigPart[], ties: readonly FittedRigPart[], { weightKg }: RigOnDog, rules: HouseRules): RigReason[] {
  const rating = parts.flatMap(({ kind, loadRated }): RigReason[] => {
    if (kind !== 'carabiner' || loadRated === true) return [];
    return [{ code: loadRated === false ? 'not-load-rated' : 'load-rating-unknown' }];
  });
  if (weightKg === null) return rating;
  const mass = ties.flatMap(({ massG, kind }): RigReason[] => {
    if (massG === null) return kind === 'carabiner' && weightKg < rules.smallDogKg ? [{ code: 'clip-on-small-dog', weightKg, limitKg: rules.smallDogKg }] : [];
    const ratio = massG / 1000 / weightKg;
    return ratio > rules.clipMassRatio ? [{ code: 'clip-too-heavy', massG, ratio, limit: rules.clipMassRatio, weightKg }] : [];
  });
  return [...rating, ...mass];
}

/** Whether a backup hangs free while the collar works. */
function backupReasons(parts: readonly FittedRigPart[], ties: readonly FittedRigPart[], { closing, backup }: RigOnDog): RigReason[] {
  if (!closing) return [];
  const slack = ties.flatMap((part): RigReason[] => {
    // The second half of a coupler in two is slack with the first.
    const how = touches(part, closing.deadJoint) ? 'closing' : touches(part, 'leash end') ? 'travel' : null;
    if (how === null) return [];
    const neededMm = how === 'closing' ? closing.byMm : closing.travelMm;
    if (part.slackMm === null) return [{ code: 'backup-slack-unknown', neededMm, against: how }];
    return [{ code: part.slackMm > neededMm ? 'backup-hangs-free' : 'backup-loads-early', slackMm: part.slackMm, neededMm, against: how }];
  });
  if (!backup || atLeast(backup.overMm, backup.neededMm) || !parts.some(({ kind }) => kind === backup.partKind)) return slack;
  return [...slack, { code: 'backup-slip-tightens', overMm: backup.overMm, neededMm: backup.neededMm }];
}

/** What a backup hangs on. */
function anchorReasons(ties: readonly FittedRigPart[], { anchors }: RigOnDog): RigReason[] {
  return anchors.flatMap(({ joint, called, holds, plastic }): RigReason[] => {
    if (!ties.some((part) => touches(part, joint))) return [];
    return [
      ...(holds === false ? [{ code: 'anchor-comes-off' as const, called }] : []),
      ...(holds === null ? [{ code: 'anchor-unchecked' as const, called }] : []),
      ...(plastic ? [{ code: 'plastic-buckle' as const, called }] : []),
    ];
  });
}
