import { REMOTE_TRAITS } from '../collars/remote/index.ts';
import { HEAD_COLLAR_TRAITS } from '../collars/head-collar/index.ts';
import { WIDE_THROAT_TRAITS } from '../collars/wide-throat/index.ts';
import { FLAT_TRAITS } from '../collars/flat/index.ts';
import { MARTINGALE_TRAITS } from '../collars/martingale/index.ts';
import { CLIP_ON_SLIP_TRAITS } from '../collars/clip-on-slip/index.ts';
import { SLIP_TRAITS } from '../collars/slip/index.ts';
import { PRONG_TRAITS } from '../collars/prong/index.ts';
import fc from 'fast-check';
import { UndirectedGraph, MultiUndirectedGraph } from 'graphology';
import { connectedComponents } from 'graphology-components';
import { describe, expect, it } from 'vitest';
import {
  benchSpeaker,
  contractSpeaker,
  houseRules,
  judgeRig,
  RIG_REASON_WORDS,
  rigOfTemplate,
  rigPart,
  rigProposals,
  rigRoutes,
  templatesFor,
  wordReason,
  type FittedRigPart,
  type RigOnDog,
  type RigPart,
  partsOfRole,
  rigCatalogue,
  rigTemplates,
  type RigAnchor,
} from '../index.ts';

const rules = houseRules();
const catalogue = rigCatalogue(
  [PRONG_TRAITS, SLIP_TRAITS, CLIP_ON_SLIP_TRAITS, MARTINGALE_TRAITS, FLAT_TRAITS, WIDE_THROAT_TRAITS, HEAD_COLLAR_TRAITS, REMOTE_TRAITS].map(({ rig }) => rig),
);
const RIG_TEMPLATES = rigTemplates(catalogue);
const collarParts = (id: string) => [...partsOfRole(id, catalogue)];
const part = (id: string, from: string, to: string): RigPart => ({ id, kind: id, from, to });

/** Whether hand and dog lie in one component, by a general-purpose graph library. */
function joined(parts: readonly RigPart[]): boolean {
  const graph = new MultiUndirectedGraph();
  graph.mergeNode('hand');
  graph.mergeNode('dog');
  for (const { from, to } of parts) {
    graph.mergeNode(from);
    graph.mergeNode(to);
    graph.addEdge(from, to);
  }
  return connectedComponents(graph).some((one) => one.includes('hand') && one.includes('dog'));
}

/** Every way from hand to dog that passes no joint twice, as sets of part indices. */
function simpleWays(parts: readonly RigPart[]): number[][] {
  const ways: number[][] = [];
  const walk = (joint: string, passed: Set<string>, used: number[]) => {
    if (joint === 'dog') {
      ways.push(used);
      return;
    }
    parts.forEach(({ from, to }, index) => {
      const other = from === joint ? to : to === joint ? from : null;
      if (other !== null && !passed.has(other)) walk(other, new Set([...passed, other]), [...used, index]);
    });
  };
  walk('hand', new Set(['hand']), []);
  return ways;
}

/** The fewest parts whose loss parts hand from dog, by trying every set; by Menger's theorem the number of disjoint routes. */
function fewestCut(parts: readonly RigPart[]): number {
  for (let size = 0; size <= parts.length; size += 1) {
    for (let mask = 0; mask < 1 << parts.length; mask += 1) {
      const lost = parts.filter((_one, index) => mask & (1 << index)).length;
      if (lost === size && !joined(parts.filter((_one, index) => !(mask & (1 << index))))) return size;
    }
  }
  return 0;
}

const joint = fc.constantFrom('hand', 'dog', 'a', 'b', 'c', 'd');
const anyRig = fc
  .array(fc.record({ from: joint, to: joint }), { minLength: 1, maxLength: 9 })
  .map((ends) => ends.map(({ from, to }, index) => part(`p${index}`, from, to)));

