import { fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { answers, group, round, species } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { lookAgain } from './lookAgain';
import { RoundScreen } from './RoundScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const DAY = '2026-03-04';

async function openLook(more: Record<string, unknown> = {}) {
  const asked = standIn({
    ...answers(),
    [`GET /api/round/${DAY}`]: round(DAY),
    'POST /api/looks': ({ body }: { body: unknown }) => ({ status: 201, body }),
    ...more,
  });
  show(
    <>
      <RoundScreen day={DAY} />
      <Toast />
    </>,
  );
  fireEvent.press(await screen.findByLabelText('Look at the fish of Millpond'));
  await screen.findByLabelText('Bellies of Zebrafish');
  return asked;
}
const looks = (asked: ReturnType<typeof standIn>) =>
  asked
    .filter(({ path }) => path === '/api/looks')
    .flatMap(({ body }) => (body as { looks: unknown[] }).looks);

describe('looking at a group', () => {
  it('takes two taps: a belly, and that it is noted', async () => {
    const asked = await openLook();
    // Nothing was seen yet: there is nothing to note.
    expect(screen.getByLabelText('Note it').props.accessibilityState).toMatchObject({
      disabled: true,
    });
    fireEvent.press(screen.getByLabelText('sunken: Zebrafish'));
    fireEvent.press(screen.getByLabelText('Note it'));
    await waitFor(() =>
      expect(looks(asked)).toMatchObject([
        { groupId: 'g1', day: DAY, belly: 1, hungBack: false, colour: null, note: '' },
      ]),
    );
    expect(await screen.findByText(/Zebrafish get more until they are well filled/)).toBeTruthy();
    expect(screen.queryByLabelText('Bellies of Zebrafish')).toBeNull();
  });

  it('says what else was seen, and a second tap takes a sign back', async () => {
    const asked = await openLook();
    const sheet = within(screen.getByLabelText('Look: Millpond'));
    fireEvent.press(sheet.getByLabelText('flat: Zebrafish'));
    fireEvent.press(sheet.getByLabelText('flat: Zebrafish'));
    fireEvent.press(sheet.getByLabelText('Hung back: Zebrafish'));
    fireEvent.press(sheet.getByLabelText('Injured: Zebrafish'));
    fireEvent.press(sheet.getByLabelText('Injured: Zebrafish'));
    fireEvent.press(sheet.getByLabelText('More about Zebrafish'));
    fireEvent.press(sheet.getByLabelText('pale'));
    fireEvent.press(sheet.getByLabelText('stringy, white'));
    fireEvent.changeText(sheet.getByLabelText('Note on Zebrafish'), 'one alone');
    fireEvent.press(sheet.getByLabelText('Note it'));
    await waitFor(() =>
      expect(looks(asked)).toMatchObject([
        {
          belly: null,
          hungBack: true,
          injured: false,
          colour: 'pale',
          droppings: 'stringy',
          note: 'one alone',
        },
      ]),
    );
    expect(await screen.findByText('Noted.')).toBeTruthy();
  });

  describe('of a mouth-brooder that stays away', () => {
    const brooder = { ...species, breeding: 'mouth-brooder' as const };
    const holding = async (more: Record<string, unknown>, count = group.size) => {
      const asked = await openLook({
        'GET /api/catalogue': { species: [brooder], foods: [] },
        'GET /api/groups': { items: [{ ...group, size: count }], next: null },
        ...more,
      });
      expect(screen.queryByText(/may be holding eggs/)).toBeNull();
      fireEvent.press(screen.getByLabelText('Some did not come: Zebrafish'));
      expect(screen.getByText(/may be holding eggs/)).toBeTruthy();
      fireEvent.press(screen.getByLabelText('One of Zebrafish holds: let her fast'));
      return asked;
    };
    const posts = (asked: ReturnType<typeof standIn>) =>
      asked.filter(({ method, path }) => method === 'POST' && path !== '/api/looks');

    it('offers a fast for her alone: a group of her own that broods', async () => {
      const asked = await holding({
        'POST /api/groups/g1/split': ({ body }: { body: { id: string } }) => ({
          status: 201,
          body: { ...group, id: body.id },
        }),
      });
      await waitFor(() => expect(posts(asked)).toHaveLength(1));
      // One request: she is never a group of her own that does not fast.
      expect(posts(asked)[0]!.body).toMatchObject({
        males: 0,
        females: 1,
        tankId: 't1',
        apart: false,
        stage: 'brooding',
        day: DAY,
      });
      expect(looks(asked)).toMatchObject([{ absent: true }]);
    });

    it('that lives alone has her whole group fast', async () => {
      const alone = { males: 0, females: 1, unsexed: 0, total: 1 };
      const asked = await holding(
        { 'POST /api/groups/g1/events': ({ body }: { body: unknown }) => ({ status: 201, body }) },
        alone,
      );
      await waitFor(() => expect(posts(asked)).toHaveLength(1));
      expect(posts(asked)[0]).toMatchObject({ body: { kind: 'staged', stage: 'brooding' } });
      expect(await screen.findByText(/Zebrafish fasts while she holds/)).toBeTruthy();
    });

    it('keeps the sheet’s word where the group cannot be split', async () => {
      const asked = await holding({
        'POST /api/groups/g1/split': () => ({
          status: 422,
          body: { type: 'about:blank', title: 'x', status: 422, detail: 'Count them first.' },
        }),
      });
      expect(await screen.findByText('Count them first.')).toBeTruthy();
      expect(posts(asked)).toHaveLength(1);
    });
  });

  it('keeps what was said where the server refuses it', async () => {
    await openLook({
      'POST /api/looks': () => ({
        status: 422,
        body: { type: 'about:blank', title: 'x', status: 422, detail: 'Say something seen.' },
      }),
    });
    fireEvent.press(screen.getByLabelText('round: Zebrafish'));
    fireEvent.press(screen.getByLabelText('Note it'));
    expect(await screen.findByText('Say something seen.')).toBeTruthy();
    expect(screen.getByLabelText('round: Zebrafish').props.accessibilityState).toMatchObject({
      checked: true,
    });
  });
});

describe('being asked again', () => {
  const seen = (score: 1 | 2 | 3 | 4 | 5, day: string) => ({ ...group, belly: { score, day } });
  it('is three days after a belly that was not as it should be', () => {
    expect(lookAgain([seen(1, '2026-03-01')], DAY)).toHaveLength(1);
    expect(lookAgain([seen(1, '2026-03-02')], DAY)).toHaveLength(0);
    expect(lookAgain([seen(5, '2026-03-01')], DAY)).toHaveLength(1);
    expect(lookAgain([seen(3, '2026-03-01'), seen(4, '2026-03-01'), group], DAY)).toEqual([]);
  });

  it('stands at the tank, with what was seen and when', async () => {
    standIn({
      ...answers(),
      'GET /api/groups': { items: [seen(2, '2026-03-01')], next: null },
      [`GET /api/round/${DAY}`]: round(DAY),
    });
    show(<RoundScreen day={DAY} />);
    expect(
      await screen.findByText(/^Zebrafish had flat bellies on .*: check again\.$/),
    ).toBeTruthy();
  });
});
