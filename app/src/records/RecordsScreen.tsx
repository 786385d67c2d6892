import { addDays } from '@open-larder/core/round';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useState } from 'react';
import { View } from 'react-native';
import { ScreenTools } from '../shell';
import { api, useNow, useFormat, latest } from '../store';
import { useColours } from '../theme';
import { Empty, IconButton, Screen, Tabs, Text, Waiting } from '../ui';
import { Chart, type RecordsView } from './Chart';
import { FoodTable, GroupTable } from './tables';
import { AccountView } from './AccountView';
import { DecidedView } from './DecidedView';
import { HowRightView } from './HowRightView';
import { ServedView } from './ServedView';
import { TrialsView } from '../trial/TrialsView';

export type RecordsTab = RecordsView | 'served' | 'account' | 'trials' | 'decided' | 'right';

/** What was offered against what was needed, what came of it, trials, and what was decided. */
export function RecordsScreen({ first = 'groups' }: { first?: RecordsTab }) {
  const now = useNow();
  const format = useFormat();
  const colours = useColours();
  const [weeksBack, setWeeksBack] = useState(0);
  const [tab, setTab] = useState<RecordsTab>(first);
  const view = tab === 'foods' ? tab : 'groups';
  const ofWeek = tab === 'groups' || tab === 'foods';
  /** Trials and decisions have days of their own. */
  const ofDays = tab !== 'trials' && tab !== 'decided' && tab !== 'right';
  const to = addDays(now.day, -7 * weeksBack);
  const from = addDays(to, -6);
  const { data, error, refetch } = latest(api.useConsumptionQuery({ from, to }));
  const fed = data && data.foods.length > 0;
  return (
    <Screen
      title="Records"
      detail={
        !ofDays
          ? undefined
          : ofWeek
            ? `${format.day(from)} to ${format.day(to)}`
            : `up to ${format.day(to)}`
      }
      tools={<ScreenTools />}
      actions={
        ofDays ? (
          <>
            <IconButton label="A week earlier" onPress={() => setWeeksBack(weeksBack + 1)}>
              <ChevronLeft size={24} color={colours.ink} />
            </IconButton>
            {weeksBack > 0 ? (
              <IconButton label="A week later" onPress={() => setWeeksBack(weeksBack - 1)}>
                <ChevronRight size={24} color={colours.ink} />
              </IconButton>
            ) : null}
          </>
        ) : null
      }
      aside={
        data && fed && ofWeek ? (
          <>
            <Text variant="subtitle">{view === 'groups' ? 'By food' : 'By group'}</Text>
            {view === 'groups' ? <FoodTable data={data} /> : <GroupTable data={data} />}
          </>
        ) : null
      }
    >
      <Tabs
        label="What to look at"
        value={tab}
        onChange={setTab}
        tabs={[
          { value: 'groups', label: 'By group' },
          { value: 'foods', label: 'By food' },
          { value: 'served', label: 'What was served' },
          { value: 'account', label: 'What came of it' },
          { value: 'trials', label: 'Trials' },
          { value: 'decided', label: 'Decided' },
          { value: 'right', label: 'How right' },
        ]}
      />
      {tab === 'served' ? (
        <ServedView to={to} />
      ) : tab === 'account' ? (
        <AccountView to={to} />
      ) : tab === 'trials' ? (
        <TrialsView />
      ) : tab === 'decided' ? (
        <DecidedView />
      ) : tab === 'right' ? (
        <HowRightView />
      ) : !data ? (
        <Waiting of={{ error, refetch }} rows={2} height={220} />
      ) : !fed ? (
        <Empty
          title="Nothing was logged in these days"
          text="What you tap on the Round appears here: offered against needed, by group and by food."
        />
      ) : (
        <View style={{ gap: 16 }}>
          <Chart view={view} data={data} />
          {view === 'groups' ? <GroupTable data={data} /> : <FoodTable data={data} />}
        </View>
      )}
    </Screen>
  );
}
