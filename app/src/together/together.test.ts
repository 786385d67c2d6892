import type { Group } from '@open-larder/contract';
import { houseOf } from '@open-larder/contract/house';
import { assumed } from '@open-larder/core/why';
import type { Together } from '@open-larder/core/together';
import { scaleOf, type UnitChoice } from '@open-larder/core/units';
import { formatQuantity } from '@open-larder/say';
import { resolveSpecies } from '@open-larder/catalogue';
import type { Format } from '../store';
import { group, species, tank } from '../testing/house';
import { findingsIn } from './mates';
import { rank, formatTogether } from './labels';

const wordsIn = (units: UnitChoice) =>
  ({
    units,
    quantity: (measure, base) => formatQuantity(units, measure, base),
    scale: (measure) => scaleOf(units, measure),
  }) as Format;
const metric = wordsIn({ units: 'metric', temperature: 'C', hardness: 'dGH' });
const us = wordsIn({ units: 'us', temperature: 'F', hardness: 'ppm' });
const named = {
  name: (id: string) => ({ a: 'Danios', b: 'Oscars' })[id] ?? id,
  species: () => species,
};
const known = (value: number) => assumed('x', value, '', 'test');
const base = { groupId: 'a', severity: 0.5 };

describe('what living together says', () => {
  it.each<[Together, RegExp, RegExp]>([
    [
      { ...base, kind: 'fitsMouth', otherId: 'b', ratio: known(0.2) },
      /Danios fit the mouth of Oscars/,
      /20 % as deep/,
    ],
    [
      { ...base, kind: 'fitsMouth', otherId: 'b', ratio: known(1.2) },
      /nearly fit/,
      /1.2 times as deep/,
    ],
    [
      { ...base, kind: 'tankTemperature', is: known(15), low: 18, high: 30 },
      /Too cool for Danios/,
      /59 °F; zebrafish are at ease from 64.4 °F to 86 °F/,
    ],
    [
      { ...base, kind: 'tankPh', is: known(9), low: 6.5, high: 8 },
      /Too alkaline/,
      /pH 9; .* pH 6.5 to pH 8/,
    ],
    [{ ...base, kind: 'tankHardness', is: known(2), low: 5, high: 20 }, /Too soft/, /36 ppm/],
    [
      { ...base, kind: 'noCommonTemperature', otherId: 'b', low: 27, high: 24, gap: known(3) },
      /No temperature suits both/,
      /80.6 °F, the other ends at 75.2 °F/,
    ],
    [
      { ...base, kind: 'fewOfAKind', is: 3, usual: 10 },
      /Small group/,
      /3 live here; .* of 10 or more/,
    ],
    [{ ...base, kind: 'keepsAlone', is: 2 }, /kept alone/, /2 live here/],
    [
      { ...base, kind: 'tooManyMales', males: 1, females: 1, perMale: 2 },
      /Many males/,
      /1 male to 1 female; usually 2 females to a male/,
    ],
    [
      { ...base, kind: 'nipsFins', otherId: 'b', boldness: known(0.3) },
      /Oscars nip fins/,
      /Danios are slow or shy/,
    ],
    [
      { ...base, kind: 'outEaten', otherIds: ['b', 'c', 'd'], pressure: known(0.4) },
      /out-eaten/,
      /Oscars, c and d do/,
    ],
    [
      { ...base, kind: 'feedsByNight', night: known(10), dayGroups: 1 },
      /feed while the others sleep/,
      /10 % .* among 1 group of/,
    ],
    [
      { ...base, kind: 'warmthOfMates', factor: known(0.8), atOptimum: known(1) },
      /suits others better/,
      /80 % of that/,
    ],
    [
      { ...base, kind: 'waterLoad', nitratePerWeek: known(12), toleratesMgL: 40, litres: 75.7 },
      /strain the water/,
      /12 mg\/L .* 20 gal; danios tolerate about 40/,
    ],
  ])('%#', (found, title, text) => {
    const said = formatTogether(found, named, us);
    expect(said.title).toMatch(title);
    expect(said.text).toMatch(text);
  });

  it('ranks in words what kills, what wears down, and what is worth knowing', () => {
    expect([1, 0.5, 0.2].map(rank)).toEqual(['Act', 'Watch', 'Good to know']);
  });
});

describe('the groups of a tank', () => {
  const warm = resolveSpecies('warm', {
    ...species,
    common: 'Warm fish',
    tempMinC: 28,
    tempOptC: 29,
    tempMaxC: 31,
  } as never);
  const kinds = new Map([
    [species.key, species],
    ['warm', warm],
  ]);
  const dataOf = (groups: Group[]) =>
    ({
      species: kinds,
      house: houseOf({
        household: { timeZone: 'UTC' },
        day: '2026-03-02',
        moments: [],
        tanks: [tank],
        groups,
        foods: [],
        species: kinds,
      }),
    }) as never;

  it('are compared as they are, lengths guessed where none were measured', () => {
    const other = { ...group, id: 'g2', name: 'Warm ones', speciesKey: 'warm', lengthCm: null };
    const found = findingsIn(tank, [group, other], dataOf([group, other]));
    expect(found.map((one) => one.kind)).toContain('tankTemperature');
    const cool = found.find((one) => one.kind === 'tankTemperature') as Together;
    expect(
      formatTogether(cool, { name: () => 'Warm ones', species: () => warm }, metric).text,
    ).toMatch(/The water is 25 °C; warm fish are at ease from 28 °C to 31 °C/);
    const gone = [{ ...group, speciesKey: 'gone' }];
    expect(findingsIn(tank, gone, dataOf(gone))).toEqual([]);
  });
});
