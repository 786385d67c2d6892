import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useHouse } from '../store';
import { answers, species, tank } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { TriggerCard } from './TriggerCard';

const cool = { ...species, tempMinC: 22 };

function Shown() {
  const { data } = useHouse();
  return data ? (
    <TriggerCard
      tank={{ ...tank, plan: null, tempC: 25, gh: 8 }}
      groupId="8e2f1a34-0000-4000-8000-000000000001"
      litres={60}
      status={null}
      species={cool}
    />
  ) : null;
}
const type = (label: string, text: string) =>
  fireEvent.changeText(screen.getByLabelText(new RegExp(`^${label}`)), text);

describe('cooler water as a trigger', () => {
  let asked: ReturnType<typeof standIn>;
  beforeEach(async () => {
    asked = standIn({
      ...answers(),
      [`PUT /api/tanks/${tank.id}/plan`]: ({ body }: { body: unknown }) => ({
        status: 200,
        body: { plan: { ...(body as object), version: 1, validFrom: '2026-03-11' }, diets: [] },
      }),
    });
    show(
      <>
        <Shown />
        <Toast />
      </>,
    );
    await screen.findByText('What sets them off');
    type('In the new water', '16');
  });

  it('goes by dated steps within what the species lives in: dry, cool, and the heater back', () => {
    type('Down to', '23');
    expect(screen.queryByText('They tolerate it')).toBeNull();
    expect(screen.getByText(/no change and no topping up$/)).toBeTruthy();
    expect(screen.getAllByText(/with the new water$/).length).toBeGreaterThan(0);
    expect(screen.getByText(/heater back to 25 °C$/)).toBeTruthy();
  });

  it('under it asks, and takes the keeper’s answer', () => {
    type('Down to', '21');
    expect(screen.getByText(/known down to 22 °C.*Do yours tolerate it\?$/)).toBeTruthy();
    expect(screen.queryByText(/with the new water$/)).toBeNull();
    fireEvent.press(screen.getByText('They tolerate it'));
    expect(screen.getAllByText(/with the new water$/).length).toBeGreaterThan(0);
    // The answer was for that target: what is colder is asked about again.
    type('Down to', '20');
    expect(screen.getByText('They tolerate it')).toBeTruthy();
  });

  it('says what kills as strongly as it deserves', () => {
    type('Down to', '17');
    expect(screen.getByText(/far colder: it can kill them within hours/)).toBeTruthy();
  });

  it('is put into the plan of the tank with its steps, and taken out with the way back', async () => {
    type('Down to', '23');
    fireEvent.press(screen.getByText('Put it into the plan'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    const { water } = sent(asked, 'PUT')[0] as {
      water: { trigger: { steps: { does: string; share: number | null }[] } };
    };
    const does = water.trigger.steps.map((step) => step.does);
    expect(does[0]).toBe('hold');
    expect(does.at(-1)).toBe('heaterBack');
    expect(
      water.trigger.steps.every(
        ({ does: what, share }) => (what === 'refill') === (share !== null),
      ),
    ).toBe(true);
    fireEvent.press(await screen.findByText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')[1]).toMatchObject({ version: 1, water: null });
  });
});
