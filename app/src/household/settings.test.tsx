import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, household } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { SettingsScreen } from './SettingsScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

describe('the settings', () => {
  it('are saved as they are changed, each unit by itself, and go back by a tap', async () => {
    let now = household;
    const asked = standIn({
      ...answers(),
      'GET /api/household': () => ({ status: 200, body: now }),
      'PUT /api/household': ({ body }: { body: unknown }) => {
        now = { ...household, ...(body as object), version: now.version + 1 };
        return { status: 200, body: now };
      },
    });
    show(
      <>
        <SettingsScreen />
        <Toast />
      </>,
    );
    fireEvent.press(await screen.findByLabelText('°F'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    fireEvent.press(screen.getByLabelText('ppm'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    fireEvent.press(screen.getByLabelText('More: Days until a parcel comes'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(3));
    expect(sent(asked, 'PUT')).toMatchObject([
      { units: 'metric', temperature: 'F', version: 1 },
      { temperature: 'F', hardness: 'ppm', deliveryDays: 4, version: 2 },
      { temperature: 'F', hardness: 'ppm', deliveryDays: 5, version: 3 },
    ]);
    fireEvent.press(await screen.findByText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(4));
    expect(sent(asked, 'PUT')[3]).toMatchObject({ deliveryDays: 4, hardness: 'ppm', version: 4 });
  });

  it('are kept where the screen is left in the middle of a word', async () => {
    const asked = standIn({
      ...answers(),
      'PUT /api/household': ({ body }: { body: unknown }) => ({
        status: 200,
        body: { ...household, ...(body as object), version: 2 },
      }),
    });
    show(<SettingsScreen />);
    fireEvent.changeText(await screen.findByLabelText('Name of the house'), 'The cellar');
    screen.unmount();
    await waitFor(() => expect(sent(asked, 'PUT')).toMatchObject([{ name: 'The cellar' }]));
  });

  it('keep what was chosen where someone saved in between', async () => {
    standIn({
      ...answers(),
      'PUT /api/household': ({ body }: { body: unknown }) => ({
        status: 409,
        body: {
          type: 'urn:open-larder:stale',
          title: 'Changed meanwhile',
          status: 409,
          detail: 'The household was changed somewhere else since you opened it.',
          yours: body,
          theirs: { ...household, temperature: 'C', hardness: 'ppm', version: 3 },
        },
      }),
    });
    show(<SettingsScreen />);
    fireEvent.press(await screen.findByLabelText('°F'));
    expect(await screen.findByText('Temperature: yours F, theirs C')).toBeTruthy();
    expect(screen.getByText('Hardness: yours dGH, theirs ppm')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Take theirs'));
    await waitFor(() =>
      expect(screen.getByLabelText('°C').props.accessibilityState?.checked).toBe(true),
    );
  });
});
