import { LAYER_COUNT, play, type Frame } from '@open-larder/core/zones';
import { feedingOf } from '@open-larder/contract/zones';
import { houseOf } from '@open-larder/contract/house';
import { food, group, household, moment, species, tank } from '../testing/house';
import { dotsOf, frameAt, pullOf } from './dots';

const rows = {
  tank,
  groups: [group],
  foods: [food],
  species: new Map([[species.key, species]]),
  house: houseOf({
    household,
    day: '2026-03-02',
    moments: [moment],
    tanks: [tank],
    groups: [group],
    foods: [food],
    species: new Map([[species.key, species]]),
  }),
};
const { frames, scene } = play(feedingOf(rows, '2026-03-02', 'evening'));

describe('dots of a feeding', () => {
  it('float at first, and are gone in proportion to what is eaten', () => {
    const first = dotsOf(scene, frames[0]!);
    expect(first.length).toBeGreaterThan(30);
    expect(Math.max(...first.map((dot) => dot.deep))).toBeLessThan(0.07);
    const last = frames.at(-2)!;
    const left = dotsOf(scene, last).length / first.length;
    const grams = (frame: Frame) =>
      frame.lies.reduce((sum, part, at) => {
        const film = (at + 1) % (scene.items.length + 1) === 0;
        return film ? sum : sum + part;
      }, 0);
    expect(Math.abs(left - grams(last) / grams(frames[0]!))).toBeLessThan(0.12);
  });

  it('never grow in number, and stay in the tank', () => {
    let before = Infinity;
    for (const frame of frames) {
      const dots = dotsOf(scene, frame);
      expect(dots.length).toBeLessThanOrEqual(before);
      before = dots.length;
      for (const { along, deep } of dots) {
        expect(along).toBeGreaterThanOrEqual(0);
        expect(along).toBeLessThanOrEqual(1);
        expect(deep).toBeGreaterThanOrEqual(0);
        expect(deep).toBeLessThanOrEqual(1);
      }
    }
  });

  it('are drawn on the ground when the food lies there', () => {
    const { lies } = frames[0]!;
    const width = scene.items.length + 1;
    const moved = lies.map((_, at) => {
      const layer = Math.floor(at / width) % LAYER_COUNT;
      return layer === 4 ? (scene.items[at % width]?.servedG ?? 0) / scene.columns : 0;
    });
    const dots = dotsOf(scene, { ...frames[0]!, lies: moved });
    expect(dots.every((dot) => dot.deep === 1 && !dot.onFilm)).toBe(true);
  });
});

describe('fish in a feeding', () => {
  it('are all over the tank at first, and come to where it is fed', () => {
    expect(pullOf(scene, frames[0]!, 0).pull).toBe(0);
    const come = pullOf(scene, frames[frameAt(frames, 40)]!, 0);
    expect(come.pull).toBeGreaterThan(0.5);
    expect(come.along).toBeCloseTo(0.2, 5);
  });

  it('the frame of a time is the last one not later', () => {
    expect(frameAt(frames, -1)).toBe(0);
    expect(frameAt(frames, 1e9)).toBe(frames.length - 1);
    const at = frameAt(frames, 30);
    expect(frames[at]!.atS).toBeLessThanOrEqual(30);
    expect(frames[at + 1]!.atS).toBeGreaterThan(30);
  });
});
