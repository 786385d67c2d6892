import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { food, group, tank } from '../testing/house';
import { push, replace } from '../testing/router';
import { sent } from '../testing/server';
import { TODAY as DAY } from '../testing/clock';
import { forgetActs } from '../store/call';
import { BroodsScreen } from './BroodsScreen';
import { BroodsWork } from './BroodsWork';
import { ConditionScreen } from './ConditionScreen';
import { NewBroodScreen } from './NewBroodScreen';
import { asked, event, eggs, fry, open, row, TUB } from './brood.testkit';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

describe('the broods', () => {
  it('without any say what to begin with', async () => {
    open([]);
    expect(await screen.findByText('No brood yet')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Begin a brood'));
    expect(push).toHaveBeenCalledWith('/broods/new');
  });

  it('show what each asks for, with the tap that says it is done', async () => {
    open([fry({ meals: [{ ...fry().meals[0]!, minutes: 1439 }] })]);
    expect(await screen.findByText(/^free-swimming, day 1 · 60/)).toBeTruthy();
    // Water is changed after the last meal: until then it is folded.
    expect(screen.queryByLabelText(/^Changed: Fry/)).toBeNull();
    fireEvent.press(screen.getByLabelText(/^Later today/));
    fireEvent.press(screen.getByLabelText(/^Changed: Fry/));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ kind: 'changed', tubId: 't1', day: DAY });
    expect(await screen.findByText('The water is changed.')).toBeTruthy();
  });

  it('are set against the weeks, with the cultures to start', async () => {
    open([fry()]);
    // Asked for by the brood, and again in the calendar of all of them.
    expect(await screen.findAllByText(/^Start Hatched brine shrimp/)).toHaveLength(2);
    expect(screen.getByText('This week')).toBeTruthy();
    expect(screen.getAllByText(/L of seasoned water a day/)).toHaveLength(6);
  });
});

