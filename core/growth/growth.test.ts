import { randomNormal, randomLcg } from 'd3-random';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  benchSpeaker,
  classCurve,
  contractSpeaker,
  fitByWeighings,
  fitGrowth,
  girthFactor,
  gompertzAge,
  gompertzKg,
  GROWTH_REASON_WORDS,
  grownAt,
  growthReasons,
  oddWeighings,
  sizeClassOf,
  wordReason,
  type WeighIn,
} from '../index.ts';

/** Run 1 of the assay in Davidian & Giltinan, Nonlinear Models for Repeated Measurement Data (1995), §5.2.4, as in R’s data set DNase. */
const CONCENTRATIONS = [0.04882812, 0.1953125, 0.390625, 0.78125, 1.5625, 3.125, 6.25, 12.5];
const DENSITIES = [[0.017, 0.018], [0.121, 0.124], [0.206, 0.215], [0.377, 0.374], [0.614, 0.609], [1.019, 1.001], [1.334, 1.364], [1.73, 1.71]]; // prettier-ignore
const DNASE = DENSITIES.flatMap((pair, index) => pair.map((weightKg) => ({ ageDays: Math.log(CONCENTRATIONS[index]!), weightKg })));

const labrador = { asymptoteKg: 30, ratePerDay: 0.0155, inflectionDays: 92 };
const weighed = (ages: readonly number[], scatter: (index: number) => number = () => 0, curve = labrador): WeighIn[] =>
  ages.map((ageDays, index) => ({ ageDays, weightKg: gompertzKg(curve, ageDays) + scatter(index) }));
const every = (days: number, from: number, to: number) => Array.from({ length: Math.floor((to - from) / days) + 1 }, (_one, index) => from + index * days);

describe('a Gompertz curve by its weighings', () => {
  it('finds the numbers that R’s example of SSgompertz prints for Asym·exp(−b2·b3^x): 4.6033 (0.6532), 2.2713, 0.7165 (0.0221)', () => {
    const fit = fitByWeighings(DNASE)!;
    expect(fit.asymptoteKg).toBeCloseTo(4.6033, 3);
    expect(Math.exp(fit.ratePerDay * fit.inflectionDays)).toBeCloseTo(2.2713, 3);
    expect(Math.exp(-fit.ratePerDay)).toBeCloseTo(0.7165, 4);
    // Standard errors of the same print, carried over from ln asymptote and ln rate.
    expect(fit.asymptoteKg * Math.sqrt(fit.covariance[0][0])).toBeCloseTo(0.6532, 3);
    expect(Math.exp(-fit.ratePerDay) * fit.ratePerDay * Math.sqrt(fit.covariance[1][1])).toBeCloseTo(0.0221, 3);
    expect(fit.residualKg).toBeCloseTo(0.0268, 3);
  });

  it('gives back the curve that weighings were taken from, whatever its numbers', () => {
    const curves = fc.record({
      asymptoteKg: fc.double({ min: 1.5, max: 90, noNaN: true }),
      ratePerDay: fc.double({ min: 0.009, max: 0.03, noNaN: true }),
      inflectionDays: fc.double({ min: 50, max: 150, noNaN: true }),
    });
    fc.assert(
      fc.property(curves, fc.integer({ min: 6, max: 40 }), (curve, count) => {
        const fit = fitGrowth(weighed(every(400 / count, 50, 450), () => 0, curve)); // prettier-ignore
        expect(fit.by).toBe('weighings');
        expect(fit.asymptoteKg / curve.asymptoteKg).toBeCloseTo(1, 5);
        expect(fit.ratePerDay / curve.ratePerDay).toBeCloseTo(1, 5);
        expect(fit.inflectionDays).toBeCloseTo(curve.inflectionDays, 3);
      }),
      { numRuns: 60 },
    );
  });

  it('no other curve lies nearer to the weighings', () => {
    const random = randomNormal.source(randomLcg(0.2))(0, 0.4);
    const some = weighed(every(14, 56, 400), () => random());
    const fit = fitByWeighings(some)!;
    const rss = (curve: typeof labrador) => some.reduce((sum, { ageDays, weightKg }) => sum + (weightKg - gompertzKg(curve, ageDays)) ** 2, 0);
    for (const [a, k, i] of [
      [1.01, 1, 0],
      [0.99, 1, 0],
      [1, 1.02, 0],
      [1, 0.98, 0],
      [1, 1, 1],
      [1, 1, -1],
      [1.005, 0.99, 0.5],
    ] as const)
      // prettier-ignore
      expect(rss({ asymptoteKg: fit.asymptoteKg * a, ratePerDay: fit.ratePerDay * k, inflectionDays: fit.inflectionDays + i })).toBeGreaterThan(rss(fit));
  });

  it('its 95 % interval holds the true weight about 95 times of 100, within the weighings and a month beyond', () => {
    const random = randomNormal.source(randomLcg(0.7))(0, 0.35);
    let held = 0;
    const runs = 300;
    for (let run = 0; run < runs; run += 1) {
      const fit = fitByWeighings(weighed(every(10, 56, 330), () => random()))!;
      for (const age of [150, 360]) {
        const { low95Kg, high95Kg } = grownAt(fit, age);
        const truth = gompertzKg(labrador, age);
        held += Number(low95Kg <= truth && truth <= high95Kg);
      }
    }
    expect(held / (2 * runs)).toBeGreaterThan(0.91);
    expect(held / (2 * runs)).toBeLessThan(0.98);
  });

  it('does not mind a gap, nor the order of the weighings', () => {
    const gap = weighed([56, 63, 70, 77, 84, 210, 240, 300, 360]);
    expect(fitGrowth([...gap].reverse()).asymptoteKg).toBeCloseTo(30, 4);
  });

  it('an age is where its weight is', () => {
    for (const age of [20, 92, 300]) expect(gompertzAge(labrador, gompertzKg(labrador, age))).toBeCloseTo(age, 6);
    expect(gompertzAge(labrador, 30)).toBeNull();
    expect(gompertzKg(labrador, 92)).toBeCloseTo(30 / Math.E, 9);
  });
});

