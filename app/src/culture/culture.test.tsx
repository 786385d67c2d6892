import { loadCatalogue } from '@open-larder/catalogue/load';
import type { VesselRow } from '@open-larder/contract';
import {
  computeVesselStatus,
  workOn,
  type VesselEvent,
  type Vessel,
} from '@open-larder/core/culture';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, food, group } from '../testing/house';
import { push } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { LiveScreen } from './LiveScreen';
import { NewVesselScreen } from './NewVesselScreen';
import { SupplyScreen } from './SupplyScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));
jest.mock('../records/Chart', () => ({ Chart: () => null }));

const kinds = loadCatalogue().cultures;
const DAY = '2026-03-02';

/** A vessel as the server answers it: what happened to it, stood on a day by the core. */
function row(
  id: string,
  kindKey: string,
  over: Partial<VesselRow> = {},
  events: VesselEvent[] = [],
): VesselRow {
  const kind = kinds.find(({ key }) => key === kindKey)!;
  const vessel: Vessel = {
    kind,
    also: null,
    measure: 10,
    tempC: 24,
    startedOn: '2026-02-01',
    startedAtMs: Date.parse('2026-02-01T06:00:00Z'),
    startG: null,
    events,
  };
  const status = computeVesselStatus(vessel, DAY);
  return {
    id,
    kindKey,
    name: id,
    measure: 10,
    tempC: 24,
    strain: '',
    place: 'window',
    startedFrom: 'a friend',
    water: '',
    tools: '',
    foodId: null,
    alsoKindKey: null,
    startedOn: '2026-02-01',
    startG: null,
    fromVesselId: null,
    version: 1,
    status,
    work: workOn(vessel, status, DAY, Date.parse(`${DAY}T12:00:00Z`)),
    hatch: null,
    ...over,
  };
}
const at = { day: DAY, atMs: Date.parse(`${DAY}T08:00:00Z`) };
const ok = () => ({ status: 201, body: row('Trough', 'moina') });

function open(items: VesselRow[], element = <LiveScreen />, more: Record<string, unknown> = {}) {
  asked = standIn({
    ...answers(),
    'GET /api/culture-kinds': { kinds },
    'GET /api/vessels': { items, next: null },
    ...Object.fromEntries(
      items.flatMap(({ id }) => [
        [`GET /api/vessels/${id}/events`, { items: [], next: null }],
        [`POST /api/vessels/${id}/events`, ok],
      ]),
    ),
    ...more,
  });
  show(
    <>
      {element}
      <Toast />
    </>,
  );
}
let asked: ReturnType<typeof standIn> = [];
const eventsOf = (id: string) =>
  asked
    .filter(({ method, path }) => method === 'POST' && path === `/api/vessels/${id}/events`)
    .map(({ body }) => body as Record<string, unknown>);

describe('the live shelf', () => {
  it('that is empty says what to begin with', async () => {
    open([]);
    expect(await screen.findByText('Nothing lives here yet')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Start a culture'));
    expect(push).toHaveBeenCalledWith('/larder/live/new');
  });

  it('shows each vessel with what is in it and asks for, and sums its upkeep', async () => {
    open([row('Trough', 'moina'), row('Box', 'grindal-worms')]);
    expect(await screen.findByText('Trough')).toBeTruthy();
    const upkeep = ['moina', 'grindal-worms'].reduce(
      (sum, key) => sum + kinds.find((kind) => kind.key === key)!.upkeepMinWeek,
      0,
    );
    expect(screen.getByText(`2 cultures · about ${upkeep} min of work a week`)).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('Fed: Trough')[0]!);
    await waitFor(() => expect(eventsOf('Trough')).toHaveLength(1));
    expect(eventsOf('Trough')[0]).toMatchObject({ kind: 'fed' });
    expect(await screen.findByText('Trough is fed.')).toBeTruthy();
  });

  it('says when all have crashed, and which is close to it', async () => {
    const crashed = row('Trough', 'moina', {}, [{ kind: 'crashed', ...at }]);
    open([crashed]);
    expect(await screen.findByText(/Every culture has crashed/)).toBeTruthy();
  });

  it('names one that is close to its crash first', async () => {
    const hot: VesselEvent[] = [
      { kind: 'seen', density: 5, clarity: 'foul', ...at },
      { kind: 'warmth', tempC: 34, ...at },
    ];
    open([row('Bucket', 'moina', {}, hot)]);
    expect(await screen.findByText(/^Bucket: \d+ % chance of a crash this week/)).toBeTruthy();
    expect(screen.getByText('No food; change a third of its water')).toBeTruthy();
  });
});

