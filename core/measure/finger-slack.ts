/** A handler's finger, in mm: thickness nail to pad, width side to side. */
export type Finger = { thicknessMm: number; widthMm: number };

/**
 * Slack in mm that fingers side by side make under a strap round a neck: the perimeter of the convex hull of
 * the neck circle and a flat stadium (count·width wide, thickness thick) lying on it, minus the neck's girth.
 *
 * With a = thickness/2, R = girth/2π, end-circle centres at (±h, R+a) where h = (count·width − thickness)/2,
 * d = √(h²+(R+a)²), φ = atan2(h, R+a), θ = acos((R−a)/d), tangent t = √(d²−(R−a)²):
 * L = 2[h + a(φ+θ) + t + R(π−φ−θ)].
 * For one round finger h = 0, and L is the open belt about two touching circles,
 * 4√(Ra) + R(π+2α) + a(π−2α) with sin α = (R−a)/(R+a).
 * Source: geometry; the open belt stands in Machinery's Handbook, «lengths of open belts».
 *
 * @example fingerSlack(390, 1, { thicknessMm: 16, widthMm: 16 }) // 14.6 (worked example)
 */
export function fingerSlack(girthMm: number, fingers: number, finger: Finger): number {
  const neckRadius = girthMm / (2 * Math.PI);
  const endRadius = finger.thicknessMm / 2;
  const half = (fingers * finger.widthMm - finger.thicknessMm) / 2;
  const reach = Math.hypot(half, neckRadius + endRadius);
  const lean = Math.atan2(half, neckRadius + endRadius);
  const wrap = Math.acos((neckRadius - endRadius) / reach);
  const tangent = Math.sqrt(reach ** 2 - (neckRadius - endRadius) ** 2);
  const strap = 2 * (half + endRadius * (lean + wrap) + tangent + neckRadius * (Math.PI - lean - wrap));
  return strap - girthMm;
}

/** The flat hand under a strap is four fingers. Common practice. */
export const FLAT_HAND_FINGERS = 4;
