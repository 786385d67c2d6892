import { useEffect } from 'react';
import { View } from 'react-native';
import { dismissed, said, useAppDispatch, useAppSelector } from '../store';
import { SIZES, themed } from '../theme';
import { Button } from './Button';
import { Text } from './Text';

/** Undo acts by name: the store keeps words, not functions. */
const undos = new Map<string, () => void | Promise<void>>();
let undoCount = 0;

/** Long enough to read and reach; the act itself can be undone on its screen for longer. */
const SHOWN_MS = 8000;

/** Say what happened, with a way back where there is one. */
export function useToast() {
  const dispatch = useAppDispatch();
  return (
    text: string,
    options: { undo?: () => void | Promise<void>; tone?: 'done' | 'error' } = {},
  ) => {
    let undo: string | undefined;
    if (options.undo) {
      undoCount += 1;
      undo = `undo-${undoCount}`;
      undos.clear();
      undos.set(undo, options.undo);
    }
    dispatch(said({ text, tone: options.tone ?? 'done', undo }));
  };
}

export function Toast() {
  const styles = useStyles();
  const dispatch = useAppDispatch();
  const toast = useAppSelector((state) => state.toast.shown);
  useEffect(() => {
    if (!toast) return undefined;
    const timer = setTimeout(() => dispatch(dismissed(toast.id)), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [toast, dispatch]);
  return (
    <View style={styles.place} aria-live="polite" role="status">
      {toast ? (
        <View style={[styles.toast, toast.tone === 'error' && styles.fieldError]}>
          <View style={styles.words}>
            <Text>{toast.text}</Text>
          </View>
          {toast.undo ? (
            <Button
              variant="bare"
              label="Undo"
              onPress={() => {
                void undos.get(toast.undo as string)?.();
                dispatch(dismissed(toast.id));
              }}
            />
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

const useStyles = themed((c) => ({
  place: {
    position: 'absolute',
    left: 12,
    right: 12,
    bottom: 12,
    alignItems: 'center',
    pointerEvents: 'box-none',
  },
  toast: {
    maxWidth: 520,
    width: '100%',
    minHeight: SIZES.touch,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingLeft: 14,
    paddingRight: 4,
    paddingVertical: 4,
    backgroundColor: c.paper,
    borderWidth: 2,
    borderColor: c.duckweed,
    borderRadius: SIZES.radius,
  },
  fieldError: { borderColor: c.roe },
  words: { flex: 1 },
}));
