import { zodResolver } from '@hookform/resolvers/zod';
import type { Problem } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import {
  DateInput,
  NumberInput,
  PickerInput,
  StepperInput,
  TextInput,
  TimeInput,
} from '../forms/inputs';
import { show } from '../testing/show';
import { Button, Toast } from '.';
import { StaleNotice } from './StaleNotice';
import { useSave } from './useSave';

interface Jar {
  name: string;
  grams: number | null;
  label: { maker: string };
  version: number;
}
const jar: Jar = { name: 'Flake', grams: 40, label: { maker: 'none' }, version: 3 };
const theirs: Jar = { ...jar, grams: 55, label: { maker: 'the mill' }, version: 7 };

const problem = (more: Partial<Problem>): Problem => ({
  type: 'urn:open-larder:stale',
  title: 'Changed meanwhile',
  status: 409,
  detail: 'This jar was changed somewhere else.',
  ...more,
});

type Answer = { data: Jar } | { error: Problem };

/** A form that sends a jar, and is answered from a list. */
function JarForm({ answers, sent }: { answers: Answer[]; sent: Jar[] }) {
  const form = useForm<Jar>({ defaultValues: jar });
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    sent.push({ ...body });
    await save<Jar>(async () => answers[sent.length - 1]! as never);
  });
  return (
    <>
      <StaleNotice
        stale={stale}
        fields={{ name: 'Name', grams: 'Mass' }}
        onKeepMine={() => void submit()}
        onTakeTheirs={(saved: Jar) => form.reset(saved)}
      />
      <StaleNotice
        stale={stale}
        fields={{ maker: 'Maker' }}
        within={({ label }: Jar) => label}
        onKeepMine={() => void submit()}
        onTakeTheirs={(saved: Jar) => form.reset(saved)}
      />
      <TextInput control={form.control} name="name" label="Name" />
      <NumberInput control={form.control} name="grams" label="Mass" unit="g" />
      <Button label="Save" onPress={() => submit()} />
      <Toast />
    </>
  );
}

function open(...answers: Answer[]) {
  const sent: Jar[] = [];
  show(<JarForm answers={answers} sent={sent} />);
  fireEvent.changeText(screen.getByLabelText('Name'), 'Fine flake');
  fireEvent.press(screen.getByLabelText('Save'));
  return sent;
}
const typed = (label: string) => screen.getByLabelText(label).props.value as string;

describe('a form that someone else saved in between', () => {
  const refused: Answer = {
    error: problem({ yours: { ...jar, name: 'Fine flake' }, theirs }),
  };

  it('says only what differs, wherever in the row it stands', async () => {
    open(refused);
    expect(await screen.findByText('Name: yours Fine flake, theirs Flake')).toBeTruthy();
    expect(screen.getByText('Mass: yours 40, theirs 55')).toBeTruthy();
    expect(screen.getByText('Maker: yours none, theirs the mill')).toBeTruthy();
    expect(screen.queryByText(/version/i)).toBeNull();
    expect(typed('Name')).toBe('Fine flake');
  });

  it('keeping mine sends what is typed once more, over their version', async () => {
    const sent = open(refused, { data: theirs });
    fireEvent.press((await screen.findAllByLabelText('Keep mine'))[0]!);
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map(({ name, grams, version }) => [name, grams, version])).toEqual([
      ['Fine flake', 40, 3],
      ['Fine flake', 40, 7],
    ]);
    await waitFor(() => expect(screen.queryByText('Changed meanwhile')).toBeNull());
  });

  it('and saved once more before that is asked again, against the newest', async () => {
    const newest = { ...theirs, grams: 60, version: 9 };
    const again: Answer = {
      error: problem({ yours: { ...jar, name: 'Fine flake' }, theirs: newest }),
    };
    const sent = open(refused, again, { data: newest });
    fireEvent.press((await screen.findAllByLabelText('Keep mine'))[0]!);
    expect(await screen.findByText('Mass: yours 40, theirs 60')).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('Keep mine')[0]!);
    await waitFor(() => expect(sent.map((one) => one.version)).toEqual([3, 7, 9]));
  });

  it('taking theirs shows theirs, sends nothing, and ends the notice', async () => {
    const sent = open(refused);
    fireEvent.press((await screen.findAllByLabelText('Take theirs'))[0]!);
    expect([typed('Name'), typed('Mass, g')]).toEqual(['Flake', '55']);
    expect(screen.queryByText('Changed meanwhile')).toBeNull();
    expect(sent).toHaveLength(1);
  });

  it('where theirs is a row that is not there yet, mine is the first', async () => {
    const sent = open({ error: problem({ yours: jar, theirs: null }) }, { data: jar });
    expect(await screen.findByText('Mass: yours 40, theirs nothing')).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('Keep mine')[0]!);
    await waitFor(() => expect(sent.map((one) => one.version)).toEqual([3, 0]));
  });
});

