/** What a line of a picture is: the tape, steel, cloth, a hand, what is wrong; a dash is what is behind or was. */
export type PictureTone = 'tape' | 'steel' | 'cloth' | 'hand' | 'stop' | 'soft';
export type PictureLine = { d: string; tone: PictureTone; width?: number; dash?: true; fill?: true };
/** A picture of hands at work: on the dog seen from its left (`side`), on its neck seen from behind (`behind`), or by itself. */
export type HandPicture = { on: 'side' | 'behind' | 'nothing'; lines: readonly PictureLine[]; says: string };

export const line = (tone: PictureTone, d: string, width = 5): PictureLine => ({ tone, d, width });
export const filled = (tone: PictureTone, d: string): PictureLine => ({ tone, d, fill: true });
export const dashed = (tone: PictureTone, d: string, width = 3): PictureLine => ({ tone, d, width, dash: true });
export const circle = (x: number, y: number, r: number) => `M${x - r},${y} a${r},${r} 0 1 0 ${2 * r},0 a${r},${r} 0 1 0 ${-2 * r},0`;

/* On the dog's side: where a collar or a tape lies. */
export const HIGH = 'M150,50 C147,72 137,95 122,110';
export const LOW = 'M181,65 C177,94 163,124 145,142';
export const MID = 'M171,61 C167,87 155,116 138,131';
export const BASE = 'M205,73 C201,108 183,146 163,170';
export const OVER_SKULL = 'M108,29 C119,50 113,80 97,98';
export const MUZZLE = 'M54,57 C58,68 58,80 54,91';
export const NOSE = 'M33,60 C37,68 37,79 33,86';
export const LEASH_UP = 'M150,50 C160,30 180,14 214,6';
export const LEASH_SLACK = 'M122,110 C120,150 160,160 216,128';
export const FLAT_BELOW = 'M163,57 C159,82 148,108 132,123';

/** What a kind of collar brings of its own to the pictures: its mark, and a picture for each line of its `putOn`, in that order. */
export type HardwarePictures = { MARK: KindMark; PUT_ON: readonly HandPicture[] };
/** Its hardware in a square of 32: strap, steel, what is solid, and a thread. */
export type KindMark = { strap?: string; steel?: string; solid?: string; thread?: string };