describe('one vessel', () => {
  const one = <LiveScreen id="Trough" />;

  it('tells what a harvest does before it is noted', async () => {
    open([row('Trough', 'moina')], one);
    fireEvent.press((await screen.findAllByLabelText('Harvest'))[0]!);
    fireEvent.press(screen.getByLabelText('Grams'));
    const figure = () => screen.getByText(/^About|^Nothing/).props.children as string;
    expect(figure()).toBe('About 1 g');
    fireEvent.press(screen.getByLabelText('More: How much'));
    expect(figure()).toBe('About 1.1 g');
    fireEvent.press(screen.getByLabelText('Note the harvest'));
    await waitFor(() => expect(eventsOf('Trough')).toHaveLength(1));
    expect(eventsOf('Trough')[0]).toMatchObject({ kind: 'harvested', by: 'g', amount: 1.1 });
  });

  it('is looked at by five drawn densities and its water; nothing seen is not noted', async () => {
    open([row('Trough', 'moina')], one);
    fireEvent.press((await screen.findAllByLabelText('Look'))[0]!);
    fireEvent.press(screen.getByLabelText('Note it'));
    expect(eventsOf('Trough')).toEqual([]);
    for (const word of ['hardly any', 'thin', 'fair', 'dense', 'crowded']) {
      expect(screen.getByLabelText(word)).toBeTruthy();
    }
    fireEvent.press(screen.getByLabelText('thin'));
    fireEvent.press(screen.getByLabelText('cloudy'));
    fireEvent.press(screen.getByLabelText('Note it'));
    await waitFor(() => expect(eventsOf('Trough')).toHaveLength(1));
    expect(eventsOf('Trough')[0]).toMatchObject({ kind: 'seen', density: 2, clarity: 'cloudy' });
  });

  it('after a crash names what shares its water, and with two kinds in it says so', async () => {
    const items = [
      row('Trough', 'moina', { water: 'butt' }, [{ kind: 'crashed', ...at }]),
      row('Bucket', 'moina', { water: 'butt', fromVesselId: 'Trough' }),
    ];
    open(items, one);
    expect(await screen.findByText(/Bucket may go the same way/)).toBeTruthy();
    expect(screen.getByText('the same water, it came from this one')).toBeTruthy();
  });

  it('with two kinds in it says that the faster wins', async () => {
    open([row('Trough', 'moina', { alsoKindKey: 'small-water-fleas' })], one);
    expect(await screen.findByText(/Small water fleas live in it too/)).toBeTruthy();
  });

  it('that there is not is said', async () => {
    open([], <LiveScreen id="nobody" />);
    expect(await screen.findByText('No such culture')).toBeTruthy();
  });
});