describe('one brood', () => {
  it('has its days, and what is expected is corrected by a tap', async () => {
    open([eggs()], <BroodsScreen id="Clutch" />);
    expect(await screen.findByText('Spawned')).toBeTruthy();
    expect(screen.getByText(/^No food yet, until about/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Hatch: seen today'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ kind: 'hatched', day: DAY });
    fireEvent.press(screen.getByLabelText('On another day'));
    expect(await screen.findByText(/^It was expected on/)).toBeTruthy();
    // At once it would be the same act; a moment later it is another.
    forgetActs();
    fireEvent.press(screen.getByLabelText('Note it'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(2));
  });

  it('has its food of today, what makes up for meals, and its end', async () => {
    open([fry()], <BroodsScreen id="Fry" />);
    expect(await screen.findByText('Today’s food')).toBeTruthy();
    expect(screen.getByText(/^Best in \d+ small meals while it is light/)).toBeTruthy();
    expect(screen.getByText(/^They can go \d+ h without food/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^How many, until when/));
    expect(screen.getByText('This house can raise')).toBeTruthy();
    expect(screen.getByText('Large enough to go')).toBeTruthy();
    // No culture gives anything: none can be raised on live food.
    expect(screen.getAllByText('0, for live food').length).toBeGreaterThan(0);
    expect(screen.getByText(/^60 are more than that/)).toBeTruthy();
  });

  it('notes anything that happens, and says what is wrong beside its field', async () => {
    const refused = {
      type: 'urn:open-larder:refused',
      title: 'Some fields need another look',
      status: 422,
      detail: 'no',
      errors: [{ path: 'count', message: 'enter at least one' }],
    };
    open([fry()], <BroodsScreen id="Fry" />, {
      'POST /api/broods/Fry/events': ({ body }: { body: unknown }) =>
        (body as { count: number }).count === 0
          ? { status: 422, body: refused }
          : { status: 201, body: fry() },
    });
    fireEvent.press(await screen.findByLabelText('Something happened'));
    fireEvent.press(await screen.findByLabelText(/^What\W.*Counted/));
    fireEvent.press(await screen.findByText('Given away'));
    fireEvent.changeText(screen.getByLabelText('How many'), '0');
    fireEvent.press(screen.getByLabelText('Note it'));
    expect(await screen.findByText('Enter at least one')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('How many'), '12');
    fireEvent.press(screen.getByLabelText('Note it'));
    expect(await screen.findByText('Given away: noted.')).toBeTruthy();
    expect(sent(asked, 'POST').at(-1)).toMatchObject({ kind: 'rehomed', count: 12 });
  });

  it('is split evenly over three tubs in five taps', async () => {
    open([fry()], <BroodsScreen id="Fry" />);
    fireEvent.press(await screen.findByLabelText('Split evenly'));
    fireEvent.press(screen.getByLabelText('More: Over how many tubs'));
    expect(screen.getByText('About 20 in each.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Split them'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    const [{ tubs, ...body }] = sent(asked, 'POST') as [{ tubs: { id: string; moveId: string }[] }];
    expect(body).toMatchObject({ tubId: 't1', count: 60, hand: null });
    expect(tubs).toMatchObject([
      { name: 'Tub 2', litres: 10 },
      { name: 'Tub 3', litres: 10 },
    ]);
    expect(new Set(tubs.flatMap(({ id, moveId }) => [id, moveId])).size).toBe(4);
    expect(await screen.findByText('Fry: split over 3 tubs.')).toBeTruthy();
  });

  it('shows two clutches in a tub, tubs side by side, and what a filter does', async () => {
    const second = { ...TUB, id: 't2', name: 'Bowl', filtered: true };
    const split = row(
      'Split',
      [
        event('swimming', 9),
        event('counted', 9, { count: 60 }),
        event('moved', 8, { count: 20, toTubId: 't2' }),
        event('lost', 2, { count: 10 }),
        event('joined', 1, { count: 5, tubId: 't2' }),
        event('measured', 1, { tubId: 't2', lengthMm: 7, shortMm: 4, longMm: 11 }),
      ],
      { tubs: [TUB, second] },
    );
    open([split], <BroodsScreen id="Split" />);
    expect(await screen.findByText('Its tubs')).toBeTruthy();
    expect(screen.getByText(/^Two clutches of different ages/)).toBeTruthy();
    expect(screen.getByText(/^Most survive in Bowl/)).toBeTruthy();
    expect(screen.getByText(/its filter takes the ammonia up/)).toBeTruthy();
    expect(screen.getByLabelText(/^Sorted: Split/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Another tub'));
    fireEvent.changeText(await screen.findByLabelText('Name of the tub'), 'Third');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ name: 'Third', litres: 10, filtered: false });
  });

  it('that is over keeps its history and is compared with the next of its parents', async () => {
    const before = row('First', [
      event('swimming', 60),
      event('counted', 59, { count: 30 }),
      event('ended', 5),
    ]);
    open([before, fry()], <BroodsScreen id="First" />);
    expect(await screen.findByText('ended')).toBeTruthy();
    expect(screen.getByText('Clutches of these parents')).toBeTruthy();
    expect(screen.getByText(/30 of 30 came through/)).toBeTruthy();
    expect(screen.queryByText('The ladder')).toBeNull();
  });

  it('that is not there says so', async () => {
    open([], <BroodsScreen id="nobody" />);
    expect(await screen.findByText('No such brood')).toBeTruthy();
  });
});

describe('beginning a brood', () => {
  it('takes species, tank and practices from the parents, and notes how it began', async () => {
    const [groupId, tankId] = [
      '0190a000-0000-7000-8000-000000000001',
      '0190a000-0000-7000-8000-000000000002',
    ];
    open([], <NewBroodScreen group={groupId} />, {
      'GET /api/groups': { items: [{ ...group, id: groupId, tankId }], next: null },
      'GET /api/tanks': { items: [{ ...tank, id: tankId }], next: null },
      'POST /api/broods': ({ body }: { body: unknown }) => {
        const { id } = body as { id: string };
        asked.push({ method: 'MADE', path: id, body });
        return { status: 201, body: { ...eggs(), id } };
      },
    });
    expect(await screen.findByText(/^Egg scatterer: /)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Name'), 'Zebras');
    fireEvent.changeText(screen.getByLabelText('Name of the tub'), 'Jar');
    fireEvent.press(screen.getByLabelText('Begin it'));
    await waitFor(() => expect(sent(asked, 'POST').length).toBeGreaterThan(0));
    expect(sent(asked, 'POST')[0]).toMatchObject({
      name: 'Zebras',
      speciesKey: 'danio-rerio',
      groupId,
      tankId,
      raising: 'apart',
      tub: { name: 'Jar', litres: 10 },
      events: [{ kind: 'spawned', day: DAY }],
    });
    const { id } = sent(asked, 'POST')[0] as { id: string };
    await waitFor(() => expect(replace).toHaveBeenCalledWith(`/broods/${id}`));
  });
});

describe('conditioning', () => {
  it('says what it costs the water, and begins with a stage and a line', async () => {
    open([], <ConditionScreen group="g1" />, {
      'POST /api/conditionings': () => ({ status: 201, body: eggs() }),
    });
    expect(await screen.findByText('Water changes that make up for it')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Begin today'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({
      groupId: 'g1',
      brood: { conditionDays: 14, groupId: 'g1', events: [{ kind: 'conditioned' }] },
      // Nothing live stands in the house: no richer food was chosen for the week.
      diet: null,
    });
  });

  it('puts a richer food into the week every other day, and takes it out at the end', async () => {
    const frozen = { ...food, id: 'f2', name: 'Frozen larvae', kind: 'frozen' };
    const diets: { servings: { id: string; foodId: string; days: number[] }[] }[] = [];
    const more = {
      'GET /api/foods': { items: [food, frozen], next: null },
      'POST /api/conditionings': ({ body }: { body: unknown }) => {
        diets.push((body as { diet: (typeof diets)[number] }).diet);
        return { status: 201, body: eggs() };
      },
      'POST /api/groups/g1/conditioning-end': ({ body }: { body: unknown }) => {
        diets.push((body as { diet: (typeof diets)[number] }).diet);
        return { status: 201, body: { id: 'g1' } };
      },
    };
    open([], <ConditionScreen group="g1" />, more);
    fireEvent.press(await screen.findByLabelText(/^Richer, every other day/));
    fireEvent.press(await screen.findByText('Frozen larvae'));
    fireEvent.press(screen.getByLabelText('Begin today'));
    await waitFor(() => expect(diets).toHaveLength(1));
    const added = diets[0]!.servings.find(({ foodId }) => foodId === 'f2')!;
    expect(added.days).toEqual([1, 3, 5, 7]);
    screen.unmount();
    const now = {
      ...group,
      stage: 'conditioning',
      diet: { ...group.diet, servings: diets[0]!.servings },
    };
    open([], <ConditionScreen group="g1" />, {
      ...more,
      'GET /api/groups': { items: [now], next: null },
    });
    fireEvent.press(await screen.findByLabelText('Back to the usual'));
    await waitFor(() => expect(diets).toHaveLength(2));
    expect(diets[1]!.servings.map(({ id }) => id)).toEqual(
      group.diet!.servings.map(({ id }) => id),
    );
  });
});

describe('in the round', () => {
  it('broods ask, but young that are a group are served there already', async () => {
    const report = [
      event('swimming', 3),
      event('firstFood', 3),
      event('counted', 3, { count: 60 }),
    ];
    open([row('Own', report)], <BroodsWork broodId="Own" />);
    expect((await screen.findAllByText(/drops infusoria/)).length).toBe(3);
    fireEvent.press(screen.getByLabelText('Open Own'));
    expect(push).toHaveBeenCalledWith('/broods/Own');
    screen.unmount();
    open(
      [row('Grouped', report, { youngGroupId: 'g1', meals: [] })],
      <BroodsWork broodId="Grouped" />,
    );
    expect(await screen.findByLabelText('Open Grouped')).toBeTruthy();
    expect(screen.queryByText(/drops infusoria/)).toBeNull();
  });
});
