import { api, displayChosen, useAppDispatch, useHand } from '../store';
import { Choice } from '../ui';

/** Whose hand feeds from this device, once anyone has weighed in a serving unit. */
export function HandChoice() {
  const { data: foods } = api.useFoodsQuery();
  const hand = useHand();
  const dispatch = useAppDispatch();
  const { data: me } = api.useMeQuery();
  const weighed = (foods ?? []).flatMap((food) => food.weighings.map((one) => one.hand));
  const hands = [...new Set(hand === null ? weighed : [...weighed, hand])].sort();
  // Whoever is signed in feeds with their own.
  if (hands.length === 0 || me?.person) return null;
  return (
    <Choice
      label="Whose hand feeds, on this device"
      hint="Portions are counted in the pinches that this hand weighed in."
      value={hand ?? ''}
      onChange={(name) => dispatch(displayChosen({ hand: name === '' ? null : name }))}
      options={[
        { value: '', label: 'Anybody’s' },
        ...hands.map((name) => ({ value: name, label: name })),
      ]}
    />
  );
}