describe('while weighings are few', () => {
  it('a dog grows as others of its size, through its own weighing and towards the weight that is expected of it', () => {
    const fit = fitGrowth([{ ageDays: 60, weightKg: 6 }], 30);
    expect(fit).toMatchObject({ by: 'prior', converged: false });
    expect(fit.asymptoteKg).toBeGreaterThan(27);
    expect(fit.asymptoteKg).toBeLessThan(33);
    const now = grownAt(fit, 60);
    expect(now.weightKg).toBeGreaterThan(5.4);
    expect(now.weightKg).toBeLessThan(6.6);
    expect(now.low95Kg).toBeLessThan(6);
    expect(now.high95Kg).toBeGreaterThan(6);
  });
  it('is less sure the further off, and surer with each weighing', () => {
    const width = (fit: ReturnType<typeof fitGrowth>, age: number) => {
      const { low95Kg, high95Kg, weightKg } = grownAt(fit, age);
      return (high95Kg - low95Kg) / weightKg;
    };
    const [one, three] = [fitGrowth(weighed([60])), fitGrowth(weighed([60, 90, 120]))];
    expect(width(one, 400)).toBeGreaterThan(width(one, 65));
    expect(width(three, 400)).toBeLessThan(width(one, 400));
  });
  it('half the adult weight is reached at about three months by the smallest and five by the largest', () => {
    const months = (kg: number) => gompertzAge(classCurve(kg), kg / 2)! / 30.4;
    expect(months(3)).toBeGreaterThan(2.3);
    expect(months(3)).toBeLessThan(3.3);
    expect(months(65)).toBeGreaterThan(4.3);
    expect(months(65)).toBeLessThan(5.5);
    for (let kg = 2; kg < 80; kg += 1) expect(months(kg + 1)).toBeGreaterThanOrEqual(months(kg));
    expect([6.5, 6.6, 9, 15, 30, 40, 41].map((kg) => sizeClassOf(kg).id)).toEqual(['toy', 'small', 'small', 'small-middle', 'middle', 'large', 'giant']);
  });

  it('says the size of dogs in the weight that its reader thinks in', () => {
    const weighing = [{ ageDays: 200, weightKg: 12 }];
    const [reason] = growthReasons(fitGrowth(weighing), weighing);
    const say = (mass: 'lb' | 'kg') => wordReason(GROWTH_REASON_WORDS, reason!, benchSpeaker('in', mass)).text;
    expect(say('kg')).toMatch(/dogs of \d+ to \d+ kg do/);
    expect(say('lb')).toMatch(/dogs of \d+ to \d+ lb do/);
    expect(say('lb')).not.toContain('kg');
  });
  it('a grown dog that is weighed once stays about what it weighs', () => {
    for (const kg of [3, 12, 28, 55]) {
      const { low95Kg, high95Kg, weightKg } = grownAt(fitGrowth([{ ageDays: 900, weightKg: kg }]), 1000);
      expect(weightKg / kg).toBeCloseTo(1, 1);
      expect(low95Kg).toBeLessThan(kg);
      expect(high95Kg).toBeGreaterThan(kg);
    }
  });
  it('grown dogs whose weighings tell no growth have no curve of their own', () => {
    const flat = every(30, 800, 1000).map((ageDays, index) => ({ ageDays, weightKg: 30 + (index % 2) * 0.3 }));
    expect(fitGrowth(flat).by).toBe('prior');
    expect(growthReasons(fitGrowth(flat), flat)[0]!.code).toBe('end-not-told');
  });
});

