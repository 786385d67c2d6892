import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, group, species } from '../testing/house';
import { push } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { EditGroupSheet } from './EditGroupSheet';
import { GroupScreen } from './GroupScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));
const report = (more: object = {}) => ({
  ...answers(),
  'GET /api/groups/g1/events': { items: [], next: null },
  ...more,
});

describe('a group', () => {
  it('says how many, how large, what it needs, and what its food costs', async () => {
    standIn(report());
    show(<GroupScreen id="g1" />);
    expect(await screen.findByText('10 fish (4 m, 6 f)')).toBeTruthy();
    expect(screen.getByText('3.5 cm')).toBeTruthy();
    expect(screen.getByText('Needs on a feeding day')).toBeTruthy();
    // 18 cents a day are 5.40 a month, and 54 cents for each of ten fish.
    expect(await screen.findByText('€5.40 a month')).toBeTruthy();
    expect(screen.getByText('€0.54 a fish a month')).toBeTruthy();
  });

  it('offers what happens often at once, and the rest behind one more tap', async () => {
    standIn(report());
    show(<GroupScreen id="g1" />);
    for (const often of ['Measure', 'Count', 'Losses', 'Stage', 'Move']) {
      expect(await screen.findByLabelText(often)).toBeTruthy();
    }
    expect(screen.queryByText('Set apart')).toBeNull();
    fireEvent.press(screen.getByLabelText('Something else'));
    for (const seldom of [
      'More came',
      'Born',
      'Sold',
      'Given away',
      'Set apart',
      'Split',
      'Join another group',
      'Name and species',
      'End group',
    ]) {
      expect(screen.getByText(seldom)).toBeTruthy();
    }
    fireEvent.press(screen.getByText('About the species'));
    expect(push).toHaveBeenCalledWith(`/species/${species.key}`);
  });

  it('ends with a way back, and keeps its species for it', async () => {
    const asked = standIn(
      report({
        'PUT /api/groups/g1': ({ body }: { body: unknown }) => ({
          status: 200,
          body: { ...group, ...(body as object), version: 2 },
        }),
      }),
    );
    show(
      <>
        <GroupScreen id="g1" />
        <Toast />
      </>,
    );
    fireEvent.press(await screen.findByLabelText('Something else'));
    fireEvent.press(screen.getByText('End group'));
    expect(await screen.findByText('Zebrafish ended. Its records stay.')).toBeTruthy();
    const puts = () => sent(asked, 'PUT');
    expect(puts()[0]).toMatchObject({ archived: true, speciesKey: species.key, version: 1 });
    fireEvent.press(screen.getByLabelText('Undo'));
    await waitFor(() => expect(puts()).toHaveLength(2));
    expect(puts()[1]).toMatchObject({ archived: false, version: 2 });
  });

  it('that is gone says so', async () => {
    standIn(report());
    show(<GroupScreen id="gone" />);
    expect(await screen.findByText('No such group')).toBeTruthy();
  });
});

describe('its name and species', () => {
  const data = { species: new Map([[species.key, species]]), ownSpecies: [] } as never;

  it('are changed together, and nothing else', async () => {
    const closed = jest.fn();
    const asked = standIn(
      report({
        'PUT /api/groups/g1': ({ body }: { body: unknown }) => ({
          status: 200,
          body: { ...group, ...(body as object), version: 2 },
        }),
      }),
    );
    show(
      <>
        <EditGroupSheet group={group} data={data} onClose={closed} />
        <Toast />
      </>,
    );
    fireEvent.changeText(screen.getByLabelText('What you call them'), 'Shelf danios');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(sent(asked, 'PUT')[0]).toEqual({
      name: 'Shelf danios',
      speciesKey: species.key,
      version: 1,
      archived: false,
    });
  });

  it('are shown beside those of someone who saved in between', async () => {
    standIn(
      report({
        'PUT /api/groups/g1': ({ body }: { body: unknown }) => ({
          status: 409,
          body: {
            type: 'urn:open-larder:stale',
            title: 'Changed meanwhile',
            status: 409,
            detail: 'This group was changed somewhere else since you opened it.',
            yours: body,
            theirs: { ...group, name: 'Their danios', version: 5 },
          },
        }),
      }),
    );
    show(<EditGroupSheet group={group} data={data} onClose={jest.fn()} />);
    fireEvent.changeText(screen.getByLabelText('What you call them'), 'My danios');
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText('Name: yours My danios, theirs Their danios')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Take theirs'));
    expect(screen.getByLabelText('What you call them').props.value).toBe('Their danios');
  });
});
