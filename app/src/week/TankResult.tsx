import { formatGrams, formatNumber, formatMgL } from '@open-larder/say';
import { addDays } from '@open-larder/core/round';
import type { DryTankResult } from '@open-larder/core/week';
import { View } from 'react-native';
import { type AppData, type Format } from '../store';
import { Card, ListRow, Text } from '../ui';
import { Chart } from '../records/Chart';
import { nameOf } from './labels';

export function TankResult({
  tank,
  beside,
  first,
  data,
  format,
}: {
  tank: DryTankResult;
  /** The same tank with the other of two plans. */
  beside: DryTankResult | undefined;
  first: string;
  data: AppData;
  format: Format;
}) {
  const days = tank.nitrateMgL.length;
  const weekly = Array.from({ length: days }, (_, d) =>
    d % 14 === 0 ? format.day(addDays(first, d)).split(' ').slice(1).join(' ') : '',
  );
  const strictest = tank.over?.toleratesMgL;
  return (
    <View style={{ gap: 16 }}>
      <Text variant="subtitle">{nameOf(data.tanks, tank.tankId)}</Text>
      <Card>
        {tank.groups.map((group, index) => {
          const start = group.lengthCm[0];
          const end = group.lengthCm.at(-1);
          const mass = [group.massG[0], group.massG.at(-1)] as const;
          const mean = meanOf(group);
          const otherwise = beside?.groups.find((one) => one.groupId === group.groupId);
          return start && end && mass[0] && mass[1] ? (
            <ListRow
              key={group.groupId}
              first={index === 0}
              title={nameOf(data.groups, group.groupId)}
              detail={`${format.quantity('length', start.middle)} → ${format.quantity('length', end.middle)} (${format.quantity('length', end.low)} to ${format.quantity('length', end.high)}), ${formatGrams(mass[0].middle)} → ${formatGrams(mass[1].middle)}${group.hungryDays > 0 ? ` · ${group.hungryDays} days with less than half` : ''}`}
              trail={
                <View style={{ alignItems: 'flex-end' }}>
                  <Text variant="strong" tone={Math.abs(mean - 100) > 10 ? 'due' : 'ink'}>
                    {`${Math.round(mean)} %`}
                  </Text>
                  {otherwise ? (
                    <Text variant="small" tone="quiet">
                      {`else ${Math.round(meanOf(otherwise))} %`}
                    </Text>
                  ) : null}
                </View>
              }
            />
          ) : null;
        })}
      </Card>
      <Text>
        {tank.over
          ? `Nitrate passes ${tank.over.toleratesMgL} mg/L on ${format.day(tank.over.day)}: more than ${nameOf(data.groups, tank.over.groupId)} tolerate for long. Change more water, or feed less.`
          : `Nitrate stays at or under ${formatMgL(tank.peakMgL)} mg/L, which all groups here tolerate.`}
      </Text>
      <Chart
        view="lines"
        title="Nitrate"
        detail={`mg/L at the end of each day, with your changes of water${strictest ? `; dashed: ${strictest} mg/L` : ''}${beside ? '; thin: the other plan' : ''}.`}
        labels={weekly}
        lines={[
          { values: tank.nitrateMgL.map((day) => day.after), variant: 'main' },
          ...(strictest
            ? [{ values: tank.nitrateMgL.map(() => strictest), variant: 'dashed' as const }]
            : []),
          ...(beside
            ? [{ values: beside.nitrateMgL.map((day) => day.after), variant: 'faint' as const }]
            : []),
        ]}
      />
      {tank.groups
        .filter((group) => grew(group))
        .map((group) => (
          <Chart
            key={group.groupId}
            view="lines"
            title={`${nameOf(data.groups, group.groupId)}: length`}
            detail="cm by week; the thin lines are between which nine of ten are expected."
            labels={group.lengthCm.map((_, week) => String(week))}
            fromZero={false}
            lines={[
              { values: group.lengthCm.map((one) => one.middle), variant: 'main' },
              { values: group.lengthCm.map((one) => one.low), variant: 'faint' },
              { values: group.lengthCm.map((one) => one.high), variant: 'faint' },
            ]}
          />
        ))}
      <Text variant="subtitle">Food</Text>
      <Card>
        {tank.foods
          .filter(({ massG }) => massG > 0)
          .sort((a, b) => b.massG - a.massG)
          .map(({ foodId, massG }, index) => (
            <ListRow
              key={foodId}
              first={index === 0}
              title={nameOf(data.foods, foodId)}
              trail={<Text variant="strong">{formatGrams(massG)}</Text>}
            />
          ))}
        <ListRow
          title={`${format.money(tank.costMinor)} in all`}
          detail={`${Math.round(tank.servedG > 0 ? (100 * tank.wasteG) / tank.servedG : 0)} % of it is not eaten · ${formatNumber(tank.workMin / 60, 1)} h of work`}
        />
      </Card>
    </View>
  );
}

/** What a group gets of its need, in the mean over its days. */
const meanOf = ({ ofNeed }: DryTankResult['groups'][number]) =>
  ofNeed.reduce((sum, share) => sum + share, 0) / Math.max(1, ofNeed.length);

/** A length that moves by a twentieth is worth a chart. */
const grew = ({ lengthCm }: DryTankResult['groups'][number]) => {
  const start = lengthCm[0]?.middle ?? 0;
  const end = lengthCm.at(-1)?.middle ?? 0;
  return start > 0 && Math.abs(end / start - 1) > 0.05;
};