describe('a weighing that was typed wrong', () => {
  const ages = every(14, 56, 350);
  const random = randomNormal.source(randomLcg(0.4))(0, 0.3);
  const pup = weighed(ages, () => random());
  const withSlip = (index: number, to: (kg: number) => number) => pup.map((one, at) => (at === index ? { ...one, weightKg: to(one.weightKg) } : one));
  it.each([
    [4, (kg: number) => kg * 10, 'A point left out?'],
    [11, (kg: number) => kg / 10, 'A point too early?'],
    [8, (kg: number) => kg / 0.45359237, 'Pounds for kilograms?'],
    [ages.length - 1, (kg: number) => kg + 9, ''],
  ] as const)('weighing %i is found, with what it looks like', (index, to, hint) => {
    const some = withSlip(index, to);
    expect(oddWeighings(some).map((odd) => odd.index)).toEqual([index]);
    const said = growthReasons(fitGrowth(some), some).map((reason) => wordReason(GROWTH_REASON_WORDS, reason, contractSpeaker).text);
    expect(said[1]).toMatch(
      new RegExp(`^Weighing ${index + 1}, .*does not match the others .*Check the entry\\.${hint ? ` ${hint.replace('?', '\\?')}` : ''}$`),
    );
  });
  it('two of them are both found, and honest scatter is left alone', () => {
    const two = withSlip(4, (kg) => kg * 10).map((one, at) => (at === 15 ? { ...one, weightKg: 2 } : one));
    expect(oddWeighings(two).map(({ index }) => index).sort((a, b) => a - b)).toEqual([4, 15]); // prettier-ignore
    expect(oddWeighings(pup)).toEqual([]);
    expect(oddWeighings(pup.slice(0, 4))).toEqual([]);
  });
});

describe('the girth that goes with it', () => {
  it('a dog of 27 kg with a factor of 13 cm has 39 cm (common practice: 12 slender, 13 average, 15.5 heavy)', () => {
    const grown = { asymptoteKg: 27, ratePerDay: 0.02, inflectionDays: 80 };
    expect(girthFactor(grown, [{ ageDays: 2000, girthMm: 390 }])).toBeCloseTo(130, 6);
    expect(girthFactor(grown, [])).toBeNull();
  });
  it('scales with the cube root: an eighth of the weight, half the girth', () => {
    const factor = girthFactor(labrador, [{ ageDays: 400, girthMm: 400 }])!;
    const eighth = gompertzAge(labrador, gompertzKg(labrador, 400) / 8)!;
    expect(factor * Math.cbrt(gompertzKg(labrador, eighth))).toBeCloseTo(200, 6);
  });
});

describe('a pup with a gap and a slip, before its end is told', () => {
  // Weighings of a pup of about 31 kg to be; three, then six weeks nothing, then six; the fourth last was typed a tenth.
  const curve = { asymptoteKg: 31, ratePerDay: 0.01356, inflectionDays: 129 };
  const ages = [98, 105, 112, 154, 168, 182, 196, 210, 224];
  const scatter = [0.1, -0.05, 0.08, -0.1, 0.1, 0.06, -0.12, 0.05, -0.05];
  const pup = weighed(ages, (index) => scatter[index]!, curve).map((one, index) => (index === 6 ? { ...one, weightKg: one.weightKg / 10 } : one));
  it('finds the slip wherever it was made, also before the curve of the others is told', () => {
    for (const ages of [
      [56, 63, 70, 126, 140, 154, 168, 182, 200],
      [40, 50, 60, 70, 80, 90],
    ])
      for (let slip = 1; slip < ages.length - 1; slip += 1) {
        const some = weighed(ages, (index) => 0.04 * ((index * 7) % 5) - 0.08, curve).map((one, index) =>
          index === slip ? { ...one, weightKg: one.weightKg / 10 } : one,
        );
        expect([ages.length, slip, oddWeighings(some).map(({ index }) => index)]).toEqual([ages.length, slip, [slip]]);
      }
  });
  it('finds it beside another weighing that is a little off', () => {
    const some = weighed([56, 63, 70, 126, 140, 154, 168, 182, 200], () => 0, { asymptoteKg: 31, ratePerDay: 0.0145, inflectionDays: 112 }).map((one, index) => ({ ...one, weightKg: index === 3 ? one.weightKg / 10 : index === 8 ? 20 : one.weightKg })); // prettier-ignore
    expect(oddWeighings(some).map(({ index }) => index)).toContain(3);
  });
  it('finds the slip, and is not led far away by it', () => {
    expect(oddWeighings(pup).map(({ index }) => index)).toEqual([6]);
    const fit = fitGrowth(pup, 29);
    const { weightKg } = grownAt(fit, 224);
    expect(Math.abs(weightKg / gompertzKg(curve, 224) - 1)).toBeLessThan(0.15);
  });
});
