/** A point of a cross-section in mm, from the middle of the neck; x to the dog's right, y down. */
export type Point = { x: number; y: number };

/** A point on a circle, by its angle in radians clockwise from the top. */
export function onCircle(centre: Point, radius: number, angle: number): Point {
  return { x: centre.x + radius * Math.sin(angle), y: centre.y - radius * Math.cos(angle) };
}

/** A piece of a ring between two radii and two angles, as an SVG path. */
export function ringSector(centre: Point, inner: number, outer: number, from: number, to: number): string {
  const at = (radius: number, angle: number) => `${centre.x + radius * Math.sin(angle)},${centre.y - radius * Math.cos(angle)}`;
  const large = to - from > Math.PI ? 1 : 0;
  return `M${at(inner, from)} A${inner},${inner} 0 ${large} 1 ${at(inner, to)} L${at(outer, to)} A${outer},${outer} 0 ${large} 0 ${at(outer, from)} Z`;
}

/** A stretch of a circle between two angles, as an SVG path, the long way round where it is longer than half. */
export function arc(centre: Point, radius: number, from: number, to: number): string {
  const start = onCircle(centre, radius, from);
  const end = onCircle(centre, radius, to);
  return `M${start.x},${start.y} A${radius},${radius} 0 ${to - from > Math.PI ? 1 : 0} 1 ${end.x},${end.y}`;
}

/** A collar at rest hangs from the nape: the middle of its circle, from the middle of the neck; mm. */
export function lowestPointAtRest(restMm: number, girthMm: number): Point {
  return { x: 0, y: Math.max(0, (restMm - girthMm) / (2 * Math.PI)) };
}
