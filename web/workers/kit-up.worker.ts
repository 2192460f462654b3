/** Kits a class up away from the page: whole numbers take their time. What it is sent comes from the page itself, already parsed. */
import { solveKitUp, type KitCase } from '@banter/core';
import loadHighs from 'highs';
import runtime from 'highs/runtime?url';

const solver = loadHighs({ locateFile: () => runtime });

onmessage = async ({ data }: MessageEvent<{ id: number; asked: KitCase }>) => {
  try {
    const highs = await solver;
    const found = solveKitUp(data.asked, (lp) => {
      const { Status, ObjectiveValue, Columns } = highs.solve(lp, { mip_rel_gap: 0 });
      return { optimal: Status === 'Optimal', cost: ObjectiveValue, value: (name) => (Columns[name] as { Primal?: number } | undefined)?.Primal ?? 0 };
    });
    postMessage({ id: data.id, found });
  } catch {
    postMessage({ id: data.id, found: null });
  }
};
