import { pinsOf, type Improvements } from '@open-larder/core/week';
import { useState } from 'react';
import { View } from 'react-native';
import type { AppData } from '../store';
import { Button, Card, Disclosure, Sheet, Text } from '../ui';
import { startWeek, type WeekWorker } from '../workers/week';
import { startWeekAside } from '../workers/weekServer';
import { useWork } from '../workers/useWork';
import { PinsInput } from './PinsInput';
import { PlanWay } from './PlanWay';
import type { Board } from './useBoard';
import type { Names } from './useNames';
import { WhatHelps } from './WhatHelps';

interface Props {
  board: Board;
  data: AppData;
  names: Names;
  onClose: () => void;
}

/** Tanks past which a phone is spared the searching. */
const LARGE_HOUSE = 40;

/** Better the plan that is there: a few ways to choose from, each taken whole or in part. */
export function BalanceSheet({ board, data, names, onClose }: Props) {
  // The task as it was when the sheet was opened: taking part of a result changes the board.
  const [task] = useState(board.task);
  const [pins, setPins] = useState(board.draft.pins ?? null);
  const large = data.tanks.filter((tank) => !tank.archived).length > LARGE_HOUSE;
  const balancing = useWork<Improvements, WeekWorker, typeof task>(task, () =>
    large ? startWeekAside(board.rows.tank.id, board.draft) : startWeek(),
  );
  const start = () =>
    balancing.run((worker, of, onTried) => worker.improve(of, pinsOf(pins), onTried));
  const { running, result, fault } = balancing;
  return (
    <Sheet title="Balance the plan" open onClose={onClose}>
      <Text tone="quiet">
        Keeps your plan and changes as little of it as helps, so that every group gets its need from
        what really reaches it. You choose what to take.
      </Text>
      {running ? (
        <Card>
          <View style={{ padding: 12, gap: 8 }}>
            <Text role="status">
              {running.of === 0
                ? 'Looking at the plan as it is'
                : `Trying changes: ${Math.round((100 * running.done) / running.of)} %`}
            </Text>
            <View style={{ alignItems: 'flex-start' }}>
              <Button label="Cancel" onPress={balancing.forget} />
            </View>
          </View>
        </Card>
      ) : result ? null : (
        <>
          <Disclosure
            title="Keep as it is"
            detail={pins === null ? 'nothing is pinned' : 'what you pinned is left alone'}
          >
            <PinsInput
              pins={pins}
              board={board}
              data={data}
              onChange={(next) => {
                setPins(next);
                board.edit((draft) => ({ ...draft, pins: next }));
              }}
            />
          </Disclosure>
          <View style={{ alignItems: 'flex-start' }}>
            <Button variant="primary" label="Balance" onPress={start} />
          </View>
        </>
      )}
      {fault ? <Text tone="due">{fault}</Text> : null}
      {result?.found.length === 0 ? (
        <Text>No change found that is worth the trouble: the plan stays as it is.</Text>
      ) : null}
      {result?.found.map((found, index) => (
        <PlanWay
          key={found.ways.join(' ')}
          board={board}
          names={names}
          before={result.before}
          found={found}
          open={index === 0}
          onTaken={onClose}
        />
      ))}
      {result ? (
        <View style={{ alignItems: 'flex-start' }}>
          <Button label="Leave the plan as it is" onPress={onClose} />
        </View>
      ) : null}
      <WhatHelps board={board} names={names} />
    </Sheet>
  );
}