describe('starting a culture', () => {
  it('goes step by step, and keeps what was typed where the server finds a fault', async () => {
    open([], <NewVesselScreen />, {
      'POST /api/vessels': () => ({
        status: 422,
        body: {
          status: 422,
          title: 'Please check what you entered',
          detail: 'name: another vessel is called that',
          errors: [{ path: 'name', message: 'another vessel is called that' }],
        },
      }),
    });
    fireEvent.press(await screen.findByLabelText(/^What kind/));
    fireEvent.press(screen.getByLabelText(/^Hatched brine shrimp/));
    expect(await screen.findByText(/25 g of salt, at most 2 g of eggs/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Place'), 'warm shelf');
    fireEvent.press(screen.getByLabelText('Start it'));
    expect(await screen.findByText('Give it a name')).toBeTruthy();
    expect(sent(asked, 'POST')).toHaveLength(0);
    fireEvent.changeText(screen.getByLabelText('Name'), 'Jar');
    fireEvent.press(screen.getByLabelText('Start it'));
    expect(await screen.findByText('Another vessel is called that')).toBeTruthy();
    expect(screen.getByLabelText('Place').props.value).toBe('warm shelf');
    const [body] = sent(asked, 'POST');
    expect(body).toMatchObject({ kindKey: 'brine-shrimp', startG: 1, shelveFood: true });
  });
});

describe('a culture that is going already', () => {
  it('is entered as what it looks like now', async () => {
    open([], <NewVesselScreen />, { 'POST /api/vessels': ok });
    fireEvent.press(await screen.findByLabelText(/^What kind/));
    fireEvent.press(screen.getByLabelText(/^Moina/));
    fireEvent.press(screen.getByLabelText('is going already'));
    fireEvent.changeText(screen.getByLabelText('Name'), 'Old tub');
    fireEvent.press(screen.getByLabelText('Put it on the shelf'));
    expect(await screen.findByText(/choose how dense it looks/i)).toBeTruthy();
    expect(sent(asked, 'POST')).toHaveLength(0);
    fireEvent.press(screen.getByLabelText('dense'));
    fireEvent.press(screen.getByLabelText('Put it on the shelf'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    const [body] = sent(asked, 'POST') as [{ startedOn: string; looks: { day: string } }];
    expect(body).toMatchObject({ startG: null, share: null, looks: { density: 4, clarity: null } });
    expect(body.startedOn < body.looks.day).toBe(true);
  });
});

describe('starting one from another', () => {
  it('begins as the other is, and of another kind with nothing of it', async () => {
    open([row('Trough', 'moina', { place: 'skylight' })], <NewVesselScreen from="Trough" />, {
      'POST /api/vessels': ok,
    });
    expect((await screen.findByLabelText('Place')).props.value).toBe('skylight');
    expect(screen.getByLabelText('Started from: Trough')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('What kind: Moina'));
    fireEvent.press(screen.getByLabelText(/^Grindal worms/));
    expect(screen.getByLabelText('Place').props.value).toBe('');
    fireEvent.changeText(screen.getByLabelText('Name'), 'Box');
    fireEvent.press(screen.getByLabelText('Start it'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ kindKey: 'grindal-worms', fromVesselId: null });
  });
});

describe('six weeks of supply', () => {
  it('without live food says what to do first', async () => {
    open([], <SupplyScreen />);
    expect(await screen.findByText('No live food on the shelf')).toBeTruthy();
  });

  it('tells what is wanted, what to start, and what stands in', async () => {
    const fleas = { ...food, id: 'f1', name: 'Live Moina', kind: 'live', copiedFrom: 'moina-live' };
    const frozen = {
      ...food,
      id: 'f2',
      name: 'Frozen Cyclops',
      kind: 'frozen',
      plantShare: 0,
      inWater: { ...food.inWater, particleMinMm: 0.3, particleMaxMm: 1 },
    };
    // Without a fast: where the first day that can be met is one, the start is a day later.
    const daily = { ...group, diet: { ...group.diet!, fastWeekdays: [] } };
    open([], <SupplyScreen />, {
      'GET /api/foods': { items: [fleas, frozen], next: null },
      'GET /api/groups': { items: [daily], next: null },
    });
    expect(await screen.findByText(/^Start .* today$/)).toBeTruthy();
    expect(screen.getByText(/a day wanted · no vessel/)).toBeTruthy();
    expect(screen.getByText(/Frozen Cyclops/)).toBeTruthy();
  });
});
