import { graphlib, layout } from '@dagrejs/dagre';
import { RIG_CATALOGUE } from '@banter/contract';
import type { FittedRigPart } from '@banter/core';

/** A joint of the rig where it is drawn, and a part as a line through points; px. */
export type LaidJoint = { joint: string; words: string; x: number; y: number; width: number; height: number };
export type LaidPart = { part: FittedRigPart; name: string; points: { x: number; y: number }[]; label: { x: number; y: number } };
export type LaidRig = { width: number; height: number; joints: LaidJoint[]; parts: LaidPart[] };

/** What a joint and a part are called. */
export const jointName = (joint: string): string => RIG_CATALOGUE.joints[joint]?.name ?? joint;
export const partName = (kind: string): string => RIG_CATALOGUE.parts[kind]?.name ?? kind;

const LETTER_PX = 6.6;
const JOINT_PX = 26;

/** Lays a rig out from the hand at the top to the dog at the bottom, each part a line of its own, by the layered layout of dagre. */
export function layRig(parts: readonly FittedRigPart[]): LaidRig {
  const graph = new graphlib.Graph({ multigraph: true });
  graph.setGraph({ rankdir: 'TB', nodesep: 34, ranksep: 34, edgesep: 26, marginx: 12, marginy: 12 });
  graph.setDefaultEdgeLabel(() => ({}));
  const joints = new Set<string>(['hand', 'dog', ...parts.flatMap(({ from, to }) => [from, to])]);
  for (const joint of joints) graph.setNode(joint, { width: jointName(joint).length * LETTER_PX + 20, height: JOINT_PX });
  for (const part of parts) {
    const name = partName(part.kind);
    graph.setEdge(part.from, part.to, { width: name.length * LETTER_PX + 34, height: 22, labelpos: 'c' }, part.id);
  }
  layout(graph);
  const { width = 0, height = 0 } = graph.graph() as { width?: number; height?: number };
  return {
    width,
    height,
    joints: [...joints].map((joint) => {
      const { x, y, width: wide, height: high } = graph.node(joint) as { x: number; y: number; width: number; height: number };
      return { joint, words: jointName(joint), x, y, width: wide, height: high };
    }),
    parts: parts.map((part) => {
      const edge = graph.edge(part.from, part.to, part.id) as { points: { x: number; y: number }[]; x: number; y: number };
      return { part, name: partName(part.kind), points: edge.points, label: { x: edge.x, y: edge.y } };
    }),
  };
}
