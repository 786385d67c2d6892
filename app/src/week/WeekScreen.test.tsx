import type { PlanEdit } from '@open-larder/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { group, tank } from '../testing/house';
import { sent, standIn, type Asked } from '../testing/server';
import { WEEKDAY } from '../testing/clock';
import { recall } from '../store/memory';
import { show } from '../testing/show';
import { formatPeriod } from './PeriodsSheet';
import { chips, house, labelOf, open, tanks } from './week.testkit';
import { WeekScreen } from './WeekScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

describe('the week of a tank', () => {
  it('is chosen from tabs where there are few', async () => {
    standIn(house({ 'GET /api/tanks': { items: tanks(3), next: null } }));
    show(<WeekScreen />);
    expect(await screen.findByText('What reaches each group')).toBeTruthy();
    fireEvent.press(screen.getByText('2 Rack 2'));
    expect(screen.getByText('No fish in this tank')).toBeTruthy();
  });

  it('is found by its name where there are many', async () => {
    const away = { ...group, tankId: 't20' };
    standIn(
      house({
        'GET /api/tanks': { items: tanks(20), next: null },
        'GET /api/groups': { items: [away], next: null },
      }),
    );
    show(<WeekScreen />);
    fireEvent.press(await screen.findByLabelText('Tank: 1 Rack 1'));
    fireEvent.changeText(screen.getByLabelText('Search'), 'rack 20');
    fireEvent.press(screen.getByLabelText('20 Rack 20'));
    expect(await screen.findByText('What reaches each group')).toBeTruthy();
    expect(screen.getByText(/^Rack 20, from/)).toBeTruthy();
  });

  it('says what to do first where there is nothing', async () => {
    standIn(
      house({
        'GET /api/tanks': { items: [], next: null },
        'GET /api/groups': { items: [], next: null },
      }),
    );
    show(<WeekScreen />);
    expect(await screen.findByText('No week to show yet')).toBeTruthy();
    expect(screen.getByLabelText('Say what you have')).toBeTruthy();
  });

  it('shows what reaches each group by simulation, and what the plan misses', async () => {
    open();
    expect(await screen.findByText(/Simulated\.$/)).toBeTruthy();
    expect(screen.getByLabelText(/^Zebrafish: \d+ % of need/)).toBeTruthy();
    expect(screen.getByText('What the plan misses')).toBeTruthy();
    // Six days with food: the seventh is its fast.
    expect(chips()).toHaveLength(6);
    expect(screen.getByText('all fast')).toBeTruthy();
  });
});

describe('the week on a phone', () => {
  it('is a day at a time, each moment with what it gets and the way to change it', async () => {
    open({}, 'day');
    const day = await screen.findByLabelText(/^The plan of .*/);
    expect(within(day).getByText(/After work$/)).toBeTruthy();
    expect(screen.getAllByRole('tab', { name: /^... \d+ ...$/ })).toHaveLength(7);
    fireEvent.press(within(day).getByLabelText(/^Add food: Midday break/));
    expect(await screen.findByLabelText(/^... \d+ ..., Midday break$/)).toBeTruthy();
  });

  it('shows the whole week where it is asked for, and from then on', async () => {
    open({}, 'day');
    fireEvent.press(await screen.findByLabelText('the whole week'));
    expect(await screen.findByLabelText('The plan, days across and moments down')).toBeTruthy();
    expect(recall('week.view')).toBe('week');
  });
});

