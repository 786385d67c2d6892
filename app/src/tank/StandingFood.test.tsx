import { addDays, PLAIN } from '@open-larder/core/round';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useHouse } from '../store';
import { TODAY } from '../testing/clock';
import { answers, food, group, round, tank } from '../testing/house';
import { sent, standIn, type Asked } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { StandingFood } from './StandingFood';

const leaf = { ...food, id: 'leaf', name: 'Catappa leaf', liftAfterMin: 30_240 };
const ten = addDays(TODAY, -10);
const meal = {
  tankId: tank.id,
  day: ten,
  momentId: 'evening',
  drops: [
    {
      key: 's-leaf',
      foodId: 'leaf',
      groupId: group.id,
      atMin: 1110,
      massG: 1.2,
      zone: 'bottom' as const,
      place: '',
      manner: PLAIN,
      at: `${ten}T12:00:00.000Z`,
      ended: false,
    },
  ],
};

function Shown() {
  const { data } = useHouse();
  return data ? <StandingFood tank={tank} data={data} /> : null;
}
const open = (inWater: unknown[], extra: object = {}) => {
  const asked = standIn({
    ...answers(),
    'GET /api/foods': { items: [food, leaf], next: null },
    [`GET /api/round/${TODAY}`]: { ...round(TODAY), inWater },
    [`POST /api/tanks/${tank.id}/sightings`]: {},
    ...extra,
  });
  show(
    <>
      <Shown />
      <Toast />
    </>,
  );
  return asked;
};

describe('what stands in a tank', () => {
  it('is named, since when, and until when', async () => {
    open([meal, { ...meal, tankId: 'elsewhere' }]);
    expect(await screen.findByText('Catappa leaf, 1.2 g')).toBeTruthy();
    expect(screen.getAllByText(/^Put in on .*Take out what is left on/)).toHaveLength(1);
  });

  it('is gone at a tap, with a way back, and says nothing of minutes', async () => {
    const asked = open([meal]);
    fireEvent.press(await screen.findByLabelText(/^Gone: Catappa leaf/));
    expect(await screen.findByText(/^Catappa leaf in .*: gone\.$/)).toBeTruthy();
    expect(screen.queryByText('Catappa leaf, 1.2 g')).toBeNull();
    expect(sent(asked, 'POST')).toMatchObject([{ clearedMin: null, left: 0, day: ten }]);
  });

  it('is taken out with what was left of it', async () => {
    const asked = open([meal]);
    fireEvent.press(await screen.findByLabelText(/^Take out Catappa leaf/));
    fireEvent.press(screen.getByLabelText(/^A quarter was left: Catappa leaf/));
    await waitFor(() => expect(sent(asked, 'POST')).toMatchObject([{ left: 0.25 }]));
  });

  it('is replaced by as much of the same, fed now', async () => {
    const asked = open([meal], {
      'POST /api/feedings': ({ body }: Asked) => ({
        status: 201,
        body: { feeding: { ...(body as object), massG: 1.2 }, shortG: 0 },
      }),
    });
    fireEvent.press(await screen.findByLabelText(/^Replace Catappa leaf/));
    expect(await screen.findByText(/^Catappa leaf in .*: replaced\.$/)).toBeTruthy();
    const [fed, seen] = sent(asked, 'POST') as { units?: number; left?: number }[];
    expect(fed).toMatchObject({ foodId: 'leaf', day: TODAY, units: 1.2 / leaf.unit.massG });
    expect(seen).toMatchObject({ left: 0 });
    expect(screen.getByText('Catappa leaf, 1.2 g')).toBeTruthy();
  });
});
