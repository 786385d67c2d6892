import type { Group, LifeEventRow } from '@open-larder/contract';
import { addDays } from '@open-larder/core/round';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, group as plain } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { TODAY as DAY } from '../testing/clock';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { GrowthScreen } from './GrowthScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const group: Group = { ...plain, lengthCm: 2 };
let made = 0;
const event = (daysAgo: number, over: Partial<LifeEventRow>): LifeEventRow => ({
  id: `e${(made += 1)}`,
  groupId: group.id,
  kind: 'measured',
  day: addDays(DAY, -daysAgo),
  males: null,
  females: null,
  unsexed: null,
  cause: null,
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
const measured = (daysAgo: number, lengthsCm: number[], over: Partial<LifeEventRow> = {}) =>
  event(daysAgo, {
    lengthsCm,
    lengthCm: lengthsCm.reduce((sum, one) => sum + one, 0) / lengthsCm.length,
    ...over,
  });
const around = (mean: number) => [-0.1, -0.04, 0.02, 0.12].map((off) => mean * (1 + off));

const open = (events: LifeEventRow[], over: object = {}) => {
  const asked = standIn({
    ...answers(),
    'GET /api/groups': { items: [group], next: null },
    [`GET /api/groups/${group.id}/events`]: { items: [...events].reverse(), next: null },
    [`POST /api/groups/${group.id}/events`]: () => ({ status: 201, body: group }),
    'GET /api/records/served': { rows: [], moments: [] },
    ...over,
  });
  show(
    <>
      <GrowthScreen id={group.id} />
      <Toast />
    </>,
  );
  return asked;
};

describe('the growth of a group', () => {
  it('is held against checkpoints that the keeper sets', async () => {
    const bornOn = addDays(DAY, -60);
    const checkpoints = [{ name: 'sellable', lengthCm: 4, ageDays: 183 }];
    open([measured(1, around(2))], {
      'GET /api/groups': { items: [{ ...group, bornOn, checkpoints }], next: null },
    });
    const row = await screen.findByText(/^4 cm at 6 months: sellable$/);
    expect(row).toBeOnTheScreen();
    expect(screen.getByText(/due .* · expected .* to /)).toBeOnTheScreen();
  });

  it('takes a checkpoint, in months, and sends it with the day they were born', async () => {
    const asked = open([measured(1, around(2))], {
      [`PUT /api/groups/${group.id}`]: ({ body }: { body: object }) => ({
        status: 200,
        body: { ...group, ...body, version: 4 },
      }),
    });
    fireEvent.press(await screen.findByRole('button', { name: 'Set checkpoints' }));
    fireEvent.changeText(screen.getByLabelText('Length, cm'), '8');
    fireEvent.changeText(screen.getByLabelText('By the age of, months'), '6');
    fireEvent.press(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(sent(asked, 'PUT')[0]).toMatchObject({
        checkpoints: [{ name: '', lengthCm: 8, ageDays: 183 }],
        bornOn: null,
      }),
    );
    expect(await screen.findByText('Checkpoints are saved.')).toBeOnTheScreen();
  });

  it('that nobody measured asks for a few', async () => {
    open([]);
    expect(await screen.findByText('Not measured yet')).toBeTruthy();
    expect(screen.getByText('Measure a few')).toBeTruthy();
  });

  it('measured once says its size, and that no curve can be told', async () => {
    open([measured(3, around(2))]);
    expect(await screen.findByText(/^2 cm, likely/)).toBeTruthy();
    expect(screen.getByText(/No curve yet: measure a few on 6 days or more/)).toBeTruthy();
    expect(screen.getByText('measure once more to find out')).toBeTruthy();
  });

  it('of one fish says that nothing is known of the others', async () => {
    open([measured(3, [2])]);
    expect(await screen.findByText(/one fish: the others may differ/)).toBeTruthy();
  });

  it('shrinking, thin and grown apart is said', async () => {
    open([
      measured(30, around(3), { massG: 0.25 }),
      measured(2, [1.2, 1.3, 1.25, 1.3, 2.4, 2.5, 2.45], { massG: 0.01 }),
    ]);
    expect(await screen.findByText(/^Shorter than before/)).toBeTruthy();
    expect(screen.getByText(/^Thin for their length/)).toBeTruthy();
    expect(screen.getByText(/^Two batches rather than one/)).toBeTruthy();
  });

  it('one weighing tells no thin fish where only its relatives are known', async () => {
    open([measured(2, around(2), { massG: 0.03 })]);
    expect(await screen.findByText(/^2 cm, likely/)).toBeTruthy();
    expect(screen.queryByText(/^Thin for their length/)).toBeNull();
  });

  it('what was taken back does not count', async () => {
    open([measured(20, around(9), { withdrawn: true }), measured(3, around(2))]);
    expect(await screen.findByText(/^2 cm, likely/)).toBeTruthy();
    expect(screen.queryByText(/^Shorter than before/)).toBeNull();
  });

  it('losses are told with their causes, set against the days that were lived', async () => {
    open([
      event(80, { kind: 'arrived', unsexed: 20, males: 0, females: 0 }),
      event(10, { kind: 'died', unsexed: 2, males: 0, females: 0, cause: 'jumped' }),
      measured(3, around(2)),
    ]);
    expect(await screen.findByText(/^2 lost in ninety days: 2 jumped/)).toBeTruthy();
  });

  it('a length says when it is reached', async () => {
    open([measured(40, around(1.5)), measured(3, around(2))]);
    const field = await screen.findByLabelText(/^When will they reach/);
    fireEvent.changeText(field, '1');
    expect(await screen.findByText('1 cm is reached.')).toBeTruthy();
    fireEvent.changeText(field, '90');
    expect(await screen.findByText('90 cm will not be reached as they grow now.')).toBeTruthy();
  });
});

describe('measuring a few', () => {
  it('each length is sent, and their mean; with units as they are typed', async () => {
    const asked = open([]);
    fireEvent.press(await screen.findByText('Measure a few'));
    const field = screen.getByLabelText('Total lengths, one after the other');
    fireEvent.changeText(field, '2 24 mm 2,2');
    expect(screen.getByText(/^3 fish: mean 2.2 cm/)).toBeTruthy();
    fireEvent.press(screen.getByText('Note it'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    const [body] = sent(asked, 'POST');
    expect(body).toMatchObject({ kind: 'measured', day: DAY, lengthsCm: [2, 2.4, 2.2] });
    expect(body!.lengthCm as number).toBeCloseTo(2.2, 9);
  });

  it('what is no length, and nothing at all, is said at the field', async () => {
    const asked = open([]);
    fireEvent.press(await screen.findByText('Measure a few'));
    fireEvent.press(screen.getByText('Note it'));
    expect(await screen.findByText(/enter at least one length/i)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Total lengths, one after the other'), '2 long');
    expect(screen.getByText(/«long»/)).toBeTruthy();
    expect(sent(asked, 'POST')).toHaveLength(0);
  });

  it('past what they grow to is asked about, and sent again when it is right', async () => {
    const detail = 'Zebrafish grow to about 4 cm. Is 7 cm right, and in the right unit?';
    const asked = open([], {
      [`POST /api/groups/${group.id}/events`]: ({ body }: { body: { confirmed: boolean } }) =>
        body.confirmed
          ? { status: 201, body: group }
          : {
              status: 422,
              body: {
                type: 'urn:open-larder:invalid',
                status: 422,
                title: 'Not saved',
                detail,
                errors: [{ path: 'confirmed', message: detail }],
              },
            },
    });
    fireEvent.press(await screen.findByText('Measure a few'));
    fireEvent.changeText(screen.getByLabelText('Total lengths, one after the other'), '7');
    fireEvent.press(screen.getByText('Note it'));
    expect(await screen.findByText(detail)).toBeTruthy();
    fireEvent.press(screen.getByText('It is right: keep it'));
    expect(await screen.findByText(/They are noted/)).toBeTruthy();
    const bodies = sent(asked, 'POST');
    expect(bodies.map(({ confirmed }) => confirmed)).toEqual([false, true]);
  });

  it('what the server refuses is said, and what was typed stays', async () => {
    open([], {
      [`POST /api/groups/${group.id}/events`]: () => ({
        status: 422,
        body: {
          type: 'about:blank',
          title: 'Please check what you entered',
          status: 422,
          detail: 'too long',
          errors: [{ path: 'lengthCm', message: 'this kind grows to about 4 cm' }],
        },
      }),
    });
    fireEvent.press(await screen.findByText('Measure a few'));
    const field = screen.getByLabelText('Total lengths, one after the other');
    fireEvent.changeText(field, '40');
    fireEvent.press(screen.getByText('Note it'));
    expect(await screen.findByText(/this kind grows to about 4 cm/i)).toBeTruthy();
    expect(field.props.value).toBe('40');
  });
});
