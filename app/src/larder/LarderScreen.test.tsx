import { fireEvent, screen } from '@testing-library/react-native';
import { answers, food } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { EditFoodScreen } from './EditFoodScreen';
import { LarderScreen } from './LarderScreen';

const mockPush = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({
    push: mockPush,
    replace: jest.fn(),
    back: jest.fn(),
    canGoBack: () => false,
  }),
  usePathname: () => '/larder',
  Link: ({ children }: { children: unknown }) => children,
}));

describe('the larder', () => {
  it('shows jars by the place they stand in, and what runs short', async () => {
    standIn(answers());
    show(<LarderScreen />);
    expect(await screen.findByText('Cupboard')).toBeTruthy();
    expect(await screen.findByText('5 days')).toBeTruthy();
    expect(screen.getByText(/1 foods · €0.18 a day · next to buy within 5 days/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Fine flake, 5 days'));
    expect(mockPush).toHaveBeenCalledWith('/larder/f1');
  });

  it('shows one food with its lots, make-up and energy', async () => {
    standIn(answers());
    show(<LarderScreen id="f1" />);
    expect(await screen.findByText('42 g left, 5 days')).toBeTruthy();
    expect(screen.getByText('42 g of 60 g')).toBeTruthy();
    expect(screen.getByText(/protein 46 % · fat 8 %/)).toBeTruthy();
    expect(screen.getByText('14.9 kJ/g')).toBeTruthy();
  });

  it('takes a food down with all its fields, and says where the way back is', async () => {
    const asked = standIn({
      ...answers(),
      'PUT /api/foods/f1': { ...food, version: 2, archived: true },
    });
    show(<LarderScreen id="f1" />);
    fireEvent.press(await screen.findByLabelText('Take down'));
    await screen.findByText('42 g of 60 g');
    const [put] = asked.filter((one) => one.method === 'PUT');
    const { id: _, lots: __, remainingG: ___, ...fields } = food;
    expect(put?.body).toEqual({ ...fields, archived: true });
  });

  it('says what to do first where the shelf is empty', async () => {
    standIn({ ...answers(), 'GET /api/foods': { items: [], next: null } });
    show(<LarderScreen />);
    expect(await screen.findByText('The shelf is empty')).toBeTruthy();
  });
});

describe('a changed food', () => {
  it('somewhere else too shows what differs inside its hand unit', async () => {
    const id = '01a20b8f-8261-7d0d-87a6-870c81b69e82';
    const ours = { ...food, id };
    standIn({
      ...answers(),
      'GET /api/foods': { items: [ours], next: null },
      [`PUT /api/foods/${id}`]: ({ body }: { body: unknown }) => ({
        status: 409,
        body: {
          type: 'urn:open-larder:stale',
          title: 'Changed meanwhile',
          status: 409,
          detail: 'This food was changed somewhere else.',
          yours: body,
          theirs: { ...ours, version: 2, unit: { ...food.unit, massG: 0.03 } },
        },
      }),
    });
    show(<EditFoodScreen id={id} />);
    fireEvent.press(await screen.findByLabelText('Save'));
    expect(
      await screen.findByText(
        'Hand unit: yours pinch · pinches · 0.02 · 0.5, theirs pinch · pinches · 0.03 · 0.5',
      ),
    ).toBeTruthy();
  });
});
