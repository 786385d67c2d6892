import * as layers from './layers';
import type { Phase } from './light';
import type { Model } from './model';
import type { State } from './state';

// Kept here: in loops like these, looking an import up each time took a sixth of the whole.
const { FILM, GROUND, LAYER_COUNT } = layers;

/** How much a bolder mate at the same place holds a shyer one back, per fish. Assumption. */
const YIELDS = 0.12;
/** Share of a group that comes to food in the end. Assumption: some always look elsewhere. */
const COMES = 0.9;
/** Food in reach, as a share of a full stomach, at which half of those come. Assumption. */
const WORTH_COMING = 0.02;
/**
 * A group goes after food within the layers that it uses: one that holds all of it draws this many
 * times more of its time there than usual. Assumption.
 */
const FOLLOWS = 9;
/** A share of a drop so small that nobody looks for it. */
const TRACE = 1e-6;
/** Bites at a hard food are this share of those at a soft one. Assumption. */
const HARD_BITE = 0.2;

/**
 * Every group on the shrinking stock, cell by cell, by a multi-prey Holling type II response:
 * a fish finds each food at a rate of its own, and what it handles keeps it from finding more.
 * Source: Holling 1959, Can. Entomol. 91:385; several prey after Murdoch 1973, J. Appl. Ecol. 10:335.
 */
export class Hunt {
  /** By feeder, cell and item: share of a cell that one fish searches in a second, times taking. */
  private readonly byDay: Float64Array;
  private readonly byNight: Float64Array;
  private search: Float64Array;
  /** By feeder and item: seconds over a particle, as soft as it is. */
  private readonly handling: Float64Array;
  /** By feeder and layer: where it is and how ready to feed, in this light. */
  private readonly presence: Float64Array;
  /** By feeder and cell: fish that feed there; those that are hungry; and over their Holling denominator. */
  private readonly fish: Float64Array;
  private readonly pushing: Float64Array;
  private readonly weight: Float64Array;
  /** By cell and item: share eaten in a second by all. */
  private readonly hazard: Float64Array;
  private readonly half: Float64Array;
  private readonly dry: Float64Array;
  /** Items that are worth a look, cell by cell: from `first[cell]` up to `first[cell + 1]`. */
  private readonly live: Int32Array;
  private readonly first: Int32Array;
  private lightness = -1;

  constructor(
    private readonly model: Model,
    private readonly state: State,
  ) {
    const { cells, items } = state;
    const feeders = model.feeders.length;
    this.byDay = new Float64Array(feeders * cells * items);
    this.byNight = new Float64Array(feeders * cells * items);
    this.search = this.byDay;
    this.handling = new Float64Array(feeders * items);
    this.presence = new Float64Array(feeders * LAYER_COUNT);
    this.fish = new Float64Array(feeders * cells);
    this.pushing = new Float64Array(feeders * cells);
    this.weight = new Float64Array(feeders * cells);
    this.hazard = new Float64Array(cells * items);
    this.half = new Float64Array(cells * items);
    this.dry = Float64Array.from(model.items, (item) => 1 - item.food.composition.moisture);
    this.live = new Int32Array(cells * items);
    this.first = new Int32Array(cells + 1);
    this.fillSearches();
  }

  private fillSearches() {
    const { waters, feeders, meetings } = this.model;
    const { cells, items } = this.state;
    feeders.forEach((feeder, f) => {
      for (let cell = 0; cell < cells; cell += 1) {
        const layer = cell % LAYER_COUNT;
        const flat = layer === GROUND || layer === FILM;
        // Nothing is found faster than it takes to swim across.
        const max = feeder.speedCmS / Math.sqrt(waters.areaCm2[(cell / LAYER_COUNT) | 0]!);
        const over = (reach: number) =>
          Math.min(
            max,
            (feeder.speedCmS * (flat ? 2 * reach : Math.PI * reach ** 2)) / waters.size[cell]!,
          );
        meetings[f]!.forEach(({ taken, reachCm }, i) => {
          const at = (f * cells + cell) * items + i;
          this.byDay[at] = taken * over(reachCm.day);
          this.byNight[at] = taken * over(reachCm.night);
        });
      }
    });
  }

  /** One step: they come, they find, they eat, they digest. */
  step(phase: Phase, nowS: number, dt: number) {
    this.look(phase);
    this.sift();
    this.gather(dt);
    this.status();
    this.soften(nowS);
    this.rates(this.state.n, dt);
    this.halfEaten(dt);
    this.soften(nowS + dt / 2);
    this.rates(this.half, dt);
    this.eat(dt);
  }

  /** What is in each cell in numbers that matter; a trace stays where it is. */
  private sift() {
    const { live, first, model } = this;
    const { n, cells, items, active } = this.state;
    let count = 0;
    for (let cell = 0; cell < cells; cell += 1) {
      first[cell] = count;
      for (let a = 0; a < active.length; a += 1) {
        const i = active[a]!;
        if (n[cell * items + i]! > TRACE * model.items[i]!.count) live[count++] = i;
      }
    }
    first[cells] = count;
  }

