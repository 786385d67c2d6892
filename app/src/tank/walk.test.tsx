import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { tank } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { WalkSheet } from './WalkSheet';

const tanks = ['Millpond', 'Sluice', 'Tarn'].map((name, at) => ({
  ...tank,
  id: `t${at + 1}`,
  name,
  walkOrder: at + 1,
}));

function open(answer: unknown = ({ body }: { body: unknown }) => ({ status: 200, body })) {
  const closed = jest.fn();
  const asked = standIn({ 'PUT /api/walk': answer });
  show(
    <>
      <WalkSheet tanks={tanks} onClose={closed} />
      <Toast />
    </>,
  );
  return { asked, closed };
}

describe('the walking order', () => {
  it('is moved step by step, kept whole, and taken back', async () => {
    const { asked, closed } = open();
    expect(screen.getByLabelText('Keep this order').props.accessibilityState).toMatchObject({
      disabled: true,
    });
    // Nothing stands before the first, nor after the last.
    expect(screen.queryByLabelText('Millpond earlier')).toBeNull();
    expect(screen.queryByLabelText('Tarn later')).toBeNull();
    fireEvent.press(screen.getByLabelText('Tarn earlier'));
    fireEvent.press(screen.getByLabelText('Tarn earlier'));
    fireEvent.press(screen.getByLabelText('Millpond later'));
    fireEvent.press(screen.getByLabelText('Keep this order'));
    await waitFor(() => expect(sent(asked, 'PUT')).toEqual([{ tankIds: ['t3', 't2', 't1'] }]));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    fireEvent.press(screen.getByLabelText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')[1]).toEqual({ tankIds: ['t1', 't2', 't3'] }));
  });

  it('stays open with what was arranged where it is refused', async () => {
    const { closed } = open(() => ({
      status: 409,
      body: { type: 'about:blank', title: 'x', status: 409, detail: 'A tank was put away.' },
    }));
    fireEvent.press(screen.getByLabelText('Sluice earlier'));
    fireEvent.press(screen.getByLabelText('Keep this order'));
    expect(await screen.findByText('A tank was put away.')).toBeTruthy();
    expect(closed).not.toHaveBeenCalled();
    expect(screen.queryByLabelText('Sluice earlier')).toBeNull();
  });
});
