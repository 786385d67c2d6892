import AtkinsonRegular from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf';
import AtkinsonSemiBold from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf';
import BricolageSemiBold from '@expo-google-fonts/bricolage-grotesque/600SemiBold/BricolageGrotesque_600SemiBold.ttf';
import BricolageBold from '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf';
import { FONTS } from './tokens';

/** The two bundled families, by the names that styles use. */
export const FONT_FILES = {
  [FONTS.title]: BricolageBold,
  [FONTS.subtitle]: BricolageSemiBold,
  [FONTS.text]: AtkinsonRegular,
  [FONTS.strong]: AtkinsonSemiBold,
};