  /** Numbers in the middle of a step, at the rates of its beginning. */
  private halfEaten(dt: number) {
    const { state, half, hazard, live, first } = this;
    for (let cell = 0; cell < state.cells; cell += 1) {
      for (let l = first[cell]!; l < first[cell + 1]!; l += 1) {
        const at = cell * state.items + live[l]!;
        half[at] = state.n[at]! * Math.exp(-0.5 * dt * hazard[at]!);
      }
    }
  }

  /** Who is where, and finds how well, in this light. */
  private look(phase: Phase) {
    const { byDay, byNight } = this;
    const day = phase.day + phase.dusk / 2;
    const night = 1 - day;
    this.model.feeders.forEach((feeder, f) => {
      const { ready } = feeder;
      const now = phase.day * ready.day + phase.dusk * ready.dusk + phase.night * ready.night;
      for (let layer = 0; layer < LAYER_COUNT; layer += 1) {
        this.presence[f * LAYER_COUNT + layer] =
          now * (day * feeder.byDay[layer]! + night * feeder.byNight[layer]!);
      }
    });
    if (day === this.lightness) return;
    this.lightness = day;
    this.search =
      night === 0
        ? byDay
        : day === 0
          ? byNight
          : byDay.map((inTheLight, at) => day * inTheLight + night * byNight[at]!);
  }

  /** Groups come to the places at which there is food for them, the bold ones first. */
  private gather(dt: number) {
    const { model, state, presence, dry, live, first } = this;
    const { feeders, meetings, waters } = model;
    const { columns, areaCm2 } = waters;
    const { n, items, where, massG } = state;
    const floor = areaCm2.reduce((sum, area) => sum + area, 0);
    const worth = new Float64Array(columns);
    const deep = new Float64Array(LAYER_COUNT);
    for (let f = 0; f < feeders.length; f += 1) {
      const feeder = feeders[f]!;
      if (feeder.count === 0) continue;
      let all = 0;
      deep.fill(0);
      for (let column = 0; column < columns; column += 1) {
        let sum = 0;
        for (let layer = 0; layer < LAYER_COUNT; layer += 1) {
          // Where it never is, it does not look.
          if (presence[f * LAYER_COUNT + layer] === 0) continue;
          const cell = column * LAYER_COUNT + layer;
          let here = 0;
          for (let l = first[cell]!; l < first[cell + 1]!; l += 1) {
            const i = live[l]!;
            // Film is everywhere: nobody comes to it.
            if (i === items - 1) continue;
            here += meetings[f]![i]!.taken * n[cell * items + i]! * massG[i]! * dry[i]!;
          }
          deep[layer]! += here;
          sum += here;
        }
        worth[column] = sum;
        all += sum;
      }
      const enough = all + WORTH_COMING * feeder.stomachG;
      const comes = all > 0 ? (COMES * all) / enough : 0;
      if (all > 0) this.follow(f, deep, enough);
      const moved = -Math.expm1(-dt / feeder.gathersS);
      for (let column = 0; column < columns; column += 1) {
        const here = all > 0 ? (comes * worth[column]!) / all : 0;
        const target = ((1 - comes) * areaCm2[column]!) / floor + here;
        where[f * columns + column]! += moved * (target - where[f * columns + column]!);
      }
    }
  }

  /** The same time out of shelter, more of it in the layers where the food is. */
  private follow(f: number, deep: Float64Array, enough: number) {
    const { presence } = this;
    const from = f * LAYER_COUNT;
    let usual = 0;
    let drawn = 0;
    for (let layer = 0; layer < LAYER_COUNT; layer += 1) {
      usual += presence[from + layer]!;
      presence[from + layer]! *= 1 + (FOLLOWS * deep[layer]!) / enough;
      drawn += presence[from + layer]!;
    }
    for (let layer = 0; layer < LAYER_COUNT; layer += 1) presence[from + layer]! *= usual / drawn;
  }

  /** Fish that feed in each cell: the shy ones yield to bolder, hungry mates at the same place. */
  private status() {
    const { model, state, presence, fish, pushing } = this;
    const { feeders, waters } = model;
    const { cells, where, stomach } = state;
    const { columns } = waters;
    for (let f = 0; f < feeders.length; f += 1) {
      const { count, stomachG } = feeders[f]!;
      const hungry = count === 0 ? 0 : Math.max(0, 1 - stomach[f]! / stomachG);
      for (let cell = 0; cell < cells; cell += 1) {
        const layer = cell % LAYER_COUNT;
        const column = (cell / LAYER_COUNT) | 0;
        const here = count * presence[f * LAYER_COUNT + layer]! * where[f * columns + column]!;
        fish[f * cells + cell] = here;
        pushing[f * cells + cell] = here * hungry;
      }
    }
    for (let f = 0; f < feeders.length; f += 1) {
      for (let cell = 0; cell < cells; cell += 1) {
        if (fish[f * cells + cell] === 0) continue;
        let pressed = 0;
        for (let o = 0; o < feeders.length; o += 1) {
          const bolder = feeders[o]!.boldness - feeders[f]!.boldness;
          if (bolder > 0) pressed += bolder * pushing[o * cells + cell]!;
        }
        fish[f * cells + cell]! /= 1 + YIELDS * pressed;
      }
    }
  }

