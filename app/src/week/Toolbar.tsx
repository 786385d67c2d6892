import Redo from 'lucide-react-native/icons/redo-2';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { View } from 'react-native';
import { useColours, useWide } from '../theme';
import { Button, IconButton, Text } from '../ui';
import { type Board } from './useBoard';
import type { Place } from './BoardCell';

/** The sheet that is open over the week, or the cell. */
export type Open =
  'balance' | 'choices' | 'fasts' | 'periods' | 'rules' | 'start' | 'copy' | Place | null;

export function Toolbar({
  board,
  onOpen,
  onPrint,
  children,
}: {
  board: Board;
  onOpen: (open: Open) => void;
  onPrint: () => void;
  children: React.ReactNode;
}) {
  const colours = useColours();
  const wide = useWide();
  const [more, setMore] = useState(false);
  const { undo, redo, dirty } = board;
  // On one line when wide: the board begins sooner.
  const quiet = wide ? 'bare' : 'plain';
  const dim = (on: unknown) => (on ? colours.ink : colours.rule);
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
      <Button
        least="keeper"
        variant={dirty ? 'primary' : 'plain'}
        label={dirty ? 'Save the plan' : 'Saved'}
        disabled={!dirty}
        busy={board.saving}
        onPress={() => board.save()}
      />
      <IconButton least="keeper" label="Undo" onPress={() => undo?.()}>
        <Undo size={22} color={dim(undo)} />
      </IconButton>
      <IconButton least="keeper" label="Redo" onPress={() => redo?.()}>
        <Redo size={22} color={dim(redo)} />
      </IconButton>
      {dirty ? (
        <Button least="keeper" variant="bare" label="Drop the changes" onPress={board.discard} />
      ) : null}
      <Button least="keeper" label="Balance" onPress={() => onOpen('balance')} />
      {children}
      {wide || more ? (
        <>
          <Button
            least="keeper"
            variant={quiet}
            label="How it is fed"
            onPress={() => onOpen('choices')}
          />
          <Button least="keeper" variant={quiet} label="Fasts" onPress={() => onOpen('fasts')} />
          <Button
            least="keeper"
            variant={quiet}
            label="What they take"
            onPress={() => onOpen('rules')}
          />
        </>
      ) : null}
      {more ? (
        <>
          <Button
            least="keeper"
            variant={quiet}
            label="Seasons"
            onPress={() => onOpen('periods')}
          />
          <Button
            least="keeper"
            variant={quiet}
            label="Copy a day"
            onPress={() => onOpen('copy')}
          />
          <Button
            least="keeper"
            variant={quiet}
            label="Begin with"
            onPress={() => onOpen('start')}
          />
          <Button variant={quiet} label="Print" onPress={onPrint} />
        </>
      ) : (
        <Button variant={quiet} label="More" onPress={() => setMore(true)} />
      )}
    </View>
  );
}

/** Someone saved in between: both ways on, and nothing lost. */
export function StaleBoard({ board }: { board: Board }) {
  if (!board.stale) return null;
  return (
    <View role="alert" style={{ gap: 8 }}>
      <Text variant="strong">{board.stale.title}</Text>
      <Text>{board.stale.detail}</Text>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        <Button least="keeper" label="Keep mine" onPress={() => board.keepMine()} />
        <Button least="keeper" label="Take theirs" onPress={board.takeTheirs} />
      </View>
    </View>
  );
}
