import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { measured } from '@open-larder/core/why';
import { answers, food, group, household, moment, species, tank } from '../testing/house';
import { replace } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import type { Words } from '../store';
import { DietScreen } from './DietScreen';
import { lookAtDiet } from './look';
import { sayFinding, sayMoment } from './words';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const words = {
  say: (_measure, base) => `${base} °C`,
  time: (minutes) => `${minutes}`,
} as Words;

describe('words about a diet', () => {
  it('place a moment by the clock or by the light', () => {
    const at = (anchor: typeof moment.anchor, minutes: number) =>
      sayMoment({ ...moment, anchor, minutes }, words);
    expect(at('clock', 450)).toBe('450');
    expect(at('lightsOff', 20)).toBe('20 min after lights-out');
    expect(at('lightsOn', -15)).toBe('15 min before lights-on');
    expect(at('lightsOff', 0)).toBe('at lights-out');
  });

  it.each([
    [{ kind: 'tooCold', tempC: 12, limitC: 18 }, /12 °C.*from 18 °C/],
    [{ kind: 'tooWarm', tempC: 33, limitC: 30 }, /33 °C.*up to 30 °C/],
    [{ kind: 'longGap', hours: 14, safe: measured('', 9.5, 'h') }, /14 h.*about 9.5 h/],
    [{ kind: 'longGap', hours: 96, safe: measured('', 60, 'h') }, /4 days.*about 2.5 days/],
    [{ kind: 'fewMeals', planned: 1, wanted: measured('', 3, '') }, /1 meals.*asks for 3/],
    [{ kind: 'bigMeal', dryMatterG: 1, largest: measured('', 0.5, 'g') }, /Split it/],
    [{ kind: 'rounding', servingId: 's', ofWanted: 2.4 }, /Flake: .*2.4 times the need/],
    [{ kind: 'rounding', servingId: 's', ofWanted: 0.9 }, /Flake: rounded to 90 %/],
    [{ kind: 'ownAmount', servingId: 's', ofWanted: 1.5 }, /Flake: your own amount is 150 %/],
    [{ kind: 'fryFast' }, /Fry must never fast/],
  ] as const)('say finding %# with its figures', (finding, sentence) => {
    expect(sayFinding(finding, words, () => 'Flake')).toMatch(sentence);
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
    const look = lookAtDiet(group, { ...diet, goalFactor: 2 }, data, '2026-03-04');
    const saved = lookAtDiet(group, group.diet, data, '2026-03-04');
    expect(look?.week).toHaveLength(7);
    expect(look?.week[6]?.rest).toBe('fast');
    expect(look?.week[0]?.needKj.value).toBeCloseTo(2 * saved!.week[0]!.needKj.value, 9);
    expect(look?.portions.get('s1')?.food.name).toBe('Fine flake');
  });

  it('is nothing where the tank or the species is gone', () => {
    expect(lookAtDiet({ ...group, tankId: 'x' }, group.diet, data, '2026-03-04')).toBeNull();
    expect(lookAtDiet({ ...group, speciesKey: 'x' }, group.diet, data, '2026-03-04')).toBeNull();
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
