import { fireEvent, screen } from '@testing-library/react-native';
import { useHouse } from '../store';
import { answers, species } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { TriggerCard } from './TriggerCard';

const cool = { ...species, tempMinC: 22 };

function Shown() {
  const { data } = useHouse();
  return data ? <TriggerCard tankC={25} gh={8} litres={60} species={cool} /> : null;
}
const type = (label: string, text: string) =>
  fireEvent.changeText(screen.getByLabelText(new RegExp(`^${label}`)), text);

describe('cooler water as a trigger', () => {
  beforeEach(async () => {
    standIn(answers());
    show(<Shown />);
    await screen.findByText('What sets them off');
    type('In the new water', '16');
  });

  it('goes by steps within what the species lives in', () => {
    type('It shall come to', '23');
    expect(screen.queryByText('They tolerate it')).toBeNull();
    expect(screen.getAllByText(/of the new water$/).length).toBeGreaterThan(0);
  });

  it('under it asks, and takes the keeper’s word', () => {
    type('It shall come to', '21');
    expect(screen.getByText(/known down to 22 °C.*Do yours tolerate it\?$/)).toBeTruthy();
    expect(screen.queryByText(/of the new water$/)).toBeNull();
    fireEvent.press(screen.getByText('They tolerate it'));
    expect(screen.getAllByText(/of the new water$/).length).toBeGreaterThan(0);
    // Their word was for that one: what is colder is asked about again.
    type('It shall come to', '20');
    expect(screen.getByText('They tolerate it')).toBeTruthy();
  });

  it('says what kills as strongly as it deserves', () => {
    type('It shall come to', '17');
    expect(screen.getByText(/far colder: it can kill them within hours/)).toBeTruthy();
  });
});
