import { fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { scaleOf } from '@open-larder/core/units';
import { show } from '../testing/show';
import { Choices, Stepper, Text } from '.';
import { NumberField } from './NumberField';

function Lengths({ start }: { start: number | null }) {
  const [value, setValue] = useState<number | null>(start);
  const inches = scaleOf({ units: 'us', temperature: 'F', hardness: 'ppm' }, 'length');
  return (
    <>
      <NumberField
        label="Length"
        unit="in"
        scale={inches}
        value={value}
        onChange={setValue}
        decimals={2}
      />
      <Text>{`stored ${value}`}</Text>
    </>
  );
}

describe('a number field', () => {
  it('shows the keeper’s unit and stores the base unit', () => {
    show(<Lengths start={2.54} />);
    const input = screen.getByLabelText('Length, in');
    expect(input.props.value).toBe('1');
    fireEvent.changeText(input, '2,5');
    expect(screen.getByText('stored 6.35')).toBeTruthy();
    expect(screen.getByLabelText('Length, in').props.value).toBe('2,5');
  });

  it('keeps what cannot be read as it was typed, for the schema to answer', () => {
    show(<Lengths start={null} />);
    fireEvent.changeText(screen.getByLabelText('Length, in'), '2.5.');
    expect(screen.getByText('stored NaN')).toBeTruthy();
    expect(screen.getByLabelText('Length, in').props.value).toBe('2.5.');
    fireEvent.changeText(screen.getByLabelText('Length, in'), '');
    expect(screen.getByText('stored null')).toBeTruthy();
  });
});

describe('a stepper', () => {
  function Cubes() {
    const [value, setValue] = useState(0.5);
    return (
      <Stepper
        label="Cubes"
        value={value}
        step={0.25}
        min={0.25}
        max={0.75}
        onChange={setValue}
        format={(one) => `${one} cube`}
      />
    );
  }

  it('moves by its step and stops at its ends', () => {
    show(<Cubes />);
    const more = screen.getByLabelText('More: Cubes');
    fireEvent.press(more);
    fireEvent.press(more);
    expect(screen.getByText('0.75 cube')).toBeTruthy();
    const less = screen.getByLabelText('Less: Cubes');
    for (let press = 0; press < 5; press += 1) fireEvent.press(less);
    expect(screen.getByText('0.25 cube')).toBeTruthy();
  });
});

describe('choices', () => {
  function Days() {
    const [value, setValue] = useState<number[]>([3]);
    const options = [1, 2, 3].map((day) => ({ value: day, label: `day ${day}` }));
    return (
      <>
        <Choices label="Days" options={options} value={value} onChange={setValue} />
        <Text>{value.join('-') || 'none'}</Text>
      </>
    );
  }

  it('keep the order of the options, whatever the order of taps', () => {
    show(<Days />);
    fireEvent.press(screen.getByLabelText('day 2'));
    expect(screen.getByText('2-3')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('day 3'));
    fireEvent.press(screen.getByLabelText('day 2'));
    expect(screen.getByText('none')).toBeTruthy();
  });
});

describe('a stepper of whole things', () => {
  function Fish() {
    const [count, setCount] = useState(3);
    return (
      <>
        <Stepper label="Fish" value={count} step={1} min={0} max={500} onChange={setCount} />
        <Text>{`there are ${count}`}</Text>
      </>
    );
  }

  it('is typed as well, within its bounds, and goes on from there', () => {
    show(<Fish />);
    fireEvent.changeText(screen.getByLabelText('Fish, typed'), '40');
    expect(screen.getByText('there are 40')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Fish, typed'), '');
    expect(screen.getByText('there are 40')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Fish, typed'), '9999');
    expect(screen.getByText('there are 500')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Less: Fish'));
    expect(screen.getByText('there are 499')).toBeTruthy();
    expect(screen.getByLabelText('Fish, typed').props.value).toBe('499');
  });
});
