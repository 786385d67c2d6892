import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { daysBetween } from '@open-larder/core/round';
import { answers, food } from '../testing/house';
import { created, sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { CountSheet } from './CountSheet';
import { LotSheet } from './LotSheet';
import { WeighSheet } from './WeighSheet';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const id = '01a20b8f-8261-7d0d-87a6-870c81b69e83';
const lot = { ...food.lots[0]!, id };
const close = jest.fn();
beforeEach(() => close.mockClear());
const own = { ...food, id, lots: [lot] };

describe('weighing a serving unit in', () => {
  it('says what one weighs while it is typed, and whose hand it was', async () => {
    const asked = standIn({ ...answers(), [`POST /api/foods/${id}/weighings`]: own });
    show(<WeighSheet food={own} onClose={close} />);
    fireEvent.changeText(await screen.findByLabelText(/They weigh together/), '1,1 g');
    expect(screen.getByText(/One pinch: 0.055 g. Until now the plan took 0.02 g/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Whose hand'), 'Ada');
    fireEvent.press(screen.getByLabelText('Note the weighing'));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(sent(asked, 'POST')).toEqual([
      { id: expect.any(String), day: expect.any(String), hand: 'Ada', units: 20, massG: 1.1 },
    ]);
  });
});

describe('buying more', () => {
  it('takes an amount in serving units, and keeps it where the last lot stands', async () => {
    const frozen = { ...own, lots: [{ ...lot, place: 'freezer' as const }] };
    const asked = standIn({ ...answers(), [`POST /api/foods/${id}/lots`]: created });
    show(<LotSheet food={frozen} lot={null} onClose={close} />);
    fireEvent.changeText(await screen.findByLabelText(/Amount/), '500 Pinches');
    fireEvent.press(screen.getByLabelText('Put it on the shelf'));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(sent(asked, 'POST')[0]).toMatchObject({ amountG: 10, place: 'freezer', openedOn: null });
  });

  it('knows no other word, and says which it knows', async () => {
    standIn(answers());
    show(<LotSheet food={own} lot={null} onClose={close} />);
    fireEvent.changeText(await screen.findByLabelText(/Amount/), '3 buckets');
    fireEvent.press(screen.getByLabelText('Put it on the shelf'));
    expect(await screen.findByText(/«buckets» is not known here; pinch, pinches, g/)).toBeTruthy();
  });

  it('keeps for half a year in the freezer where it is fresh, unless a day was typed', async () => {
    const leaf = { ...own, kind: 'fresh' as const, keeps: { ...own.keeps, sealedDays: 5 } };
    const asked = standIn({ ...answers(), [`POST /api/foods/${id}/lots`]: created });
    show(<LotSheet food={leaf} lot={null} onClose={close} />);
    fireEvent.changeText(await screen.findByLabelText(/Amount/), '300');
    fireEvent.press(screen.getByLabelText('freezer'));
    fireEvent.press(screen.getByLabelText('Put it on the shelf'));
    await waitFor(() => expect(close).toHaveBeenCalled());
    const [body] = sent(asked, 'POST') as { boughtOn: string; bestBefore: string }[];
    expect(daysBetween(body!.boughtOn, body!.bestBefore)).toBe(180);
  });

  it('is corrected with its place and its dates', async () => {
    const asked = standIn({ ...answers(), [`PUT /api/lots/${id}`]: lot });
    show(<LotSheet food={own} lot={lot} onClose={close} />);
    fireEvent.press(await screen.findByLabelText('fridge'));
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(sent(asked, 'PUT')[0]).toMatchObject({ version: 1, place: 'fridge', costMinor: 890 });
  });
});

describe('counting a lot', () => {
  it('is an event of its day', async () => {
    const asked = standIn({ ...answers(), [`POST /api/lots/${id}/counts`]: lot });
    show(<CountSheet food={own} lot={lot} onClose={close} />);
    fireEvent.changeText(await screen.findByLabelText(/Left/), '1/2 oz');
    fireEvent.press(screen.getByLabelText('Note the count'));
    await waitFor(() => expect(close).toHaveBeenCalled());
    const [count] = sent(asked, 'POST');
    expect(count?.remainingG).toBeCloseTo(14.17, 2);
  });
});