  /** Seconds over each particle: a hard food is bitten faster once it has softened. */
  private soften(nowS: number) {
    const { model, state, handling } = this;
    for (const i of state.active) {
      const item = model.items[i]!;
      const soft = -Math.expm1(-Math.max(0, nowS - item.inS) / item.softensS);
      const bitten = HARD_BITE + (1 - HARD_BITE) * soft;
      for (let f = 0; f < model.feeders.length; f += 1) {
        const { handlingS, bites } = model.meetings[f]![i]!;
        handling[f * state.items + i] = bites ? handlingS / bitten : handlingS;
      }
    }
  }

  /** Share of each particle eaten a second, over all groups, with `n` of them in the cells. */
  private rates(n: Float64Array, dt: number) {
    const { model, state, search, handling, fish, weight, hazard, dry, live, first } = this;
    const { cells, items, massG, stomach } = state;
    hazard.fill(0);
    for (let f = 0; f < model.feeders.length; f += 1) {
      const feeder = model.feeders[f]!;
      if (feeder.count === 0) continue;
      let intake = 0;
      for (let cell = 0; cell < cells; cell += 1) {
        const feeding = fish[f * cells + cell]!;
        if (feeding === 0) {
          weight[f * cells + cell] = 0;
          continue;
        }
        const from = (f * cells + cell) * items;
        let busy = 1;
        let found = 0;
        for (let l = first[cell]!; l < first[cell + 1]!; l += 1) {
          const i = live[l]!;
          const met = search[from + i]! * n[cell * items + i]!;
          busy += met * handling[f * items + i]!;
          found += met * massG[i]! * dry[i]!;
        }
        weight[f * cells + cell] = feeding / busy;
        intake += (feeding / busy) * found;
      }
      const { stomachG, evacuationPerS } = feeder;
      const appetite = meanAppetite(intake, stomach[f]!, stomachG, evacuationPerS, dt);
      for (let cell = 0; cell < cells; cell += 1) {
        const feeding = weight[f * cells + cell]! * appetite;
        weight[f * cells + cell] = feeding;
        if (feeding === 0) continue;
        const from = (f * cells + cell) * items;
        for (let l = first[cell]!; l < first[cell + 1]!; l += 1) {
          hazard[cell * items + live[l]!]! += feeding * search[from + live[l]!]!;
        }
      }
    }
  }

  /** Take what was eaten out of the cells and into the stomachs. */
  private eat(dt: number) {
    const { model, state, search, weight, hazard, dry, live, first } = this;
    const { n, cells, items, massG, eaten, stomach } = state;
    const { feeders } = model;
    const swallowed = new Float64Array(feeders.length);
    for (let cell = 0; cell < cells; cell += 1) {
      for (let l = first[cell]!; l < first[cell + 1]!; l += 1) {
        const i = live[l]!;
        const at = cell * items + i;
        const share = hazard[at]!;
        if (share === 0) continue;
        const gone = n[at]! * -Math.expm1(-share * dt);
        n[at]! -= gone;
        const grams = (gone * massG[i]!) / share;
        for (let f = 0; f < feeders.length; f += 1) {
          const part = weight[f * cells + cell]! * search[(f * cells + cell) * items + i]! * grams;
          eaten[f * items + i]! += part;
          swallowed[f]! += part * dry[i]!;
        }
      }
    }
    for (let f = 0; f < feeders.length; f += 1) {
      const emptied = feeders[f]!.evacuationPerS * dt;
      const stays = emptied === 0 ? 1 : -Math.expm1(-emptied) / emptied;
      stomach[f] = stomach[f]! * Math.exp(-emptied) + swallowed[f]! * stays;
    }
  }
}

/**
 * Mean appetite over a step in which a hungry group would take `intake` dry grams a second: the
 * stomach fills towards where intake and emptying balance, so no step, however long, overfills it.
 */
function meanAppetite(
  intake: number,
  inIt: number,
  holds: number,
  empties: number,
  dt: number,
): number {
  if (holds <= 0) return 0;
  const rate = intake / holds + empties;
  if (rate <= 0) return Math.max(0, 1 - inIt / holds);
  const settles = intake / rate;
  const mean = settles + ((inIt - settles) * -Math.expm1(-rate * dt)) / (rate * dt);
  return Math.max(0, 1 - mean / holds);
}
