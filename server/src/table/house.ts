import { blankTank, groupCreate, tankCreate, type Tank } from '@open-larder/contract';
import { formatQuantity, refuseLength } from '@open-larder/say';
import { v7 as uuidv7 } from 'uuid';
import type { z } from 'zod';
import { startGroup } from '../group/acts';
import { groupsOn, readHistory } from '../group/history';
import { tanks } from '../tank/store';
import { errorsByField, faulty, unread, verdict, type Take, type Verdict } from './taking';

/** Litres of a tank without a given size: a common small one. An assumption, to be changed. */
const USUAL_LITRES = 60;

/** A house as a keeper types it: a line is a tank with one group. Unknown tanks are made. */
export const takeHouse: Take = async ({ scope, today, species, units }, lines) => {
  const [known, history] = await Promise.all([tanks(scope, null, null), readHistory(scope, null)]);
  const living = groupsOn(history, today).filter((group) => !group.archived);
  const byName = new Map<string, Pick<Tank, 'id'>>(
    known.filter((tank) => !tank.archived).map((tank) => [tank.name.toLowerCase(), tank]),
  );
  const madeTanks: z.output<typeof tankCreate>[] = [];
  const madeGroups: z.output<typeof groupCreate>[] = [];
  let walkOrder = Math.max(0, ...known.map((tank) => tank.walkOrder));

  const judge = (values: Record<string, unknown>): Verdict => {
    const name = values.tank as string | null;
    if (!name) return faulty({ tank: 'name the tank' });
    const guesses: Record<string, string> = {};
    let tank = byName.get(name.toLowerCase());
    let made: z.output<typeof tankCreate> | null = null;
    if (!tank) {
      const [lengthCm, widthCm, heightCm] = (values.measures ?? [null, null, null]) as (
        number | null
      )[];
      const litres = values.litres ?? (lengthCm === null ? USUAL_LITRES : null);
      if (litres === USUAL_LITRES && !values.litres) {
        const usual = formatQuantity(units, 'volume', USUAL_LITRES);
        guesses.tank = `no size given: taken as ${usual} until you change it`;
      }
      const sure = Object.fromEntries(
        ['kind', 'tempC', 'ph', 'gh'].flatMap((field) =>
          values[field] == null ? [] : [[field, values[field]]],
        ),
      );
      const read = tankCreate.safeParse({
        ...blankTank,
        ...sure,
        id: uuidv7(),
        name,
        lengthCm,
        widthCm,
        heightCm,
        litres,
        walkOrder: walkOrder + 1,
      });
      if (!read.success) return faulty(tankErrors(errorsByField(read.error)));
      made = read.data;
      tank = made;
    }
    const fish = judgeGroup(values, tank.id, guesses);
    if (fish?.state === 'error') return fish;
    if (made) {
      walkOrder += 1;
      madeTanks.push(made);
      byName.set(name.toLowerCase(), made);
    }
    if (!fish)
      return made
        ? verdict('new', `${name} will be made`, { guesses })
        : verdict('same', 'is here as it is');
    return made ? { ...fish, says: `${name} will be made; ${fish.says}` } : fish;
  };

  /** Null for a line that only names a tank. */
  const judgeGroup = (
    values: Record<string, unknown>,
    tankId: string,
    guesses: Record<string, string>,
  ): Verdict | null => {
    const counts = {
      males: values.males ?? 0,
      females: values.females ?? 0,
      unsexed: values.unsexed ?? 0,
    };
    const some = Object.values(counts).some((count) => count !== 0);
    if (!values.speciesKey) {
      return some ? faulty({ speciesKey: 'say what fish these are' }) : null;
    }
    const kind = species.get(values.speciesKey as string);
    if (!values.stage) guesses.stage = 'taken as adult';
    if (!values.day) guesses.day = 'taken as today';
    const read = groupCreate.safeParse({
      ...counts,
      id: uuidv7(),
      tankId,
      name: values.name ?? kind?.common ?? '',
      speciesKey: values.speciesKey,
      stage: values.stage ?? 'adult',
      lengthCm: values.lengthCm ?? null,
      day: values.day ?? today,
    });
    if (!read.success) return faulty(errorsByField(read.error));
    if (read.data.day > today) return faulty({ day: 'this day has not come yet' });
    const length =
      kind && read.data.lengthCm !== null ? refuseLength(units, kind, read.data.lengthCm) : null;
    if (length) return faulty({ lengthCm: length });
    const there = [...living, ...madeGroups].some(
      (group) =>
        group.tankId === tankId &&
        group.speciesKey === read.data.speciesKey &&
        group.name.toLowerCase() === read.data.name.toLowerCase(),
    );
    if (there)
      return verdict(
        'same',
        'a group of this name and species is in this tank already; left as it is',
        { guesses },
      );
    madeGroups.push(read.data);
    return verdict('new', `${read.data.name} will be put in`, { guesses });
  };

  return {
    verdicts: lines.map((line) => unread(line) ?? judge(line.values)),
    async write() {
      await scope.insert(
        'tanks',
        madeTanks.map((tank) => ({ ...tank, version: 1, archived: false })),
      );
      for (const group of madeGroups) await startGroup(scope, species, group);
    },
  };
};

/** Measures stand in one column of this table. */
function tankErrors(errors: Record<string, string>): Record<string, string> {
  const column: Record<string, string> = {
    lengthCm: 'measures',
    widthCm: 'measures',
    heightCm: 'measures',
    name: 'tank',
  };
  return Object.fromEntries(
    Object.entries(errors).map(([field, says]) => [column[field] ?? field, says]),
  );
}
