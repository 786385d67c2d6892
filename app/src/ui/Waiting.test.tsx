import { fireEvent, render, screen } from '@testing-library/react-native';
import { latest } from '../store/latest';
import { Waiting } from './Waiting';

const problem = {
  type: 'x',
  title: 'The server does not answer',
  status: 503,
  detail: 'Try later.',
};

describe('in place of what is not there yet', () => {
  it('shows its shape while it is read', () => {
    render(<Waiting of={{}} rows={2} />);
    expect(screen.getByLabelText('Loading')).toBeTruthy();
  });

  it('says what went wrong, and asks again for all that is missing and no more', () => {
    const [one, two, there] = [jest.fn(), jest.fn(), jest.fn()];
    render(
      <Waiting
        of={[
          { data: 1, error: problem, refetch: there },
          { error: problem, refetch: one },
          { retry: two },
        ]}
      />,
    );
    expect(screen.getByText('The server does not answer')).toBeTruthy();
    fireEvent.press(screen.getByText('Try again'));
    expect([one, two, there].map((again) => again.mock.calls.length)).toEqual([1, 1, 0]);
  });
});

describe('a reading whose question changed', () => {
  const refetch = () => undefined;

  it('shows the last answer on the way to the next, and never as the next', () => {
    expect(latest({ data: 'May', refetch }).data).toBe('May');
    expect(latest({ data: 'May', error: problem, refetch }).data).toBeUndefined();
    expect(latest({ data: 'May', currentData: 'May', error: problem, refetch }).data).toBe('May');
  });
});
