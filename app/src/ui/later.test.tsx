import { fireEvent, screen } from '@testing-library/react-native';
import { Text as NativeText } from 'react-native';
import { show } from '../testing/show';
import { Boundary } from './Boundary';
import { lazyComponent } from './lazyComponent';

const LATER = { quiet: false, there: () => null };

const Part = ({ name }: { name: string }) => <NativeText>{name} is here</NativeText>;

describe('a part that loads later', () => {
  it('is fetched again by itself where it was lost on the way', async () => {
    let tries = 0;
    const Late = lazyComponent(async () => {
      tries += 1;
      if (tries < 3) throw new TypeError('failed to fetch');
      return Part;
    }, LATER);
    show(<Late name="Alder" />);
    expect(await screen.findByText('Alder is here', {}, { timeout: 20_000 })).toBeTruthy();
    expect(tries).toBe(3);
  });

  it('says so where it does not load, leaves the rest, and is tried again', async () => {
    let there = false;
    const Late = lazyComponent(async () => {
      if (!there) throw new TypeError('failed to fetch');
      return Part;
    }, LATER);
    show(
      <>
        <NativeText>The rest</NativeText>
        <Late name="Race" />
      </>,
    );
    expect(
      await screen.findByText('This part has not loaded', {}, { timeout: 20_000 }),
    ).toBeTruthy();
    expect(screen.getByText('The rest')).toBeTruthy();
    there = true;
    fireEvent.press(screen.getByLabelText('Try again'));
    expect(await screen.findByText('Race is here')).toBeTruthy();
  });
});

describe('a part that is there already', () => {
  it('is drawn at once, and not fetched', () => {
    const fetched = jest.fn(async () => Part);
    const There = lazyComponent(fetched, { quiet: false, there: () => Part });
    show(<There name="Tarn" />);
    expect(screen.getByText('Tarn is here')).toBeTruthy();
    expect(fetched).not.toHaveBeenCalled();
  });
});

describe('a part that breaks while it is drawn', () => {
  it('is shut off from what is around it, and tried again', async () => {
    const silent = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    let whole = false;
    const Fragile = () => {
      if (!whole) throw new Error('broken');
      return <Part name="Tarn" />;
    };
    show(
      <>
        <NativeText>The rest</NativeText>
        <Boundary>
          <Fragile />
        </Boundary>
      </>,
    );
    expect(screen.getByText('This part cannot be shown')).toBeTruthy();
    expect(screen.getByText('The rest')).toBeTruthy();
    whole = true;
    fireEvent.press(screen.getByLabelText('Try again'));
    expect(await screen.findByText('Tarn is here')).toBeTruthy();
    silent.mockRestore();
  });
});
