import type { CatalogueView, InventoryMade } from '@open-larder/contract';
import { formatNumber } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { api, useFormat, useHouse, useNow, type AppData, type Format } from '../store';
import { formIntent } from '../store/intent';
import { recall, remember } from '../store/memory';
import { Button, Card, Disclosure, Field, Screen, Text, useToast, Waiting } from '../ui';
import { Chip } from './Chip';
import { CorrectSheet, type Correcting } from './CorrectSheet';
import {
  entriesOf,
  makingOf,
  namesFrom,
  NO_CORRECTIONS,
  questionIn,
  type Assumed,
  type Corrections,
  type Entries,
  type Question,
} from './entries';
import { FirstDay } from './FirstDay';
import { USUAL_FOODS } from './usualFoods';

const PLACE = 'inventory.text';
const EXAMPLE = `90 l, 25°, planted, lights 14–22
24 harlequins 3 cm, 8 panda corys
flake, frozen bloodworm, algae wafers`;

/** One place to begin: what is there, in plain lines, becomes tanks, fish, a shelf and a first day. */
export function InventoryScreen({ tankId }: { tankId?: string }) {
  const loaded = useHouse();
  const catalogue = api.useCatalogueQuery();
  const [made, setMade] = useState<{ answer: InventoryMade; assumed: Assumed[] } | null>(null);
  const into = loaded.data?.tanks.find(({ id, archived }) => id === tankId && !archived) ?? null;
  const first = loaded.data?.tanks.every(({ archived }) => archived) ?? true;
  const title = made
    ? 'Your first day'
    : into
      ? `What is new in ${into.name}?`
      : first
        ? 'What is in your first tank?'
        : 'What is new?';
  return (
    <Screen title={title} back="/tanks">
      {!loaded.data || !catalogue.data ? (
        <Waiting of={[loaded, catalogue]} rows={4} height={64} />
      ) : made ? (
        <FirstDay {...made} data={loaded.data} onMore={() => setMade(null)} />
      ) : (
        <Entering
          data={loaded.data}
          generic={catalogue.data.foods}
          into={into?.id ?? null}
          onMade={(answer, assumed) => setMade({ answer, assumed })}
        />
      )}
    </Screen>
  );
}

interface EnteringProps {
  data: AppData;
  generic: CatalogueView['foods'];
  into: string | null;
  onMade: (answer: InventoryMade, assumed: Assumed[]) => void;
}

function Entering({ data, generic, into, onMade }: EnteringProps) {
  const toast = useToast();
  const router = useRouter();
  const format = useFormat();
  const now = useNow();
  const [add, { isLoading }] = api.useAddInventoryMutation();
  const [text, setText] = useState(() => recall<string>(PLACE) ?? '');
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [corrections, setCorrections] = useState<Corrections>(NO_CORRECTIONS);
  const [correcting, setCorrecting] = useState<Correcting | null>(null);
  const { species, tanks } = data;
  const names = useMemo(
    () => namesFrom({ species, tanks, foods: generic }),
    [species, tanks, generic],
  );
  const entries = useMemo(
    () => entriesOf(text, names, format.units, corrections, picked, into),
    [text, names, format.units, corrections, picked, into],
  );
  const question = questionIn(entries);
  const intent = formIntent('inventory', into);
  const { body, assumed } = makingOf(entries, {
    data,
    generic,
    today: now.day,
    id: intent.id,
    idOf: intent.also,
    formatSize: (litres) => format.quantity('volume', litres),
  });
  const nothing = body.tanks.length + body.groups.length + body.foods.length === 0;
  const write = (typed: string) => {
    setText(typed);
    remember(PLACE, typed);
  };
  const save = async () => {
    const done = await add({ body });
    if (done.error) {
      toast((done.error as { detail: string }).detail, { tone: 'error' });
      return;
    }
    remember(PLACE, '');
    onMade(done.data, assumed);
  };
  return (
    <>
      <Field
        label="Type, paste or dictate: tanks, fish and foods"
        value={text}
        onChange={write}
        placeholder={EXAMPLE}
        lines={5}
      />
      <ReadAs
        entries={entries}
        data={data}
        generic={generic}
        format={format}
        onCorrect={setCorrecting}
      />
      {question ? (
        <Asked question={question} data={data} onAnswer={setCorrecting} />
      ) : nothing ? null : (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            variant="primary"
            tall
            label={isLoading ? 'Working it out' : body.groups.length > 0 ? 'Show the first day' : 'Add it'} // prettier-ignore
            disabled={isLoading}
            onPress={save}
          />
        </View>
      )}
      <Cupboard
        generic={generic}
        picked={picked}
        onToggle={(key) =>
          setPicked(picked.includes(key) ? picked.filter((one) => one !== key) : [...picked, key])
        }
      />
      <Disclosure title="In long form" detail="every question, one field each">
        <View style={ROW}>
          <Button label="A tank" onPress={() => router.push('/tanks/new')} />
          {into === null ? null : (
            <Button label="A group" onPress={() => router.push(`/tanks/${into}/add-group`)} />
          )}
          <Button label="A food" onPress={() => router.push('/larder/new')} />
          <Button label="A table" onPress={() => router.push('/tables')} />
        </View>
      </Disclosure>
      {correcting ? (
        <CorrectSheet
          correcting={correcting}
          entries={entries}
          corrections={corrections}
          data={data}
          generic={generic}
          onChange={setCorrections}
          onClose={() => setCorrecting(null)}
        />
      ) : null}
    </>
  );
}

