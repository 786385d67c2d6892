import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { Text } from 'react-native';
import { Gate } from '../shell/Gate';
import { household } from '../testing/house';
import { replace } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { JoinScreen } from './JoinScreen';
import { PairSheet } from './PairSheet';
import { PeopleScreen } from './PeopleScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));
// Picked as it is drawn: what holds all of the house is held by the shell too.
jest.mock('../bundles/fromHouse', () => {
  const picked = (pick: (house: unknown) => never) => (props: object) =>
    jest
      .requireActual<typeof import('react')>('react')
      .createElement(pick(jest.requireActual('../bundles/house')), props);
  return { fromHouse: picked, fromHouseLater: picked };
});

const HOUSE = { id: 'h1', name: 'Weir', role: 'owner' };
const WREN = { id: 'p1', name: 'Wren', email: null };
const me = (part: object = {}) => ({
  signedIn: 'yes',
  person: WREN,
  household: HOUSE,
  households: [HOUSE],
  firstVisit: false,
  address: 'https://fishroom.local:4310',
  ...part,
});
const NO_ONE = me({ signedIn: 'no', person: null, household: null, households: [] });
const base = { 'GET /api/household': household };
const lists = {
  'GET /api/people': {
    people: [
      { id: 'p1', name: 'Wren', role: 'owner', since: '2026-01-01T00:00:00Z', you: true },
      { id: 'p2', name: 'Finch', role: 'feeder', since: '2026-02-01T00:00:00Z', you: false },
    ],
  },
  'GET /api/me/passkeys': {
    passkeys: [{ id: 'k1', device: 'Phone', since: '2026-03-02T08:00:00Z', usedAt: null }],
  },
  'GET /api/me/devices': {
    devices: [
      {
        id: 'd1',
        name: 'Computer',
        since: '2026-03-01T08:00:00Z',
        seen: '2026-03-10T08:00:00Z',
        here: true,
      },
      {
        id: 'd2',
        name: 'Phone',
        since: '2026-03-02T08:00:00Z',
        seen: '2026-03-09T08:00:00Z',
        here: false,
      },
    ],
  },
  'GET /api/invitations': { invitations: [] },
};

const gate = () =>
  show(
    <Gate entrance={<Text>a link</Text>}>
      <Text>the house</Text>
    </Gate>,
  );

describe('the way in', () => {
  it('is open to who is signed in, and at the machine itself', async () => {
    standIn({ ...base, 'GET /api/me': me() });
    gate();
    expect(await screen.findByText('the house')).toBeTruthy();
    expect(screen.queryByText('Sign in')).toBeNull();
  });

  it('asks a first visitor who they are, shows what is wrong, and then the codes', async () => {
    let refused = true;
    const asked = standIn({
      ...base,
      'GET /api/me': { ...NO_ONE, firstVisit: true },
      'POST /api/first-owner': () =>
        refused
          ? {
              status: 422,
              body: {
                status: 422,
                title: 'x',
                detail: 'x',
                errors: [{ path: 'password', message: 'take something else' }],
              },
            }
          : { status: 201, body: { me: me(), codes: ['AAAA-BBBB'] } },
    });
    gate();
    fireEvent.changeText(await screen.findByLabelText('Your name here'), 'Wren');
    fireEvent.changeText(screen.getByLabelText('Password'), 'a heron at the weir');
    fireEvent.press(screen.getByText('Start'));
    expect(await screen.findByText('Take something else')).toBeTruthy();
    refused = false;
    fireEvent.press(screen.getByText('Start'));
    expect(await screen.findByText('AAAA-BBBB')).toBeTruthy();
    expect(sent(asked, 'POST')[0]).toEqual({
      name: 'Wren',
      email: null,
      password: 'a heron at the weir',
      setUpCode: '',
    });
    const before = asked.length;
    fireEvent.press(screen.getByText('I have them'));
    await waitFor(() => expect(asked.slice(before).map(({ path }) => path)).toContain('/api/me'));
  });

  it('takes a code where the password is lost', async () => {
    const asked = standIn({
      ...base,
      'GET /api/me': NO_ONE,
      'POST /api/recovery': { ...me() },
    });
    gate();
    fireEvent.press(await screen.findByText('I have lost my password'));
    fireEvent.changeText(screen.getByLabelText('Name or e-mail'), 'Wren');
    fireEvent.changeText(screen.getByLabelText('Code'), 'aaaa bbbb');
    fireEvent.changeText(screen.getByLabelText('New password'), 'two newts in a bucket');
    fireEvent.press(screen.getByText('Set it and sign in'));
    await waitFor(() =>
      expect(sent(asked, 'POST')).toEqual([
        { who: 'Wren', code: 'aaaa bbbb', password: 'two newts in a bucket' },
      ]),
    );
  });

  it('covers the house where a session ends, and keeps what is in it', async () => {
    let now: object = me();
    standIn({
      ...base,
      'GET /api/me': () => ({ status: 200, body: now }),
      'GET /api/people': () => ({
        status: 401,
        body: { type: 'urn:open-larder:signed-out', title: 'x', status: 401, detail: 'x' },
      }),
    });
    const { store } = gate();
    await screen.findByText('the house');
    now = NO_ONE;
    // Anything that is asked for then says so.
    const { peopleApi } = jest.requireActual<typeof import('./peopleApi')>('./peopleApi');
    const query = store.dispatch(peopleApi.endpoints.people.initiate());
    expect(await screen.findByText(/What you typed is still here/)).toBeTruthy();
    expect(screen.getByText('the house', { includeHiddenElements: true })).toBeTruthy();
    query.unsubscribe();
  });

  it('is closed to who belongs to no household, who may begin one', async () => {
    const asked = standIn({
      ...base,
      'GET /api/me': me({ household: null, households: [] }),
      'POST /api/households': me(),
    });
    gate();
    fireEvent.changeText(await screen.findByLabelText('Name of the household'), 'Loft');
    fireEvent.press(screen.getByText('Start it'));
    await waitFor(() => expect(sent(asked, 'POST')).toEqual([{ name: 'Loft' }]));
  });
});

