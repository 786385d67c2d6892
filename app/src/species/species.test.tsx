import { OWN } from '@open-larder/catalogue';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, species } from '../testing/house';
import { push, replace } from '../testing/router';
import { created, sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { CopySpeciesScreen } from './CopySpeciesScreen';
import { EditSpeciesScreen } from './EditSpeciesScreen';
import { SpeciesListScreen } from './SpeciesListScreen';
import { SpeciesScreen } from './SpeciesScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const { key, defaulted, lengthMass: _, hatching: __, growth: ___, ...filled } = species;
const blanks = Object.fromEntries(defaulted.map((field) => [field, null]));
const entry = { ...filled, ...blanks };
const ID = '01a20b8f-8261-7d0d-87a6-870c81b69e8e';
const own = {
  id: ID,
  version: 3,
  archived: false,
  copiedFrom: key,
  entry: { ...entry, common: 'My danio', adultLengthCm: 6 },
};
const withOwn = () => ({ ...answers(), 'GET /api/species': { items: [own], next: null } });

describe('a species page', () => {
  it('shows its figures, says which are defaults, and where they come from', async () => {
    standIn(answers());
    show(<SpeciesScreen speciesKey={key} />);
    expect(await screen.findByText('Zebrafish')).toBeTruthy();
    for (const text of [
      'Danio rerio · zebra danio',
      '18 to 30 °C',
      '10 to 35 %',
      'default: usual band of the guild',
      'Jumps: keep it covered',
      'bread',
      'a paper on breeding',
    ]) {
      expect(screen.getByText(text)).toBeTruthy();
    }
    // Hatching and swimming are ranges, as wide as what is known.
    expect(screen.getByText('2.2 to 3.2 days at 26 °C')).toBeTruthy();
    expect(screen.getByText(/^2 months: .* to .* cm 4 months: /)).toBeTruthy();
    // Each figure says what it rests on, and how many rest on what.
    expect(screen.getAllByLabelText('by default').length).toBeGreaterThan(2);
    expect(screen.getAllByLabelText('common practice').length).toBeGreaterThan(2);
    expect(screen.getByText(/^\d+ by default$/)).toBeTruthy();
    expect(screen.queryByLabelText('Change it')).toBeNull();
  });

  it('of the keeper’s own can be changed, and put away with a way back', async () => {
    const asked = standIn({
      ...withOwn(),
      [`PUT /api/species/${ID}`]: ({ body }: { body: unknown }) => ({
        status: 200,
        body: { ...own, ...(body as object), version: 4 },
      }),
    });
    show(
      <>
        <SpeciesScreen speciesKey={OWN + ID} />
        <Toast />
      </>,
    );
    fireEvent.press(await screen.findByLabelText('Change it'));
    expect(push).toHaveBeenCalledWith(`/species/${OWN + ID}/edit`);
    fireEvent.press(screen.getByLabelText('Put away'));
    expect(await screen.findByText('My danio is put away.')).toBeTruthy();
    const [edit] = sent(asked, 'PUT');
    expect(edit).toMatchObject({ version: 3, archived: true });
  });

  it('takes days to hatching as breeders know them: a range at a temperature', async () => {
    const asked = standIn({
      ...withOwn(),
      [`PUT /api/species/${ID}`]: ({ body }: { body: unknown }) => ({
        status: 200,
        body: { ...own, ...(body as object), version: 4 },
      }),
    });
    show(<EditSpeciesScreen speciesKey={OWN + ID} />);
    fireEvent.changeText(await screen.findByLabelText('Hatches after'), 'in a while');
    fireEvent(screen.getByLabelText('Hatches after'), 'blur');
    expect(await screen.findByText(/is not understood; write «6 to 8 days at 28 °C»/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Hatches after'), '6 to 8 days at 28 °C');
    fireEvent.changeText(screen.getByLabelText('Swims free after'), '14 days at 28 °C');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    const [{ entry: saved }] = sent(asked, 'PUT') as [{ entry: Record<string, number> }];
    expect(saved.hatchTempC).toBe(28);
    expect(saved.hatchDegreeDays).toBeCloseTo(Math.sqrt(48) * 28, 6);
    expect(saved.hatchSpread).toBeCloseTo(Math.sqrt(8 / 6), 6);
  });

  it('says so where there is none', async () => {
    standIn(answers());
    show(<SpeciesScreen speciesKey="unicorn" />);
    expect(await screen.findByText('No such species')).toBeTruthy();
  });
});

describe('the list of species', () => {
  it('finds by any name, and shows the keeper’s own among them', async () => {
    standIn(withOwn());
    show(<SpeciesListScreen />);
    expect(await screen.findByText('2 of 2')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('my own'));
    expect(screen.getByText('1 of 2')).toBeTruthy();
    expect(screen.getByText(/6 cm · 18 to 30 °C · your own/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('all'));
    fireEvent.changeText(screen.getByLabelText('Search by any name, or by family'), 'zebra');
    await waitFor(() => expect(screen.getByText('Zebrafish')).toBeTruthy());
    fireEvent.changeText(screen.getByLabelText('Search by any name, or by family'), 'qqqq');
    expect(await screen.findByText('None by that name')).toBeTruthy();
  });
});

describe('a copy of one’s own', () => {
  it('is sent with every field; what was blank stays blank', async () => {
    const asked = standIn({
      ...answers(),
      'POST /api/species': created,
    });
    show(<CopySpeciesScreen speciesKey={key} />);
    fireEvent.changeText(await screen.findByLabelText('What you call it'), 'Stream danio');
    fireEvent.changeText(screen.getByLabelText('Length when grown, cm'), '2 in');
    fireEvent.changeText(screen.getByLabelText('Width of the mouth, of its length, %'), '');
    fireEvent.press(screen.getByLabelText('Keep it as my own'));
    await waitFor(() => expect(replace).toHaveBeenCalledTimes(1));
    const [copy] = sent(asked, 'POST');
    expect(copy).toMatchObject({ copiedFrom: key });
    expect(copy?.entry).toEqual({
      ...entry,
      common: 'Stream danio',
      adultLengthCm: 5.08,
      gapeShare: null,
    });
  });

  it('is not sent while a figure is wrong; the sentence stands by its field', async () => {
    const asked = standIn(answers());
    show(<CopySpeciesScreen speciesKey={key} />);
    fireEvent.changeText(await screen.findByLabelText('Coolest, °C'), '35');
    fireEvent.press(screen.getByLabelText('Keep it as my own'));
    expect(
      await screen.findByText('Temperatures must rise from lowest over optimum to highest'),
    ).toBeTruthy();
    expect(sent(asked, 'POST')).toEqual([]);
  });
});

describe('changing a species of one’s own', () => {
  it('shows both versions of a stale edit, figure by figure', async () => {
    standIn({
      ...withOwn(),
      [`PUT /api/species/${ID}`]: ({ body }: { body: unknown }) => ({
        status: 409,
        body: {
          type: 'urn:open-larder:stale',
          title: 'Changed meanwhile',
          status: 409,
          detail: 'This species was changed somewhere else since you opened it.',
          yours: body,
          theirs: { ...own, version: 4, entry: { ...own.entry, lifeYears: 9 } },
        },
      }),
    });
    show(<EditSpeciesScreen speciesKey={OWN + ID} />);
    fireEvent.changeText(await screen.findByLabelText('Life span, years'), '5');
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText('Breeding and life, life span: yours 5, theirs 9')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Take theirs'));
    expect(screen.getByLabelText('Life span, years').props.value).toBe('9');
  });

  it('leaves the catalogue as it is', async () => {
    standIn(answers());
    show(<EditSpeciesScreen speciesKey={key} />);
    expect(await screen.findByText('Not yours to change')).toBeTruthy();
  });
});
