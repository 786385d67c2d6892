import AtkinsonRegular from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2';
import AtkinsonSemiBold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-600-normal.woff2';
import BricolageSemiBold from '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-600-normal.woff2';
import BricolageBold from '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff2';
import { FONTS } from './tokens';

/** The two bundled families, by the names that styles use. */
export const FONT_FILES = {
  [FONTS.title]: BricolageBold,
  [FONTS.subtitle]: BricolageSemiBold,
  [FONTS.text]: AtkinsonRegular,
  [FONTS.strong]: AtkinsonSemiBold,
};