describe('routes from hand to dog', () => {
  it('names as single points exactly what by its loss parts hand from dog (graphology, components without each part)', () => {
    fc.assert(
      fc.property(anyRig, (parts) => {
        const found = rigRoutes(parts);
        expect(found.connected).toBe(joined(parts));
        const single = parts.filter((one) => joined(parts) && !joined(parts.filter((other) => other !== one))).map(({ id }) => id);
        expect([...found.singlePoints].sort()).toEqual(single.sort());
        expect(found.sound).toBe(found.connected && single.length === 0);
      }),
      { numRuns: 400 },
    );
  });

  it('finds as many routes sharing no part as the smallest cut has parts (Menger 1927, every cut tried)', () => {
    fc.assert(
      fc.property(anyRig, (parts) => {
        const { routes } = rigRoutes(parts);
        // Parts between hand and dog directly, and only they, let the cut be as large as all.
        expect(routes).toHaveLength(joined(parts) ? fewestCut(parts) : 0);
        expect(new Set(routes.flat()).size).toBe(routes.flat().length);
        for (const route of routes) {
          let at = 'hand';
          for (const id of route) {
            const { from, to } = parts.find((one) => one.id === id)!;
            expect([from, to]).toContain(at);
            at = from === at ? to : from;
          }
          expect(at).toBe('dog');
        }
      }),
      { numRuns: 150 },
    );
  });

  it('names as loose exactly the parts on no way from hand to dog, loops and dangling rings among them (every way walked)', () => {
    fc.assert(
      fc.property(anyRig, (parts) => {
        const carrying = new Set(simpleWays(parts).flat());
        expect([...rigRoutes(parts).loose].sort()).toEqual(
          parts
            .filter((_one, index) => !carrying.has(index))
            .map(({ id }) => id)
            .sort(),
        );
      }),
      { numRuns: 400 },
    );
  });

  it('is the same in a graph library’s simple graph when no two parts run alongside', () => {
    const graph = new UndirectedGraph();
    for (const [from, to] of [
      ['hand', 'a'],
      ['a', 'b'],
      ['b', 'dog'],
    ] as const)
      graph.mergeEdge(from, to);
    expect(connectedComponents(graph)).toHaveLength(1);
    expect(rigRoutes([part('x', 'hand', 'a'), part('y', 'a', 'b'), part('z', 'b', 'dog')]).singlePoints).toEqual(['x', 'y', 'z']);
  });
});

describe('the rigs of the trade', () => {
  const of = (id: string) => {
    const parts = rigOfTemplate(
      RIG_TEMPLATES.find((template) => template.id === id)!,
      catalogue,
    );
    return { parts, ...rigRoutes(parts) };
  };
  const kinds = ({ parts, singlePoints }: { parts: FittedRigPart[]; singlePoints: string[] }) =>
    singlePoints.map((id) => parts.find((one) => one.id === id)!.kind);

  it('bare prong: leash, snap, swivel, chain and links, all of them', () => {
    expect(kinds(of('bare-prong'))).toEqual(['leash', 'snap', 'swivel', 'chain', 'links']);
  });
  it('a clip from the dead ring covers an opened link, not leash, snap, swivel and chain', () => {
    for (const id of ['carabiner-to-flat', 'coupler-to-flat']) expect(kinds(of(id))).toEqual(['leash', 'snap', 'swivel', 'chain']);
  });
  it('the dead ring in the snap covers swivel and chain, not links', () => {
    expect(kinds(of('both-rings'))).toEqual(['leash', 'links']);
  });
  it('a second snap into the coupler’s spare ring, or a backup slip on the leash, leaves the leash alone', () => {
    for (const id of ['coupler-second-snap', 'clip-on-backup', 'slip-lead-clipped', 'slip-and-flat']) expect(kinds(of(id))).toEqual(['leash']);
  });
  it('only a second connection from the hand leaves nothing', () => {
    for (const id of ['second-leash', 'slip-lead-below', 'harness-and-wide']) expect(of(id)).toMatchObject({ sound: true, singlePoints: [] });
  });
  it('every template is whole: it joins hand and dog, and nothing of it hangs loose', () => {
    for (const { id } of RIG_TEMPLATES) expect(of(id), id).toMatchObject({ connected: true, loose: [] });
  });
  it('offers what the worn collars allow first, and what one more would allow after', () => {
    const offered = templatesFor(['prong'], catalogue);
    expect(offered[0]).toMatchObject({ template: { id: 'bare-prong' }, wants: [] });
    expect(offered.find(({ template }) => template.id === 'carabiner-to-flat')?.wants).toEqual(['flat']);
    expect(offered.some(({ template }) => template.id === 'bare-slip')).toBe(false);
  });
});