describe('the board', () => {
  const openCell = async () => {
    fireEvent.press((await screen.findAllByLabelText(/Fine flake for Zebrafish$/))[0]!);
    return within(await screen.findByLabelText(/^... \d+ ..., After work$/));
  };

  it('changes the amount on one day, takes it back, and puts it in again', async () => {
    open();
    await screen.findByText('What reaches each group');
    const before = chips().map(labelOf);
    await openCell();
    fireEvent.press(screen.getByLabelText('More: Amount of fine flake that day'));
    fireEvent.press(screen.getAllByLabelText('Close')[0]!);
    const after = chips().map(labelOf);
    expect(after.filter((label, at) => label !== before[at])).toHaveLength(1);
    fireEvent.press(screen.getByLabelText('Undo'));
    expect(chips().map(labelOf)).toEqual(before);
    fireEvent.press(screen.getByLabelText('Redo'));
    expect(chips().map(labelOf)).toEqual(after);
  });

  it('takes an amount that is typed, and leaves what cannot be one', async () => {
    open();
    await screen.findByText('What reaches each group');
    await openCell();
    fireEvent.changeText(screen.getByLabelText('Or type how many pinches'), '7');
    fireEvent.changeText(screen.getByLabelText('Or type how many pinches'), '0');
    fireEvent.press(screen.getAllByLabelText('Close')[0]!);
    expect(
      chips()
        .map(labelOf)
        .filter((label) => /^7 pinches/.test(label)),
    ).toHaveLength(1);
  });

  it('says about what an edit comes to at once, and simulates it after that', async () => {
    open();
    await screen.findByText(/Simulated\.$/);
    const figure = () => labelOf(screen.getByLabelText(/^Zebrafish: /));
    const before = figure();
    await openCell();
    for (let tap = 0; tap < 6; tap += 1) {
      fireEvent.press(screen.getByLabelText('More: Amount of fine flake that day'));
    }
    expect(screen.getByText(/About so: simulating the change/)).toBeTruthy();
    expect(figure()).not.toBe(before);
    expect(await screen.findByText(/Simulated\.$/)).toBeTruthy();
  });

  it('puts a food in on chosen days, and sends only what changed', async () => {
    const asked = open();
    fireEvent.press((await screen.findAllByLabelText(/^Add food: Midday break/))[1]!);
    fireEvent.press(await screen.findByLabelText(/^Food: /));
    fireEvent.press(screen.getByLabelText(/^Fine flake, suits \w+ · dry/));
    fireEvent.press(screen.getByLabelText('Put it in'));
    fireEvent.press(screen.getAllByLabelText('Close')[0]!);
    expect(chips()).toHaveLength(7);
    fireEvent.press(screen.getByText('Save the plan'));
    expect(await screen.findByText(/The plan of Millpond is saved/)).toBeTruthy();
    const [body] = sent(asked, 'PUT') as unknown as PlanEdit[];
    expect(body).toMatchObject({ version: 0, cycle: { days: 7 } });
    expect(body!.diets).toHaveLength(1);
    expect(body!.diets[0]).toMatchObject({ groupId: 'g1', version: 2 });
    expect(body!.diets[0]!.servings.map(({ momentId, days }) => [momentId, days.length])).toEqual([
      ['evening', 7],
      ['noon', 1],
    ]);
  });

  it('puts a tapped food into the cells that are tapped after it', async () => {
    open();
    await screen.findByText('What reaches each group');
    fireEvent.press(screen.getByText('Foods'));
    fireEvent.press(screen.getByLabelText('Fine flake, to put in'));
    expect(screen.getByText(/^Now tap the cells that Fine flake goes into/)).toBeTruthy();
    const empty = () => screen.queryAllByLabelText(/^Add food: Midday break/);
    const before = empty().length;
    fireEvent.press(empty()[0]!);
    fireEvent.press(empty()[0]!);
    expect(empty()).toHaveLength(before - 2);
    expect(chips()).toHaveLength(8);
    // Tapped again it is laid down: a cell opens as before.
    fireEvent.press(screen.getByLabelText('Fine flake, to put in'));
    fireEvent.press(empty()[0]!);
    expect(await screen.findByText('Add a food')).toBeTruthy();
    expect(chips()).toHaveLength(8);
  });

  it('keeps what is being edited when the page is loaded anew', async () => {
    open();
    await openCell();
    fireEvent.press(screen.getByText('Take it out that day'));
    screen.unmount();
    open();
    expect(await screen.findByText('Save the plan')).toBeTruthy();
    expect(chips()).toHaveLength(5);
    fireEvent.press(screen.getByText('Drop the changes'));
    expect(chips()).toHaveLength(6);
    expect(screen.getByText('Saved')).toBeTruthy();
    // Dropped by mistake: the way back is in the line that says so.
    fireEvent.press(screen.getAllByLabelText('Undo').at(-1)!);
    expect(chips()).toHaveLength(5);
  });

  it('of two people is kept twice until one of them decides', async () => {
    let plan: unknown = null;
    const theirs = {
      version: 4,
      validFrom: '2026-01-01',
      cycle: { days: 7, from: '2024-01-01' },
      feedingStyle: null,
      fasts: [],
      water: null,
    };
    const asked = open({
      'GET /api/tanks': () => ({ status: 200, body: { items: [{ ...tank, plan }], next: null } }),
      'PUT /api/tanks/t1/plan': ({ body }: Pick<Asked, 'body'>) => {
        const edit = body as PlanEdit;
        if (edit.version === 4)
          return { status: 200, body: { plan: { ...theirs, version: 5 }, diets: [] } };
        plan = theirs;
        return {
          status: 409,
          body: {
            type: 'urn:open-larder:stale',
            title: 'This plan was changed in between',
            status: 409,
            detail: 'Someone saved it while you were editing.',
            yours: edit,
            theirs,
          },
        };
      },
    });
    await openCell();
    fireEvent.press(screen.getByText('Take it out that day'));
    fireEvent.press(screen.getByText('Save the plan'));
    expect(await screen.findByText('Someone saved it while you were editing.')).toBeTruthy();
    // Nothing of mine is lost, and keeping it is sent over theirs.
    expect(chips()).toHaveLength(5);
    await waitFor(() => expect(asked.filter(({ path }) => path === '/api/tanks').length).toBe(2));
    fireEvent.press(screen.getByText('Keep mine'));
    expect(await screen.findByText(/The plan of Millpond is saved/)).toBeTruthy();
    expect((sent(asked, 'PUT') as unknown as PlanEdit[]).map(({ version }) => version)).toEqual([
      0, 4,
    ]);
  });
});

