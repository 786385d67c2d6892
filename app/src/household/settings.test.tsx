import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, household } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { SettingsScreen } from './SettingsScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

describe('the settings', () => {
  it('let each unit be chosen by itself, and deliveries take their days', async () => {
    const asked = standIn({
      ...answers(),
      'PUT /api/household': ({ body }: { body: unknown }) => ({
        status: 200,
        body: { ...household, ...(body as object), version: 2 },
      }),
    });
    show(
      <>
        <SettingsScreen />
        <Toast />
      </>,
    );
    fireEvent.press(await screen.findByLabelText('°F'));
    fireEvent.press(screen.getByLabelText('ppm'));
    fireEvent.press(screen.getByLabelText('More: Days until a parcel comes'));
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText('The settings are saved.')).toBeTruthy();
    expect(sent(asked, 'PUT')[0]).toMatchObject({
      units: 'metric',
      temperature: 'F',
      hardness: 'ppm',
      deliveryDays: 5,
      version: 1,
    });
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
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText('Temperature: yours F, theirs C')).toBeTruthy();
    expect(screen.getByText('Hardness: yours dGH, theirs ppm')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Take theirs'));
    await waitFor(() =>
      expect(screen.getByLabelText('°C').props.accessibilityState?.checked).toBe(true),
    );
  });
});