describe('a form that is refused', () => {
  it('has each fault beside its field, the reason in a line, and all that was typed', async () => {
    open({
      error: problem({
        type: 'urn:open-larder:invalid',
        detail: 'Something in this jar is wrong.',
        errors: [{ path: 'grams', message: 'A jar holds at most 20 kg' }],
      }),
    });
    expect(await screen.findByText('A jar holds at most 20 kg')).toBeTruthy();
    expect(screen.getByText('Something in this jar is wrong.')).toBeTruthy();
    expect(screen.queryByText('Changed meanwhile')).toBeNull();
    expect(typed('Name')).toBe('Fine flake');
  });
});

describe('a form with a fault that is out of sight', () => {
  it('says what keeps it from being saved, and sends nothing', async () => {
    const sent: Jar[] = [];
    function Folded() {
      const form = useForm<Jar>({
        defaultValues: jar,
        resolver: zodResolver(
          z.object({
            name: z.string(),
            grams: z.number().nullable(),
            label: z.object({ maker: z.string().max(2, 'keep the maker under 3 letters') }),
            version: z.number(),
          }),
        ),
      });
      const { save } = useSave(form);
      const submit = form.handleSubmit(async (body) => {
        await save<Jar>(async () => {
          sent.push(body);
          return { data: body };
        });
      });
      return (
        <>
          <Button label="Save" onPress={() => submit()} />
          <Toast />
        </>
      );
    }
    show(<Folded />);
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText('Not saved yet: keep the maker under 3 letters.')).toBeTruthy();
    expect(sent).toHaveLength(0);
  });
});

describe('inputs of a form', () => {
  interface Plan {
    at: number;
    units: number;
    day: string | null;
    place: string;
  }
  const seen: Plan[] = [];
  const picked = jest.fn();

  function PlanForm() {
    const form = useForm<Plan>({
      defaultValues: { at: 450, units: 1, day: '2026-03-04', place: 'Cupboard' },
    });
    return (
      <>
        <TimeInput control={form.control} name="at" label="At" />
        <StepperInput
          control={form.control}
          name="units"
          label="Units"
          step={0.5}
          min={0}
          max={2}
        />
        <DateInput control={form.control} name="day" label="From" required />
        <PickerInput
          control={form.control}
          name="place"
          label="Place"
          picks={['Cupboard', 'Freezer'].map((value) => ({ value, title: value }))}
          onPicked={picked}
        />
        <Button label="Save" onPress={() => form.handleSubmit((one) => void seen.push(one))()} />
      </>
    );
  }

  it('hand on what was typed, stepped and picked, each in its own kind', async () => {
    show(<PlanForm />);
    fireEvent.changeText(screen.getByLabelText('At'), '18:30');
    fireEvent.press(screen.getByLabelText(/^More/));
    fireEvent.press(screen.getByLabelText(/^Place/));
    fireEvent.press(screen.getByLabelText('Freezer'));
    expect(picked).toHaveBeenCalledWith('Freezer', 'Cupboard');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(seen).toHaveLength(1));
    expect(seen[0]).toEqual({ at: 1110, units: 1.5, day: '2026-03-04', place: 'Freezer' });
  });

  it('a day that must be there is empty rather than none, so that its schema can say so', async () => {
    show(<PlanForm />);
    fireEvent.changeText(screen.getByLabelText('From'), '');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(seen.at(-1)?.day).toBe(''));
  });
});