describe('fasts, choices and what they take', () => {
  it('a fast on dates is added, and takes the food off those days', async () => {
    open();
    await screen.findByText('What reaches each group');
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('Fasts'));
    fireEvent.press(screen.getByText('Add this fast'));
    expect(screen.getByText('The whole tank')).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('Close')[0]!);
    // Today is a fast now, unless it was one before.
    expect(chips()).toHaveLength(WEEKDAY === 7 ? 6 : 5);
  });

  it('fry are not asked to fast, and it says how long they stand', async () => {
    open({ 'GET /api/groups': { items: [{ ...group, stage: 'fry', lengthCm: 0.8 }], next: null } });
    await screen.findByText('What reaches each group');
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('Fasts'));
    expect(
      screen.getByText(/Zebrafish never fast: fry can go about \d+ hours without food/),
    ).toBeTruthy();
    expect(screen.queryByLabelText('Zebrafish, every week')).toBeNull();
  });

  it('another feeding style is adopted by a tap, and the plan with it', async () => {
    open();
    await screen.findByText('What reaches each group');
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('How it is fed'));
    fireEvent.press(screen.getByLabelText(/^two meals/));
    expect(await screen.findByText('Save the plan')).toBeTruthy();
    expect(screen.getByLabelText(/^two meals/).props.accessibilityState?.checked).toBe(true);
  });

  it('a cycle of another length lays the plan out anew', async () => {
    open();
    await screen.findByText('What reaches each group');
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('How it is fed'));
    fireEvent.press(screen.getByLabelText('Less: Days until the plan repeats'));
    fireEvent.press(screen.getAllByLabelText('Close')[0]!);
    expect(screen.getByText('Millpond, a cycle of 6 days')).toBeTruthy();
    expect(screen.getByText('Day 6')).toBeTruthy();
    expect(screen.queryByText('Day 7')).toBeNull();
  });

  it('a food that is refused is said once, and the simulation follows', async () => {
    open();
    await screen.findByText(/Simulated\.$/);
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('What they take'));
    fireEvent.press(screen.getByLabelText('refuses it'));
    fireEvent.press(screen.getAllByLabelText('Close')[0]!);
    await screen.findByText(/Simulated\.$/);
    await waitFor(() =>
      expect(labelOf(screen.getByLabelText(/^Zebrafish: /))).toMatch(
        /^Zebrafish: 1?[0-9] % of need/,
      ),
    );
  });
});

