import { readLabel } from './label';

/** Labels of our own making: how seven languages word an analysis, with ingredients before it. */
interface Wording {
  ingredients: string;
  analysis: string;
  protein: string[];
  fat: string[];
  fibre: string[];
  ash: string[];
  moisture: string[];
  per100: string;
  dry: string;
}
const LANGUAGES: Record<string, Wording> = {
  English: {
    ingredients:
      'Composition: fish meal 34 %, vegetable protein extracts 5 %, fish oil 2 %, algae 4 %.',
    analysis: 'Analytical constituents:',
    protein: ['crude protein', 'protein', 'proteins'],
    fat: ['crude oils and fats', 'fat content', 'crude fat'],
    fibre: ['crude fibre', 'crude fiber', 'fibres'],
    ash: ['crude ash', 'inorganic matter', 'ash'],
    moisture: ['moisture', 'water', 'moisture content'],
    per100: 'g per 100 g',
    dry: 'in dry matter',
  },
  German: {
    ingredients:
      'Zusammensetzung: Fischmehl 34 %, pflanzliche Proteinextrakte 5 %, Öle 2 %, Algen 4 %.',
    analysis: 'Analytische Bestandteile:',
    protein: ['Rohprotein', 'Eiweiß', 'Protein'],
    fat: ['Rohfett', 'Fettgehalt', 'Rohöle und -fette'],
    fibre: ['Rohfaser', 'Rohfasern', 'Rohfaser'],
    ash: ['Rohasche', 'Asche', 'Rohasche'],
    moisture: ['Feuchtigkeit', 'Feuchte', 'Wassergehalt'],
    per100: 'g je 100 g',
    dry: 'in der Trockenmasse',
  },
  French: {
    ingredients:
      'Composition : farine de poisson 34 %, extraits de protéines végétales 5 %, algues 4 %.',
    analysis: 'Constituants analytiques :',
    protein: ['protéines brutes', 'protéine brute', 'protéines'],
    fat: ['matières grasses brutes', 'matières grasses', 'lipides'],
    fibre: ['fibres brutes', 'cellulose brute', 'fibres'],
    ash: ['cendres brutes', 'matières inorganiques', 'cendres'],
    moisture: ['humidité', 'teneur en eau', 'humidité'],
    per100: 'g pour 100 g',
    dry: 'sur matière sèche',
  },
  Spanish: {
    ingredients:
      'Composición: harina de pescado 34 %, extractos de proteína vegetal 5 %, algas 4 %.',
    analysis: 'Componentes analíticos:',
    protein: ['proteína bruta', 'proteínas', 'proteína'],
    fat: ['grasa bruta', 'aceites y grasas brutas', 'materia grasa'],
    fibre: ['fibra bruta', 'fibras brutas', 'fibra'],
    ash: ['ceniza bruta', 'cenizas', 'materia inorgánica'],
    moisture: ['humedad', 'humedad', 'humedad'],
    per100: 'g por 100 g',
    dry: 'sobre materia seca',
  },
  Italian: {
    ingredients:
      'Composizione: farina di pesce 34 %, estratti di proteine vegetali 5 %, alghe 4 %.',
    analysis: 'Componenti analitici:',
    protein: ['proteina grezza', 'proteine grezze', 'proteine'],
    fat: ['grassi grezzi', 'oli e grassi grezzi', 'grassi'],
    fibre: ['fibra grezza', 'fibre grezze', 'fibra'],
    ash: ['ceneri grezze', 'ceneri', 'ceneri gregge'],
    moisture: ['umidità', 'umidità', 'umidità'],
    per100: 'g per 100 g',
    dry: 'sulla sostanza secca',
  },
  Dutch: {
    ingredients: 'Samenstelling: vismeel 34 %, plantaardige eiwitextracten 5 %, algen 4 %.',
    analysis: 'Analytische bestanddelen:',
    protein: ['ruw eiwit', 'eiwit', 'eiwitten'],
    fat: ['ruw vet', 'vetgehalte', 'ruwe oliën en vetten'],
    fibre: ['ruwe celstof', 'vezels', 'ruwe vezels'],
    ash: ['ruwe as', 'anorganische stof', 'ruwe as'],
    moisture: ['vocht', 'vochtgehalte', 'vocht'],
    per100: 'g per 100 g',
    dry: 'in de droge stof',
  },
  Polish: {
    ingredients: 'Skład: mączka rybna 34 %, ekstrakty białka roślinnego 5 %, algi 4 %.',
    analysis: 'Składniki analityczne:',
    protein: ['białko surowe', 'białko ogólne', 'białko'],
    fat: ['tłuszcz surowy', 'oleje i tłuszcze surowe', 'tłuszcz'],
    fibre: ['włókno surowe', 'włókno', 'włókno surowe'],
    ash: ['popiół surowy', 'popiół', 'popiół surowy'],
    moisture: ['wilgotność', 'wilgoć', 'wilgotność'],
    per100: 'g na 100 g',
    dry: 'w suchej masie',
  },
};
const SHARES = [
  [46, 8, 3, 10.5, 7],
  [38.5, 6.1, 8.2, 11, 8],
  [52, 12, 2, 9.5, 6],
] as const;
const NAMES = ['protein', 'fat', 'fibre', 'ash', 'moisture'] as const;
/** How figures are written behind their names. */
const FIGURES: Record<string, (share: number, words: Wording) => string> = {
  'per cent': (share) => `${share} %`,
  'with a comma': (share) => `${share.toFixed(1).replace('.', ',')}%`,
  'g/kg': (share) => `${Math.round(share * 10)} g/kg`,
  'per 100 g': (share, words) => `${share} ${words.per100}`,
};

const LABELS = Object.entries(LANGUAGES).flatMap(([language, words]) =>
  SHARES.flatMap((shares, at) =>
    Object.entries(FIGURES).map(([how, write]) => ({
      title: `${language}, ${how}, ${at + 1}`,
      shares,
      text: `${words.ingredients} ${words.analysis} ${NAMES.map(
        (name, part) => `${words[name][at]} ${write(shares[part]!, words)}`,
      ).join(', ')}.`,
    })),
  ),
);

describe('labels in seven languages', () => {
  it('are enough to show something', () => expect(LABELS.length).toBeGreaterThanOrEqual(80));

  it.each(LABELS)('$title is read at its analysis, not at its ingredients', ({ text, shares }) => {
    const { parts, fault } = readLabel(text, 'dry');
    expect(fault).toBeNull();
    expect(
      NAMES.map((name) => [parts[name].basis, Math.round(parts[name].share * 1000) / 10]),
    ).toEqual(shares.map((share) => ['read', share]));
  });

  it.each(Object.entries(LANGUAGES))('%s says that it is of the dry matter', (_, words) => {
    const text = `${words.analysis} ${words.protein[0]} 50 %, ${words.moisture[0]} 20 %, ${words.dry}`;
    expect(readLabel(text, 'dry').parts.protein.share).toBeCloseTo(0.4, 9);
  });

  it.each(Object.entries(LANGUAGES))(
    '%s without figures is a fault, not an estimate',
    (_, words) => {
      const text = `${words.analysis} ${words.fat[0]} 8 %, ${words.protein[0]}: see lid`;
      expect(readLabel(text, 'dry').fault).toEqual({ is: 'unread', nutrients: ['protein'] });
    },
  );
});
