import { fireEvent, screen } from '@testing-library/react-native';
import { show } from '../testing/show';
import { LabelReader } from './LabelReader';

function open(kind: 'dry' | 'frozen' = 'dry') {
  const used = jest.fn();
  show(<LabelReader kind={kind} onUse={used} />);
  fireEvent.press(screen.getByLabelText('Paste its label'));
  return used;
}
const paste = (text: string) =>
  fireEvent.changeText(screen.getByLabelText('The label, as it is printed'), text);

describe('reading a label', () => {
  it('shows the words that each figure was read from, and marks what is estimated', () => {
    open();
    paste('Crude protein 46 %, crude fat 8 %, moisture 7 %');
    expect(screen.getByText('«crude protein 46 %»')).toBeTruthy();
    expect(screen.getByText('46 %')).toBeTruthy();
    expect(screen.getAllByText('not on the label: usual for dry food')).toHaveLength(2);
    expect(screen.getAllByText(/^~ /)).toHaveLength(2);
  });

  it('hands on five shares of mass as fed, once, and closes', () => {
    const used = open('frozen');
    paste('Protein 56 %, fat 9 %, fibre 5 %, ash 10 % of dry matter; moisture 90 %');
    fireEvent.press(screen.getByLabelText('Use these figures'));
    expect(used.mock.calls).toEqual([
      [{ protein: 0.056, fat: 0.009, fibre: 0.005, ash: 0.01, moisture: 0.9 }],
    ]);
    fireEvent.press(screen.getByLabelText('Paste its label'));
    expect(screen.getByLabelText('The label, as it is printed').props.value).toBe('');
  });

  it('says what it left out', () => {
    open();
    paste('protein 46 %, omega three 2 %, fat 8 %');
    expect(screen.getByText('Not understood, and left out: omega three 2 %.')).toBeTruthy();
  });

  it('cannot be used while it cannot be true, or holds no analysis', () => {
    const used = open();
    for (const [text, fieldError] of [
      ['protein 80 %, fat 40 %', /The parts add up to 141.0 %/],
      ['a lovely food', /No analysis was found/],
    ] as const) {
      paste(text);
      expect(screen.getByText(fieldError)).toBeTruthy();
      fireEvent.press(screen.getByLabelText('Use these figures'));
    }
    paste('   ');
    fireEvent.press(screen.getByLabelText('Use these figures'));
    expect(used).not.toHaveBeenCalled();
  });

  it('put off keeps what was pasted', () => {
    open();
    paste('protein 46 %');
    fireEvent.press(screen.getByLabelText('Not now'));
    fireEvent.press(screen.getByLabelText('Paste its label'));
    expect(screen.getByText('«protein 46 %»')).toBeTruthy();
  });
});
