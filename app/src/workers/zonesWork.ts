import {
  advise,
  bandsOf,
  learn,
  play,
  type Advised,
  type Bands,
  type BellyLooks,
  type Feeding,
  type FeedMoment,
  type LearnedGroup,
  type Played,
  type Sighting,
} from '@open-larder/core/zones';

/** What a worker does about feedings: plain functions of the core, with progress. */
export const zonesWork = {
  play: (feeding: Feeding): Played => play(feeding),
  bands: (feeding: Feeding, runs: number, seed: number, onRun: (done: number) => void): Bands =>
    bandsOf(feeding, runs, seed, (done) => {
      onRun(done);
      return true;
    }),
  advise: (
    feeding: Feeding,
    groupId: string,
    moments: readonly FeedMoment[],
    onRun: (done: number, of: number) => void,
  ): Advised =>
    advise(feeding, groupId, moments, (done, of) => {
      onRun(done, of);
      return true;
    }),
  learn: (
    sightings: readonly Sighting[],
    looks: BellyLooks | null,
    onRun: (done: number, of: number) => void,
  ): LearnedGroup[] =>
    learn(
      sightings,
      (done, of) => {
        onRun(done, of);
        return true;
      },
      looks,
    ),
};

export type ZonesWork = typeof zonesWork;