describe('a plan to begin with', () => {
  it('is laid out for the fish of the tank, and looked at before it is saved', async () => {
    open({ 'GET /api/groups': { items: [{ ...group, diet: null }], next: null } });
    expect(await screen.findByText('Nothing planned for this tank')).toBeTruthy();
    fireEvent.press(screen.getByText('A plan to begin with'));
    expect(screen.getByText('What it would be')).toBeTruthy();
    fireEvent.press(screen.getByText('Lay it out'));
    expect(await screen.findByText('Save the plan')).toBeTruthy();
    expect(chips().length).toBeGreaterThanOrEqual(7);
  });

  it('says so where nothing on the shelf fits, and lays nothing out', async () => {
    open({ 'GET /api/foods': { items: [], next: null } });
    await screen.findByText('What reaches each group');
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('Begin with'));
    expect(screen.getByText('Nothing on the shelf suits them: the plan is kept.')).toBeTruthy();
    expect(screen.getByText(/^Zebrafish: put a food on the shelf/)).toBeTruthy();
    const button = screen.getByLabelText('Lay it out');
    expect(button.props.accessibilityState).toMatchObject({ disabled: true });
  });

  it('is laid out in many tanks at once, after a look at each', async () => {
    const other = { ...group, id: 'g2', name: 'Medaka', tankId: 't2', diet: null };
    const own = { ...group, tankId: 't1', diet: null };
    open({
      'GET /api/tanks': { items: tanks(2), next: null },
      'GET /api/groups': { items: [own, other], next: null },
    });
    fireEvent.press(await screen.findByText('A plan to begin with'));
    fireEvent.press(screen.getByLabelText('Rack 2'));
    expect(screen.getByText('Zebrafish · Rack 1')).toBeTruthy();
    expect(screen.getByText('Medaka · Rack 2')).toBeTruthy();
    fireEvent.press(screen.getByText('Lay it out in 2 tanks'));
    expect(
      await screen.findByText('Laid out and balanced in 2 tanks. Look at each and save it.'),
    ).toBeTruthy();
    // Nothing is saved yet, in neither of them.
    expect(screen.getByText('Save the plan')).toBeTruthy();
    fireEvent.press(screen.getByText('2 Rack 2'));
    expect(await screen.findByText('Save the plan')).toBeTruthy();
    expect(screen.queryAllByLabelText(/Fine flake for Medaka$/).length).toBeGreaterThan(0);
  });

  it('of one’s own is kept from a group’s plan, without its amounts', async () => {
    const asked = open({
      'POST /api/starting-plans': ({ body }: Pick<Asked, 'body'>) => ({
        status: 201,
        body: { ...(body as object), version: 1, archived: false },
      }),
    });
    await screen.findByText('What reaches each group');
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('Begin with'));
    fireEvent.changeText(await screen.findByLabelText('Name'), 'For danios');
    fireEvent.press(screen.getByText('Keep it'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    const [made] = sent(asked, 'POST') as { name: string; lines: object[] }[];
    expect(made!.name).toBe('For danios');
    expect(made!.lines[0]).not.toHaveProperty('ownUnits');
  });
});

describe('seasons', () => {
  const addOne = async () => {
    const asked = open();
    await screen.findByText(/Simulated\.$/);
    fireEvent.press(screen.getByText('More'));
    fireEvent.press(screen.getByText('Seasons'));
    fireEvent.changeText(screen.getByLabelText('Name'), 'Winter rest');
    fireEvent.press(screen.getByText('while the water is colder than'));
    fireEvent.press(screen.getByText('nothing'));
    fireEvent.press(screen.getByText('Add it'));
    expect(await screen.findByText(/colder than 10 °C · nothing/)).toBeTruthy();
    return asked;
  };

  it('are added by the cold, and kept with the plan', async () => {
    const asked = await addOne();
    fireEvent.press(screen.getByText('Save the plan'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    expect(sent(asked, 'PUT')[0]).toMatchObject({
      periods: [{ name: 'Winter rest', when: { kind: 'below', tempC: 10 }, share: 0 }],
    });
  });

  it('are taken out again', async () => {
    await addOne();
    fireEvent.press(screen.getByLabelText('Remove Winter rest'));
    expect(screen.queryByText(/colder than 10/)).toBeNull();
  });

  it('are said as a keeper would', () => {
    const format = {
      day: (day: string) => `Fri ${day}`,
      quantity: (_: string, value: number) => `${value} °C`,
    } as unknown as Parameters<typeof formatPeriod>[1];
    const data = { foods: [{ id: 'f1', name: 'Live Moina' }] } as unknown as Parameters<
      typeof formatPeriod
    >[2];
    const base = { id: 'p', name: 'x', share: 0.5, everyDays: 2, without: ['f1'] };
    expect(
      formatPeriod({ ...base, when: { kind: 'dates', from: '11-01', to: '02-28' } }, format, data),
    ).toBe('2024-11-01 to 2024-02-28 · half, every other day · without Live Moina');
    expect(
      formatPeriod(
        { ...base, when: { kind: 'below', tempC: 8 }, share: 0.4, everyDays: 1, without: [] },
        format,
        data,
      ),
    ).toBe('colder than 8 °C · 40 %');
  });
});
