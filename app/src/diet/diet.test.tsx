import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { measured } from '@open-larder/core/why';
import { answers, food, group, household, moment, species, tank } from '../testing/house';
import { replace } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import type { Format } from '../store';
import { DietScreen } from './DietScreen';
import { reviewDiet } from './look';
import { formatFinding, formatMoment } from './labels';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const format = {
  quantity: (_measure, base) => `${base} °C`,
  time: (minutes) => `${minutes}`,
} as Format;

describe('words about a diet', () => {
  it('place a moment by the clock or by the light', () => {
    const at = (anchor: typeof moment.anchor, minutes: number) =>
      formatMoment({ ...moment, anchor, minutes }, format);
    expect(at('clock', 450)).toBe('450');
    expect(at('lightsOff', 20)).toBe('20 min after lights-out');
    expect(at('lightsOn', -15)).toBe('15 min before lights-on');
    expect(at('lightsOff', 0)).toBe('at lights-out');
  });

  it.each([
    [{ kind: 'tooCold', tempC: 12, limitC: 18 }, /^Warm the water to 18 °C/, /12 °C.*from 18 °C/],
    [{ kind: 'tooWarm', tempC: 33, limitC: 30 }, /^Cool the water to 30 °C/, /33 °C.*up to 30 °C/],
    [
      { kind: 'longGap', hours: 14, safe: measured('', 9.5, 'h') },
      /^Add a meal/,
      /14 h.*about 9.5 h/,
    ],
    [
      { kind: 'longGap', hours: 96, safe: measured('', 60, 'h') },
      /^Add a meal/,
      /4 days.*2.5 days/,
    ],
    [{ kind: 'fewMeals', planned: 1, wanted: measured('', 3, '') }, /over 3 meals/, /is one meal/],
    [{ kind: 'bigMeal', dryMatterG: 1, largest: measured('', 0.5, 'g') }, /^Split the/, /2 times/],
    [
      { kind: 'rounding', servingId: 's', ofWanted: 2.4, smallest: true, fewer: null },
      /^Choose a finer food than Flake/,
      /smallest amount you can give is 2.4 times what they need/,
    ],
    [
      {
        kind: 'rounding',
        servingId: 's',
        ofWanted: 2.4,
        smallest: false,
        fewer: { days: [1, 3, 5], rests: [] },
      },
      /^Give Flake on 3 days a week/,
      /^What is given is 2.4 times/,
    ],
    [
      { kind: 'rounding', servingId: 's', ofWanted: 0.9, smallest: false, fewer: null },
      /a little more Flake/,
      /0.9 times/,
    ],
    [
      { kind: 'ownAmount', servingId: 's', ofWanted: 1.5 },
      /^Check your own amount of Flake/,
      /150 %/,
    ],
    [{ kind: 'fryFast' }, /fry must never fast/, /left out/],
  ] as const)('say finding %# as what to do, and its figures', (finding, does, because) => {
    const said = formatFinding(finding, format, () => 'Flake');
    expect(said.does).toMatch(does);
    expect(said.because).toMatch(because);
  });
});

describe('a look at a diet', () => {
  const data = {
    household,
    moments: [moment],
    tanks: [tank],
    groups: [group],
    groupsIn: new Map([[tank.id, [group]]]),
    ownSpecies: [],
    foods: [food],
    species: new Map([[species.key, species]]),
    house: { timeZone: 'UTC', moments: [moment], tanks: [], groups: [], foods: [food] },
  };

  it('compiles what is still being written, over the whole week', () => {
    const { validFrom: _, ...diet } = group.diet!;
    const look = reviewDiet(group, { ...diet, goalFactor: 2 }, data, '2026-03-04');
    const saved = reviewDiet(group, group.diet, data, '2026-03-04');
    expect(look?.week).toHaveLength(7);
    expect(look?.week[6]?.rest).toBe('fast');
    expect(look?.week[0]?.needKj.value).toBeCloseTo((2 / 1.5) * saved!.week[0]!.needKj.value, 9);
    expect(look?.portions.get('s1')?.food.name).toBe('Fine flake');
  });

  it('is nothing where the tank or the species is gone', () => {
    expect(reviewDiet({ ...group, tankId: 'x' }, group.diet, data, '2026-03-04')).toBeNull();
    expect(reviewDiet({ ...group, speciesKey: 'x' }, group.diet, data, '2026-03-04')).toBeNull();
  });
});