describe('what could be added', () => {
  it('says what each part would mend, and mends just that', () => {
    for (const template of RIG_TEMPLATES) {
      const parts = rigOfTemplate(template, catalogue);
      const before = rigRoutes(parts).singlePoints;
      for (const proposal of rigProposals(parts, template.collars, catalogue)) {
        const after = rigRoutes([...parts, ...proposal.parts]);
        expect(after.singlePoints).toEqual(proposal.left);
        expect(proposal.fixes.every((id) => before.includes(id) && !after.singlePoints.includes(id))).toBe(true);
        expect(proposal.fixes.length).toBeGreaterThan(0);
        expect(after.loose).toEqual([]);
        expect(new Set([...parts, ...proposal.parts].map(({ id }) => id)).size).toBe(parts.length + proposal.parts.length);
      }
    }
  });
  it('puts a second connection from the hand first, and proposes nothing for a sound rig', () => {
    const bare = rigOfTemplate(RIG_TEMPLATES[0]!, catalogue);
    expect(rigProposals(bare, ['prong'], catalogue)[0]!.left).toEqual([]);
    expect(
      rigProposals(
        rigOfTemplate(
          RIG_TEMPLATES.find(({ id }) => id === 'second-leash')!,
          catalogue,
        ),
        ['prong', 'flat'],
        catalogue,
      ),
    ).toEqual([]);
  });
});

/** No single point may be left. */
const TWO_ROUTES = { backupSchool: 'two-routes' } as const;

