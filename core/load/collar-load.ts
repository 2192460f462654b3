import { angleAtClock } from '../neck/clock.ts';

/** The collars whose load is reckoned, by how they carry it. */
export const LOAD_KINDS = ['flat', 'martingale-met', 'martingale-apart', 'slip', 'prong'] as const;
export type LoadKind = (typeof LOAD_KINDS)[number];

/** How slippery a strap runs over hair: dimensionless. From memory. */
export const STRAP_FRICTION = 0.3;

/** A collar under a leash at 12. Force N, lengths mm, tip area mm². `falls` says which way round a slip's tension falls from its ring, as seen from behind. */
export type LoadCase = { leashForceN: number; girthMm: number } & (
  | { kind: Exclude<LoadKind, 'slip' | 'prong'>; widthMm: number }
  | { kind: 'slip'; widthMm: number; friction: number; falls?: 'clockwise' | 'anticlockwise' }
  | { kind: 'prong'; pitchMm: number; tipAreaMm2: number }
);

export type CollarLoad = {
  /** Every half hour from half past twelve to twelve; kPa on the skin. */
  byClock: { clock: number; kPa: number }[];
  peakKPa: number;
  /** Over the whole circle; of a prong, over its tips. */
  meanKPa: number;
  /** Force of one tip, N; null where there are none. */
  tipForceN: number | null;
};

/** N per mm² as kPa. */
const KPA = 1000;
/** A flat strap pulled from 12 lies on the 240° about the throat and stands off above. Idealised. */
const STANDS_OFF = { from: 2, to: 10 } as const;
const TIPS_A_LINK = 2;

const HALF_HOURS = Array.from({ length: 24 }, (_half, index) => (index + 1) / 2);

/**
 * Idealised pressures of a collar round a circle of radius r = girth/2π for a leash force F at 12: pressure = T/(r·width).
 * Flat, and a martingale whose rings have met: T = F/2 over 240° about the throat, nothing above. Rings apart: T = F/2 all round.
 * Slip: T = F at the ring, falling as e^(−friction·angle) all the way round to the ring's other side. Prong: T = F/2 all round, a
 * link's share T·pitch/r on two tips.
 * Source: a belt on a drum, Euler (1769) and Eytelwein (1808), any handbook of mechanics; which part carries is own idealisation.
 *
 * @example collarLoad({ kind: 'martingale-apart', leashForceN: 100, girthMm: 400, widthMm: 25 }).peakKPa // 31.4
 */
export function collarLoad(load: LoadCase): CollarLoad {
  const radius = load.girthMm / (2 * Math.PI);
  const { leashForceN: force } = load;
  const all = (at: (clock: number) => number) => HALF_HOURS.map((clock) => ({ clock, kPa: at(clock) }));
  if (load.kind === 'prong') {
    const tipForceN = ((force / 2) * load.pitchMm) / radius / TIPS_A_LINK;
    const kPa = (tipForceN / load.tipAreaMm2) * KPA;
    return { byClock: all(() => kPa), peakKPa: kPa, meanKPa: kPa, tipForceN };
  }
  const pressure = (tension: number) => (tension / (radius * load.widthMm)) * KPA;
  switch (load.kind) {
    case 'martingale-apart': {
      const kPa = pressure(force / 2);
      return { byClock: all(() => kPa), peakKPa: kPa, meanKPa: kPa, tipForceN: null };
    }
    case 'flat':
    case 'martingale-met': {
      const kPa = pressure(force / 2);
      const { from, to } = STANDS_OFF;
      return { byClock: all((clock) => (clock >= from && clock <= to ? kPa : 0)), peakKPa: kPa, meanKPa: (kPa * (to - from)) / 12, tipForceN: null };
    }
    case 'slip': {
      const { friction, falls = 'clockwise' } = load;
      const gone = (clock: number) => (falls === 'clockwise' || clock === 12 ? angleAtClock(clock) : 2 * Math.PI - angleAtClock(clock));
      const round = 2 * Math.PI * friction;
      const share = round === 0 ? 1 : -Math.expm1(-round) / round;
      return {
        byClock: all((clock) => pressure(force * Math.exp(-friction * gone(clock)))),
        peakKPa: pressure(force),
        meanKPa: pressure(force) * share,
        tipForceN: null,
      };
    }
  }
}

/**
 * What a rounded tip of a prong touches the skin with: about the section of its wire, mm². From memory.
 *
 * @example tipAreaMm2(3) // 7.07
 */
export function tipAreaMm2(gaugeMm: number): number {
  return (Math.PI / 4) * gaugeMm ** 2;
}
