import { fireEvent, screen } from '@testing-library/react-native';
import { answers, food } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
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