describe('what the trade asks of a backup', () => {
  const dog: RigOnDog = {
    wornRoles: ['prong', 'flat'],
    weightKg: 30,
    closing: { byMm: 28, travelMm: 152.4, deadJoint: 'dead ring' },
    backup: null,
    anchors: [{ joint: 'flat ring', called: 'flat collar', holds: true, plastic: false }],
  };
  const anchor = (more: Partial<RigAnchor>): RigAnchor => ({ ...dog.anchors[0]!, ...more });
  const prong = [rigPart('leash', 'leash', 'hand', 'leash end'), rigPart('snap', 'snap', 'leash end', 'live ring'), ...collarParts('prong')];
  const codes = (ties: FittedRigPart[], more: Partial<RigOnDog> = {}) =>
    judgeRig([...prong, ...collarParts('flat'), ...ties], { ...dog, ...more }, rules, catalogue, TWO_ROUTES).reasons.map(({ code }) => code);
  const clip = (more: Partial<FittedRigPart>) => rigPart('clip', 'carabiner', 'dead ring', 'flat ring', { loadRated: true, slackMm: 60, ...more });

  it('a clip on the dead ring needs more slack than the prong’s closing', () => {
    expect(codes([clip({ slackMm: 28 })])).toContain('backup-loads-early');
    expect(codes([clip({ slackMm: 28.1 })])).toContain('backup-hangs-free');
    expect(codes([clip({ slackMm: null })])).toContain('backup-slack-unknown');
  });
  it('one on the leash needs more than the ring’s travel: 6 in on the live ring, 2 in on both', () => {
    const snap = (slackMm: number) => rigPart('snap2', 'second snap', 'leash end', 'flat ring', { slackMm });
    expect(codes([snap(152)])).toContain('backup-loads-early');
    expect(codes([snap(153)])).toContain('backup-hangs-free');
    expect(codes([snap(60)], { closing: { byMm: 28, travelMm: 50.8, deadJoint: 'dead ring' } })).toContain('backup-hangs-free');
  });
  it('a slip lead clipped to the leash needs the travel, too; one held in the hand beside it does not', () => {
    const lead = (from: 'leash end' | 'hand') => rigPart('lead', 'slip lead', from, 'dog', { slackMm: 100 });
    expect(codes([lead('leash end')])).toContain('backup-loads-early');
    expect(codes([lead('hand')])).not.toContain('backup-loads-early');
  });
  it('never on a martingale’s control loop; on its body ring it may', () => {
    const on = (joint: 'loop ring' | 'body ring') =>
      judgeRig([...prong, ...collarParts('martingale'), clip({ to: joint })], { ...dog, wornRoles: ['prong', 'martingale'] }, rules, catalogue, TWO_ROUTES);
    expect(on('loop ring')).toMatchObject({ tone: 'stop' });
    expect(on('loop ring').reasons.map(({ code }) => code)).toContain('backup-where-it-closes');
    expect(on('body ring').reasons.map(({ code }) => code)).not.toContain('backup-where-it-closes');
  });
  it('on the electronic collar’s strap only where there is nothing else, and never a leash', () => {
    const on = (worn: RigOnDog['wornRoles']) =>
      judgeRig([...prong, ...collarParts('electronic'), clip({ to: 'electronic strap' })], { ...dog, wornRoles: worn }, rules, catalogue, TWO_ROUTES);
    expect(on(['prong', 'electronic', 'flat'])).toMatchObject({ tone: 'stop' });
    expect(on(['prong', 'electronic'])).toMatchObject({ tone: 'mind' });
    const leash = [rigPart('leash', 'leash', 'hand', 'leash end'), rigPart('snap', 'snap', 'leash end', 'electronic strap'), ...collarParts('electronic')];
    expect(judgeRig(leash, { ...dog, wornRoles: ['electronic'], closing: null }, rules, catalogue, TWO_ROUTES)).toMatchObject({ tone: 'stop' });
  });
  it('the carabiner is rated for load, and light enough for the dog', () => {
    expect(codes([clip({ loadRated: false })])).toContain('not-load-rated');
    expect(codes([clip({ loadRated: null })])).toContain('load-rating-unknown');
    // 30 g on 5 kg is 0.6 %, on 30 kg 0.1 %.
    expect(codes([clip({ massG: 30 })], { weightKg: 5 })).toContain('clip-too-heavy');
    expect(codes([clip({ massG: 30 })])).not.toContain('clip-too-heavy');
    // Not weighed, on a small dog, it is asked about.
    expect(codes([clip({})], { weightKg: 5 })).toContain('clip-on-small-dog');
    expect(codes([clip({})])).not.toContain('clip-on-small-dog');
  });
  it('a flat collar that comes over the head, or nobody has checked, is no known anchor; a plastic buckle is weak', () => {
    expect(codes([clip({})], { anchors: [anchor({ holds: false })] })).toContain('anchor-comes-off');
    expect(codes([clip({})], { anchors: [anchor({ holds: null, plastic: true })] })).toEqual(expect.arrayContaining(['anchor-unchecked', 'plastic-buckle']));
  });
  it('a backup slip under 3 in over the neck would tighten', () => {
    const slip = [...collarParts('clip-on-slip'), rigPart('snap2', 'second snap', 'leash end', 'backup ring', { slackMm: 200 })];
    expect(codes(slip, { backup: { partKind: 'clip-on slip', overMm: 50, neededMm: 76.2 } })).toContain('backup-slip-tightens');
    expect(codes(slip, { backup: { partKind: 'clip-on slip', overMm: 76.2, neededMm: 76.2 } })).not.toContain('backup-slip-tightens');
  });
  it('never a long line on a head collar', () => {
    const line = [rigPart('line', 'long line', 'hand', 'leash end'), rigPart('snap', 'snap', 'leash end', 'chin ring'), ...collarParts('head-collar')];
    expect(judgeRig(line, { ...dog, wornRoles: ['head-collar'], closing: null }, rules, catalogue, TWO_ROUTES).reasons.map(({ code }) => code)).toContain(
      'line-where-it-jerks',
    );
  });
  it('one rated backup is enough for the school that says so, and what it does not cover is named; the other wants two routes', () => {
    const judge = (ties: FittedRigPart[], backupSchool: 'one-backup' | 'two-routes') =>
      judgeRig([...prong, ...collarParts('flat'), ...ties], dog, rules, catalogue, { backupSchool });
    const one = judge([clip({})], 'one-backup');
    expect(one.tone).toBe('good');
    expect(one.reasons[0]).toEqual({ code: 'one-backup', uncovered: ['leash', 'snap', 'swivel', 'chain'] });
    expect(wordReason(RIG_REASON_WORDS, one.reasons[0]!, contractSpeaker).text).toBe(
      'Backed up: if the collar opens, the dog is still held. Not covered: leash, snap, swivel and chain; look at them at every wear.',
    );
    expect(judge([clip({})], 'two-routes')).toMatchObject({
      tone: 'mind',
      reasons: expect.arrayContaining([expect.objectContaining({ code: 'single-points' })]),
    });
    // Nobody has looked at its rating, it is a key-ring one, or it loads too early: no green door.
    expect(judge([clip({ loadRated: null })], 'one-backup').tone).toBe('mind');
    expect(judge([clip({ loadRated: false })], 'one-backup').tone).toBe('stop');
    expect(judge([clip({ slackMm: 20 })], 'one-backup').tone).toBe('stop');
    // Without a tie, or with one that an opened link takes along, there is no backup.
    expect(judge([], 'one-backup').reasons[0]!.code).toBe('single-points');
    expect(judge([rigPart('both', 'dead ring', 'leash end', 'dead ring')], 'one-backup').reasons[0]!.code).toBe('single-points');
    // A slip lead below, clipped to the leash, covers all but the leash.
    expect(judge([rigPart('lead', 'slip lead', 'leash end', 'dog', { slackMm: 200 })], 'one-backup').reasons[0]).toEqual({
      code: 'one-backup',
      uncovered: ['leash'],
    });
  });
  it('is worded for every reason, with its measure and limit, in either unit', () => {
    const judged = judgeRig([...prong, ...collarParts('flat'), clip({ slackMm: 20, massG: 300, loadRated: false })], dog, rules, catalogue, TWO_ROUTES);
    for (const speak of [contractSpeaker, benchSpeaker('in', 'lb')])
      for (const reason of judged.reasons) expect(wordReason(RIG_REASON_WORDS, reason, speak).text).toMatch(/^[A-Z].*\.$/s);
    const early = judged.reasons.find(({ code }) => code === 'backup-loads-early')!;
    expect(wordReason(RIG_REASON_WORDS, early, contractSpeaker).text).toContain('20 mm');
    expect(wordReason(RIG_REASON_WORDS, early, contractSpeaker).text).toContain('28 mm');
  });
});