describe('people and phones', () => {
  it('says how to let a phone in where the server answers on this machine alone', async () => {
    standIn({
      ...base,
      'GET /api/me': me({ signedIn: 'byItself', person: null, address: null }),
    });
    show(<PeopleScreen />);
    expect(await screen.findByText(/npm run serve/)).toBeTruthy();
  });

  it('lets an owner change what a person may do, and sign a lost phone out', async () => {
    const asked = standIn({
      ...base,
      ...lists,
      'GET /api/me': me(),
      'PUT /api/people/p2/role': lists['GET /api/people'],
      'POST /api/me/devices/d2/sign-out': { devices: [] },
    });
    show(
      <>
        <PeopleScreen />
        <Toast />
      </>,
    );
    fireEvent.press(await screen.findByLabelText(/^Finch/));
    fireEvent.press(screen.getByLabelText('Keeper'));
    fireEvent.press(screen.getByText('Save'));
    expect(await screen.findByText('Finch is keeper now.')).toBeTruthy();
    expect(sent(asked, 'PUT')).toEqual([{ role: 'keeper' }]);
    fireEvent.press(screen.getByLabelText(/^Sign out: Phone/));
    await waitFor(() =>
      expect(asked.map(({ path }) => path)).toContain('/api/me/devices/d2/sign-out'),
    );
  });

  it('offers a feeder neither roles nor invitations', async () => {
    const asked = standIn({
      ...base,
      ...lists,
      'GET /api/me': me({ household: { ...HOUSE, role: 'feeder' } }),
    });
    show(<PeopleScreen />);
    await screen.findByText('Finch');
    expect(screen.queryByText('Invite someone')).toBeNull();
    expect(screen.queryByLabelText(/^Finch/)).toBeNull();
    expect(asked.map(({ path }) => path)).not.toContain('/api/invitations');
  });

  it('shows a code that a phone opens, made anew each time', async () => {
    const asked = standIn({
      ...base,
      'GET /api/me': me(),
      'POST /api/me/pairings': { code: 'A'.repeat(22), expiresAt: '2026-03-10T12:02:00Z' },
    });
    show(<PairSheet open onClose={() => undefined} />);
    expect(await screen.findByLabelText(/^Code that opens https:\/\/fishroom.local/)).toBeTruthy();
    fireEvent.press(screen.getByText('Make a new code'));
    await waitFor(() =>
      expect(asked.filter(({ path }) => path === '/api/me/pairings')).toHaveLength(2),
    );
  });
});

describe('an invitation', () => {
  const invitation = {
    household: 'Weir',
    role: 'feeder',
    invitedBy: 'Wren',
    expiresAt: '2026-03-12T00:00:00Z',
  };

  it('is taken up by a new person, who keeps their codes first', async () => {
    standIn({
      ...base,
      'GET /api/me': NO_ONE,
      'POST /api/invitations/look': invitation,
      'POST /api/invitations/acceptance': { me: me(), codes: ['CCCC-DDDD'] },
    });
    show(<JoinScreen />);
    expect(await screen.findByText('Join Weir')).toBeTruthy();
    expect(screen.getByText(/as feeder: walks the Round/)).toBeTruthy();
    fireEvent.press(screen.getByText('Join'));
    expect(await screen.findByText('CCCC-DDDD')).toBeTruthy();
    fireEvent.press(screen.getByText('I have them'));
    expect(replace).toHaveBeenCalledWith('/round');
  });

  it('is taken up at once by who is signed in', async () => {
    const asked = standIn({
      ...base,
      'GET /api/me': me(),
      'POST /api/invitations/look': invitation,
      'POST /api/invitations/acceptance': { me: me(), codes: null },
    });
    show(<JoinScreen />);
    fireEvent.press(await screen.findByText('Join'));
    await waitFor(() => expect(replace).toHaveBeenCalledWith('/round'));
    expect(sent(asked, 'POST')[1]).toMatchObject({ person: null });
  });

  it('that is used up says so, with a way on', async () => {
    standIn({
      ...base,
      'GET /api/me': NO_ONE,
      'POST /api/invitations/look': () => ({
        status: 410,
        body: { type: 'x', title: 'No longer good', status: 410, detail: 'Ask for a new one.' },
      }),
    });
    show(<JoinScreen />);
    expect(await screen.findByText('Ask for a new one.')).toBeTruthy();
    fireEvent.press(screen.getByText('Go to the first page'));
    expect(replace).toHaveBeenCalledWith('/round');
  });
});
