import type { LifeEventRow } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, group, moment, species, tank } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { EventSheet } from './EventSheet';
import { LifeCard } from './LifeCard';
import { MergeSheet } from './MergeSheet';
import { MoveSheet } from './MoveSheet';
import { SplitSheet } from './SplitSheet';
import { formatEvent } from './labels';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const REAL = '01a20b8f-8261-7d0d-87a6-870c81b69e8e';
const OTHER = '01a20b8f-8261-7d0d-87a6-870c81b69e8f';
const here = { ...tank, id: REAL };
const there = { ...tank, id: OTHER, name: 'Race', walkOrder: 2 };
const ours = { ...group, id: REAL, tankId: REAL };
const data = {
  ...({} as object),
  tanks: [here, there],
  groups: [ours],
  groupsIn: new Map([[REAL, [ours]]]),
  species: new Map([[species.key, species]]),
  ownSpecies: [],
  moments: [moment],
  foods: [],
} as never;

const event = (over: Partial<LifeEventRow>): LifeEventRow => ({
  id: 'e',
  groupId: REAL,
  kind: 'died',
  day: '2026-03-04',
  males: 1,
  females: 0,
  unsexed: 0,
  cause: 'jumped',
  lengthCm: null,
  lengthsCm: null,
  massG: null,
  stage: null,
  tankId: null,
  otherGroupId: null,
  note: '',
  withdrawn: false,
  ...over,
});
const counts = { males: null, females: null, unsexed: null, cause: null };
const life = [
  event({ id: 'e3' }),
  event({ id: 'e2', kind: 'arrived', cause: null, males: 4, females: 6, day: '2026-03-01' }),
  event({ id: 'e1', ...counts, kind: 'moved', tankId: REAL, day: '2026-03-01' }),
];
const report = (more: object = {}) => ({
  ...answers(),
  [`GET /api/groups/${REAL}/events`]: { items: life, next: null },
  ...more,
});
const answerGroup = () => ({ status: 201, body: ours });

describe('what happened to a group', () => {
  it('is told newest first, and says how they were on any day', async () => {
    standIn(report());
    show(<LifeCard group={ours} data={data} />);
    expect(await screen.findByText('1 fish (1 m) lost, jumped out')).toBeTruthy();
    expect(screen.getByText('Into Millpond')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('As they were on'), '2026-03-02');
    expect(screen.getByText('10 fish (4 m, 6 f), adult, in Millpond.')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('As they were on'), '2026-02-02');
    expect(screen.getByText('They were not here on that day.')).toBeTruthy();
  });

  it('is taken back by a tap, and a refusal is said', async () => {
    const asked = standIn(
      report({
        'POST /api/group-events/e3/withdrawal': answerGroup,
        'POST /api/group-events/e2/withdrawal': () => ({
          status: 422,
          body: {
            type: 'about:blank',
            title: 'No',
            status: 422,
            detail: 'This would break a later event.',
          },
        }),
      }),
    );
    show(
      <>
        <LifeCard group={ours} data={data} />
        <Toast />
      </>,
    );
    fireEvent.press(await screen.findByLabelText(/^10 fish \(4 m, 6 f\) came/));
    fireEvent.press(screen.getByLabelText('Take it back'));
    expect(await screen.findByText('This would break a later event.')).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('Close').at(-1)!);
    fireEvent.press(screen.getByLabelText(/^1 fish \(1 m\) lost/));
    fireEvent.press(screen.getByLabelText('Take it back'));
    expect(await screen.findByText(/lost, jumped out: taken back/)).toBeTruthy();
    expect(sent(asked, 'POST').at(-1)).toMatchObject({ replacement: null });
  });

  it('is corrected by an event in its place', async () => {
    const asked = standIn(report({ 'POST /api/group-events/e3/withdrawal': answerGroup }));
    show(
      <EventSheet kind="died" group={ours} data={data} replaces={life[0]} onClose={jest.fn()} />,
    );
    fireEvent.press(screen.getByLabelText('More: Males'));
    fireEvent.press(screen.getByLabelText('Put this in its place'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({
      replacement: { kind: 'died', males: 2, cause: 'jumped', day: '2026-03-04' },
    });
  });

  it.each([
    [{ kind: 'born', unsexed: 8, males: 0, cause: null }, '8 fish born'],
    [{ kind: 'joined', otherGroupId: 'x', cause: null }, '1 fish (1 m) joined from Oscars'],
    [{ kind: 'parted', otherGroupId: null, cause: null }, '1 fish (1 m) left for another group'],
    [{ kind: 'counted', cause: null }, 'Counted: 1 fish (1 m)'],
    [{ kind: 'sold', cause: null }, '1 fish (1 m) sold'],
    [{ kind: 'given', cause: null }, '1 fish (1 m) given away'],
    [{ kind: 'staged', stage: 'fry' }, 'Now fry'],
    [{ kind: 'died', cause: 'new arrival' }, '1 fish (1 m) lost, soon after they came'],
  ] as [Partial<LifeEventRow>, string][])('says %j', (over, title) => {
    const names = { tank: () => 'Tarn', group: () => 'Oscars' };
    expect(formatEvent(event(over), names, { say: () => '3 cm' } as never).title).toBe(title);
  });
});

describe('moving, splitting and joining', () => {
  it('several groups move to one tank at once, and can be moved back', async () => {
    const asked = standIn(
      report({ 'POST /api/moves': () => ({ status: 201, body: { moved: 2 } }) }),
    );
    const moved = jest.fn();
    show(
      <>
        <MoveSheet groupIds={[REAL, OTHER]} data={data} onClose={jest.fn()} onMoved={moved} />
        <Toast />
      </>,
    );
    fireEvent.press(screen.getByLabelText('Move them'));
    expect(await screen.findByText('Say where they go')).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^To tank/));
    fireEvent.press(screen.getByLabelText(/^Race/));
    fireEvent.press(screen.getByLabelText('Move them'));
    await waitFor(() => expect(moved).toHaveBeenCalled());
    expect(sent(asked, 'POST')[0]).toMatchObject({ tankId: OTHER });
    expect((sent(asked, 'POST')[0]?.moves as object[]).length).toBe(2);
    expect(screen.getByText('2 groups are in Race.')).toBeTruthy();
    expect(screen.getByLabelText('Undo')).toBeTruthy();
  });

  it('those set apart become a group in quarantine, in a tank that must be chosen', async () => {
    const asked = standIn(report({ [`POST /api/groups/${REAL}/split`]: answerGroup }));
    show(<SplitSheet group={ours} data={data} apart onClose={jest.fn()} />);
    fireEvent.press(screen.getByLabelText('Set them apart'));
    expect(await screen.findByText('Say which tank')).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^In tank/));
    fireEvent.press(screen.getByLabelText(/^Race/));
    fireEvent.press(screen.getByLabelText('Set them apart'));
    expect(await screen.findByText('Enter at least one fish')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('More: Females'));
    fireEvent.press(screen.getByLabelText('Set them apart'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ apart: true, females: 1, tankId: OTHER });
  });

  it('joining says so where no other group is of this species', () => {
    standIn(report());
    show(<MergeSheet group={ours} data={data} onClose={jest.fn()} />);
    expect(screen.getByText(/No other group is of this species/)).toBeTruthy();
  });
});
