import type { Tank } from '@open-larder/contract';
import { furnishingOf } from '@open-larder/core/tank';
import { useFormat } from '../store';
import { ListRow, Text } from '../ui';
import { FURNISHING } from './guesses';

/** What is in and on a tank; what is not said is a guess, and says so. */
export function TankFacts({ tank }: { tank: Tank }) {
  const format = useFormat();
  const furnishing = furnishingOf(tank);
  const said = FURNISHING.filter(({ field }) => !furnishing.guessed.includes(field));
  const guessed = FURNISHING.filter(({ field }) => furnishing.guessed.includes(field));
  const inWords = (facts: typeof FURNISHING) =>
    facts
      .map(({ field, says }) =>
        field === 'ground' && furnishing.ground !== 'bare'
          ? `${says(furnishing)}, ${format.quantity('length', furnishing.groundDepthCm)} deep`
          : says(furnishing),
      )
      .join('; ');
  return (
    <>
      <ListRow
        title="Kind and shape"
        trail={
          <Text variant="strong">
            {tank.kind}
            {tank.litres === null && tank.shape !== 'box' ? `, ${tank.shape}` : ''}
          </Text>
        }
      />
      {said.length > 0 ? <ListRow title="In it" detail={inWords(said)} /> : null}
      {guessed.length > 0 ? <ListRow title="Guessed" detail={inWords(guessed)} /> : null}
    </>
  );
}