describe('ring and side', () => {
  const by = (worksOn: 'left' | 'right', ringPlace: 'nape' | 'near-side') => PRONG_TRAITS.ring!({ ring: 'live', ringPlace, worksOn, rules });
  it('worked on the left the near side is the dog’s right ear, the leash on its right; mirrored on the right', () => {
    expect(by('left', 'near-side')).toMatchObject({ clock: 1.5, leashSide: 'right' });
    expect(by('right', 'near-side')).toMatchObject({ clock: 10.5, leashSide: 'left' });
    expect(by('right', 'nape').clock).toBe(12);
  });
  it('travel is by the house rules: up to 6 in on the live ring, 2 on both (common practice)', () => {
    expect(by('left', 'nape').travelMm! / 25.4).toBeCloseTo(6, 6);
    expect(PRONG_TRAITS.ring!({ ring: 'both', ringPlace: 'nape', worksOn: 'left', rules }).travelMm! / 25.4).toBeCloseTo(2, 6);
    expect(PRONG_TRAITS.ring!({ ring: 'live', ringPlace: 'nape', worksOn: 'left', rules: houseRules({ liveTravelMm: 127 }) }).travelMm).toBe(127);
  });
  it('a slip is a P on the left, mirrored on the right', () => {
    expect(SLIP_TRAITS.ring!({ ring: 'live', ringPlace: 'nape', worksOn: 'left', rules }).letter).toBe('P');
    expect(SLIP_TRAITS.ring!({ ring: 'live', ringPlace: 'nape', worksOn: 'right', rules }).letter).toBe('mirrored P');
  });
});
