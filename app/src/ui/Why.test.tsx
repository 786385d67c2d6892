import { assumed, computed, measured } from '@open-larder/core/why';
import { fireEvent, screen } from '@testing-library/react-native';
import { show } from '../testing/show';
import { Text, WhyLink } from '.';

const why = computed(1.25, {
  label: 'Portion',
  unit: 'pinches',
  how: 'grams ÷ mass of one pinch',
  from: [measured('Grams', 0.0625, 'g'), assumed('Mass of one pinch', 0.05, 'g', 'weigh twenty')],
});

describe('why?', () => {
  it('opens the derivation: formula, inputs, source, and what is assumed', async () => {
    show(<WhyLink about="1¼ pinches" why={why} />);
    expect(screen.queryByText('Portion')).toBeNull();
    fireEvent.press(screen.getByLabelText('Why 1¼ pinches?'));
    for (const text of [
      'Portion',
      '1.25 pinches',
      '= grams ÷ mass of one pinch',
      '0.0625 g',
      '~ Mass of one pinch',
      'weigh twenty',
    ]) {
      expect(await screen.findByText(text)).toBeTruthy();
    }
    expect(screen.getByText(/1 of 2 inputs are assumed/)).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('Close').at(-1)!);
    expect(screen.queryByText('Portion')).toBeNull();
  });

  it('says its record below the derivation, once that is there', async () => {
    const record = <Text>How right so far: 9 of 10.</Text>;
    const asked = (known: typeof why | null) => (
      <WhyLink about="it" why={known}>
        {record}
      </WhyLink>
    );
    const waiting = show(asked(null));
    fireEvent.press(screen.getByLabelText('Why it?'));
    expect(screen.queryByText(/How right so far/)).toBeNull();
    waiting.unmount();
    show(asked(why));
    fireEvent.press(screen.getByLabelText('Why it?'));
    expect(await screen.findByText(/How right so far/)).toBeTruthy();
  });

  it('asks for a derivation that is not there yet', () => {
    const onOpen = jest.fn();
    show(<WhyLink about="it" why={null} onOpen={onOpen} />);
    fireEvent.press(screen.getByLabelText('Why it?'));
    expect(onOpen).toHaveBeenCalledTimes(1);
    expect(screen.getByText('Working it out …')).toBeTruthy();
  });
});
