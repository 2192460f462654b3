import type { FittedRigPart } from '@banter/core';
import { RIG_CATALOGUE } from '../collars/collar-kinds.ts';
import type { Dressing, RigPartShape } from '../records/dressing.ts';
import type { Gear } from '../records/gear.ts';
import type { z } from '../plain-words.ts';

type RigPart = z.infer<typeof RigPartShape>;

/** The piece of the locker that a part of a rig is; null: none of ours, or not said. */
export const pieceOf = ({ gearId }: Pick<RigPart, 'gearId'>, gear: readonly Gear[]): Gear | null =>
  gearId === null ? null : (gear.find(({ id }) => id === gearId) ?? null);

/** The pieces of the locker that a part of a kind could be: those that are not scrapped, and the one that it is. */
export const piecesFor = ({ kind, gearId }: Pick<RigPart, 'kind' | 'gearId'>, gear: readonly Gear[]): Gear[] =>
  gear.filter(({ id, what, retiredAt }) => what === RIG_CATALOGUE.parts[kind]?.gear && (retiredAt === null || id === gearId));

/** The pieces that hang in a rig, each once, with what they are in it. */
export function rigPieces(dressing: Pick<Dressing, 'rig'> | null, gear: readonly Gear[]): { part: RigPart; piece: Gear }[] {
  const all = (dressing?.rig ?? []).flatMap((part) => {
    const piece = pieceOf(part, gear);
    return piece ? [{ part, piece }] : [];
  });
  return all.filter(({ piece }, index) => all.findIndex((one) => one.piece.id === piece.id) === index);
}

/** A rig as it is judged: what is asked once of a piece (its rating and mass) is the piece's own, in whichever rig it hangs. */
export function rigWithPieces(rig: readonly RigPart[], gear: readonly Gear[]): FittedRigPart[] {
  return rig.map((part) => {
    const piece = pieceOf(part, gear);
    return piece ? { ...part, loadRated: piece.loadRated, massG: piece.massG } : part;
  });
}