/** Diets are checked before they are sent, ids too. */
const REAL = {
  s1: '01a20b8f-8261-7d0d-87a6-870c81b69e81',
  f1: '01a20b8f-8261-7d0d-87a6-870c81b69e82',
  evening: '01a20b8f-8261-7d0d-87a6-870c81b69e83',
};
const withRealIds = (plain: Record<string, unknown>) =>
  JSON.parse(
    JSON.stringify(plain).replace(
      /"(s1|f1|evening)"/g,
      (_, id: keyof typeof REAL) => `"${REAL[id]}"`,
    ),
  ) as Record<string, unknown>;

describe('planning a diet', () => {
  it('gives what cannot be measured small enough on fewer days, at a tap', async () => {
    // One pellet that is counted, for two small fish.
    const pellet = {
      ...food,
      kind: 'dry' as const,
      unit: { ...food.unit, name: 'pellet', plural: 'pellets', massG: 0.012, step: 1 },
      weighings: [],
    };
    const few = {
      ...group,
      size: { males: 0, females: 0, unsexed: 2, total: 2 },
      diet: { ...group.diet!, goalFactor: 0.7 },
    };
    const asked = standIn({
      ...withRealIds({
        ...answers(),
        'GET /api/catalogue': { species: [{ ...species, stomach: true }], foods: [] },
        'GET /api/foods': { items: [pellet], next: null },
        'GET /api/groups': { items: [few], next: null },
      }),
      'PUT /api/groups/g1/diet': ({ body }: { body: unknown }) => ({
        status: 200,
        body: { ...(body as object), version: 3, validFrom: '2026-03-04' },
      }),
    });
    show(<DietScreen id="g1" />);
    expect(await screen.findByText(/^Give .* on \d days a week\.$/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^Give Fine flake only /));
    // Then there is nothing more to say of it, and it is saved so.
    await waitFor(() => expect(screen.queryByText(/times what they need/)).toBeNull());
    fireEvent.press(screen.getByLabelText('Save the diet'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    const [body] = sent(asked, 'PUT') as {
      fastWeekdays: number[];
      servings: { days: number[] }[];
    }[];
    expect(body!.servings[0]!.days.length).toBeLessThan(6);
    expect(body!.fastWeekdays.length + body!.servings[0]!.days.length).toBe(7);
  });

  it('folds servings to a line, opens one to change, and saves the next version', async () => {
    const asked = standIn({
      ...withRealIds(answers()),
      'PUT /api/groups/g1/diet': ({ body }: { body: unknown }) => ({
        status: 200,
        body: { ...(body as object), version: 3, validFrom: '2026-03-04' },
      }),
    });
    show(<DietScreen id="g1" />);
    fireEvent.press(await screen.findByLabelText('Change serving 1'));
    fireEvent.changeText(screen.getByLabelText('Place'), 'beside the moss');
    fireEvent.changeText(screen.getByLabelText('Your own amount, in pinches'), '4');
    expect(screen.getByText('4 pinches')).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('Sunday').at(-1)!);
    fireEvent.press(screen.getByLabelText('Save the diet'));
    await waitFor(() => expect(replace).toHaveBeenCalledWith('/groups/g1'));
    const [put] = sent(asked, 'PUT');
    expect(put).toMatchObject({
      version: 2,
      fastWeekdays: [],
      servings: [{ id: REAL.s1, place: 'beside the moss', ownUnits: 4 }],
    });
  });

  it('asks for a food first where the shelf is empty', async () => {
    standIn({ ...answers(), 'GET /api/foods': { items: [], next: null } });
    show(<DietScreen id="g1" />);
    expect(await screen.findByText('The shelf is empty')).toBeTruthy();
  });
});
