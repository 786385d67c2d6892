import type { Help } from '@open-larder/core/week';
import { formatGrams } from '@open-larder/say';
import { View } from 'react-native';
import { useFormat, type Format } from '../store';
import { Button, Text, lowerFirst } from '../ui';
import { useWork } from '../workers/useWork';
import { startWeek, type WeekWorker } from '../workers/week';
import type { Board } from './useBoard';
import type { Names } from './useNames';

/** What limits the plan, and the cheapest change to the house that would help. */
export function WhatHelps({ board, names }: { board: Board; names: Names }) {
  const format = useFormat();
  const { task } = board;
  const helping = useWork<Help[], WeekWorker, typeof task>(task, startWeek);
  const { running, result, fault } = helping;
  return (
    <View style={{ gap: 8 }}>
      {running ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
          <Text role="status">
            {running.of === 0 ? 'Starting' : `${running.done} of ${running.of} tried`}
          </Text>
          <Button label="Cancel" onPress={helping.forget} />
        </View>
      ) : (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            label="What would help most?"
            onPress={() => helping.run((worker, of, onTried) => worker.help(of, onTried))}
          />
        </View>
      )}
      {fault ? <Text tone="due">{fault}</Text> : null}
      {result?.length === 0 ? (
        <Text>Nothing that was tried would: food, minutes and moments are not what limits it.</Text>
      ) : null}
      {result?.map((help, index) => (
        <Text key={index}>{`${index + 1}. ${formatHelp(help, names, format)}`}</Text>
      ))}
    </View>
  );
}

function formatHelp(help: Help, names: Names, format: Format): string {
  switch (help.kind) {
    case 'stock':
      return `${formatGrams(help.massG)} more ${lowerFirst(names.food(help.foodId))} a cycle${
        help.costMinor === null ? '' : `, about ${format.money(help.costMinor)}`
      }.`;
    case 'moment': {
      const { anchor, minutes } = help.moment;
      return anchor === 'clock'
        ? `A feed at ${format.time(minutes)}.`
        : `A feed ${minutes} minutes after ${anchor === 'lightsOff' ? 'lights-out' : 'lights-on'}.`;
    }
    case 'meals':
      return 'Many small meals in place of two: choose so under «How it is fed».';
    case 'fast':
      return `${names.group(help.groupId)} fast on ${names.weekdays(help.weekdays)} too: their tank-mates fast then, and would find what they are given.`;
    case 'minutes':
      return `${help.minutes} minutes more at «${names.moment(help.momentId)}».`;
  }
}
