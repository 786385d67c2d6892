import { fireEvent, screen } from '@testing-library/react-native';
import { Text } from 'react-native';
import { replace } from '../testing/router';
import { show } from '../testing/show';
import { Button, IconButton, MayDo } from '../ui';
import { MayOpen } from './MayOpen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const FORM = 'A form';
const open = (role: 'guest' | 'feeder' | 'keeper' | 'owner', path: string) =>
  show(
    <MayDo role={role}>
      <MayOpen path={path}>
        <Text>{FORM}</Text>
        <Button least="keeper" label="Change" onPress={() => undefined} />
        <IconButton least="feeder" label="Feed" onPress={() => undefined}>
          <Text>+</Text>
        </IconButton>
      </MayOpen>
    </MayDo>,
  );

describe('what a person may do', () => {
  it.each([
    ['guest', '/tanks/3/edit'],
    ['feeder', '/larder/new'],
    ['feeder', '/groups/4/diet'],
    ['feeder', '/begin'],
    ['keeper', '/tables'],
  ] as const)('is said to a %s at %s in place of the form', async (role, path) => {
    await open(role, path);
    expect(screen.queryByText(FORM)).toBeNull();
    expect(screen.getByText(/^Only /)).toBeOnTheScreen();
    fireEvent.press(screen.getByRole('button', { name: 'To the Round' }));
    expect(replace).toHaveBeenCalledWith('/round');
  });

  it.each([
    ['guest', '/tanks/3', []],
    ['feeder', '/larder/live/9', ['Feed']],
    ['keeper', '/tanks/3/edit', ['Change', 'Feed']],
    ['owner', '/tables', ['Change', 'Feed']],
  ] as const)('is what a %s finds at %s', async (role, path, names) => {
    await open(role, path);
    expect(screen.getByText(FORM)).toBeOnTheScreen();
    const offered = ['Change', 'Feed'].filter((name) => screen.queryByRole('button', { name }));
    expect(offered).toEqual(names);
  });
});
