import { fleetWorld } from '../simulator/fleetWorld';
import { meanPinball, pinball, quantileOf } from './loss';
import { naiveLeft } from './naive';

describe('plain methods', () => {
  const readings = [
    { x: 10, y: 7 },
    { x: 20, y: 5 },
    { x: 30, y: 4 },
  ];
  const input = { readings, fitted: { x: 0, y: 8 }, limit: 2, fleetLife: 45 };

  test('each draws its own line from the same readings', () => {
    expect(naiveLeft('last-two', input)).toBeCloseTo(20, 9);
    expect(naiveLeft('line', input)).toBeCloseTo(12.22, 1);
    expect(naiveLeft('line-from-new', input)).toBeCloseTo(13.57, 1);
    expect(naiveLeft('fleet-life', input)).toBe(15);
  });

  test('where there is no line there is no answer', () => {
    expect(naiveLeft('last-two', { ...input, readings: readings.slice(0, 1) })).toBeNull();
    expect(
      naiveLeft('line', {
        ...input,
        readings: [
          { x: 0, y: 3 },
          { x: 5, y: 4 },
        ],
      }),
    ).toBeNull();
    expect(naiveLeft('fleet-life', { ...input, fleetLife: null })).toBeNull();
    expect(naiveLeft('line', { ...input, readings: [] })).toBeNull();
  });
});

test('pinball is the distance at the middle, halved, and leans at the ends', () => {
  expect(pinball(0.5, 10, 14)).toBe(2);
  expect(pinball(0.9, 10, 14)).toBeCloseTo(3.6, 9);
  expect(pinball(0.9, 14, 10)).toBeCloseTo(0.4, 9);
  expect(meanPinball([8, 10, 12], 10)).toBeLessThan(meanPinball([10.5, 11, 11.5], 10) + meanPinball([2, 10, 18], 10));
  expect(quantileOf([4, 1, 3, 2], 0.5)).toBe(2.5);
  expect(quantileOf([], 0.5)).toBeNaN();
});

describe('the simulated fleet', () => {
  const plan = { seed: 4, vehicles: 6, years: 4, changing: true };
  const world = fleetWorld(plan);

  test('the same plan gives the same world, another seed another', () => {
    expect(fleetWorld(plan)).toEqual(world);
    expect(fleetWorld({ ...plan, seed: 5 })).not.toEqual(world);
  });

  test('parts wear down, are read, and end where they meet their limit', () => {
    const parts = world.flatMap(({ parts: all }) => all);
    expect(parts.filter(({ crossedKm }) => crossedKm !== null).length).toBeGreaterThan(10);
    for (const part of parts) {
      const truths = part.readings.map(({ truth }) => truth);
      expect(truths).toEqual([...truths].sort((a, b) => b - a));
      if (part.crossedKm === null) expect(truths.every((truth) => truth > part.limit)).toBe(true);
      else expect(part.crossedKm).toBeGreaterThanOrEqual(part.fittedKm);
    }
  });

  test('a steady world has no events, a changing one has', () => {
    expect(fleetWorld({ ...plan, changing: false }).flatMap(({ events }) => events)).toEqual([]);
    expect(world.flatMap(({ events }) => events).length).toBeGreaterThan(3);
  });
});