/** What was understood, as chips to correct; what was not stays in sight. */
function ReadAs({
  entries,
  data,
  generic,
  format,
  onCorrect,
}: {
  entries: Entries;
  data: AppData;
  generic: CatalogueView['foods'];
  format: Format;
  onCorrect: (correcting: Correcting) => void;
}) {
  const typed = entries.foods.filter(({ text }) => text !== '');
  if (entries.tanks.length + typed.length + entries.unread.length === 0) return null;
  return (
    <Card label="Understood as">
      <View style={{ padding: 12, gap: 10 }} aria-live="polite">
        {entries.tanks.map((tank, at) => (
          <View key={at} style={ROW}>
            <Chip
              {...tankWords(tank, data, format)}
              onPress={() => onCorrect({ is: 'tank', at })}
            />
            {tank.groups.map((group) => {
              const species = data.species.get(group.speciesKey);
              return (
                <Chip
                  key={group.text}
                  title={`${group.count ?? 'How many'} ${species?.common ?? ''}${group.count ? '' : '?'}`}
                  detail={[
                    group.lengthCm === null ? '' : format.quantity('length', group.lengthCm),
                    group.stage ?? '',
                    group.males + group.females > 0 ? `${group.males} m, ${group.females} f` : '',
                    group.exact ? '' : `from «${group.text}»`,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                  tone={group.count ? 'ink' : 'due'}
                  onPress={() => onCorrect({ is: 'group', text: group.text })}
                />
              );
            })}
          </View>
        ))}
        {typed.length > 0 ? (
          <View style={ROW}>
            {typed.map(({ text, foodKey, exact }) => {
              const food = generic.find(({ key }) => key === foodKey);
              return food ? (
                <Chip
                  key={text}
                  title={food.name}
                  detail={exact ? undefined : `from «${text}»`}
                  lead={<FoodSign family={food.family} size={22} />}
                  onPress={() => onCorrect({ is: 'food', text })}
                />
              ) : null;
            })}
          </View>
        ) : null}
        {entries.unread.map((piece) => (
          <Chip
            key={piece}
            tone="due"
            title={`«${piece}»`}
            detail="Not understood. Tap to say what it is."
            onPress={() => onCorrect({ is: 'unread', text: piece })}
          />
        ))}
      </View>
    </Card>
  );
}

const ROW = { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const;

/** «90 L tank», with «25 °C · many plants · lights 14:00 to 22:00» */
function tankWords(
  { id, name, facts }: Entries['tanks'][number],
  data: AppData,
  format: Format,
): { title: string; detail?: string; tone?: 'due' } {
  if (id !== null) return { title: data.tanks.find((tank) => tank.id === id)?.name ?? '' };
  const size =
    facts.litres !== undefined
      ? format.quantity('volume', facts.litres)
      : facts.heightCm === undefined
        ? null
        : [facts.lengthCm, facts.widthCm, facts.heightCm]
            .map((cm) => formatNumber(format.scale('length').fromBase(cm!), 1))
            .join(' × ') + ` ${format.scale('length').unit}`;
  const detail = [
    name === null ? null : size,
    facts.tempC === undefined ? null : format.quantity('temperature', facts.tempC),
    facts.unheated ? 'unheated' : null,
    facts.ph === undefined ? null : `pH ${formatNumber(facts.ph, 1)}`,
    facts.gh === undefined ? null : format.quantity('hardness', facts.gh),
    facts.plants === undefined ? null : `${facts.plants === 'none' ? 'no' : facts.plants} plants`,
    facts.ground === undefined ? null : facts.ground === 'bare' ? 'bare floor' : facts.ground,
    facts.filter === undefined ? null : `${facts.filter === 'none' ? 'no' : facts.filter} filter`,
    facts.lightOnMin === undefined
      ? null
      : `lights ${format.time(facts.lightOnMin)} to ${format.time(facts.lightOffMin!)}`,
  ]
    .filter(Boolean)
    .join(' · ');
  if (size === null) return { title: name ?? 'A tank', detail: 'How big is it?', tone: 'due' };
  return { title: name ?? `${size} tank`, detail };
}

/** The one thing that must be known before anything can be made. */
function Asked({
  question,
  data,
  onAnswer,
}: {
  question: NonNullable<Question>;
  data: AppData;
  onAnswer: (correcting: Correcting) => void;
}) {
  const [says, label, correcting]: [string, string, Correcting] =
    question.is === 'size'
      ? [
          'How big is the tank? Type «90 l» or «60 × 30 × 36 cm» before its fish.',
          'Say how big it is',
          { is: 'tank', at: question.tank },
        ]
      : [
          `How many ${data.species.get(question.speciesKey)?.common ?? 'fish'} are there?`,
          'Say how many',
          { is: 'group', text: question.text },
        ];
  return (
    <View style={{ gap: 8, alignItems: 'flex-start' }}>
      <Text tone="due">{says}</Text>
      <Button label={label} onPress={() => onAnswer(correcting)} />
    </View>
  );
}

function Cupboard({
  generic,
  picked,
  onToggle,
}: {
  generic: CatalogueView['foods'];
  picked: readonly string[];
  onToggle: (key: string) => void;
}) {
  const usual = USUAL_FOODS.flatMap((key) => generic.find((food) => food.key === key) ?? []);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Or tap what is in your cupboard</Text>
      <View style={ROW} role="group" aria-label="Usual foods">
        {usual.map((food) => (
          <Chip
            key={food.key}
            on={picked.includes(food.key)}
            title={food.name}
            lead={<FoodSign family={food.family} size={22} />}
            onPress={() => onToggle(food.key)}
          />
        ))}
      </View>
    </View>
  );
}
