import type { FoodKind } from '@open-larder/catalogue';
import type { Composition } from './energy';

export type Nutrient = keyof Composition;

/** One part of a composition as a label gave it, or as it is estimated where the label is silent. */
export interface LabelPart {
  /** Share of mass as fed, 0..1. */
  share: number;
  basis: 'read' | 'estimated';
  /** The words of the label that it was read from, in dry matter where that is so; null if estimated. */
  words: string | null;
  dry?: true;
}

/** What cannot be true of a label, or is missing from it. */
export type LabelError =
  { is: 'unread'; nutrients: Nutrient[] } | { is: 'noAnalysis' } | { is: 'overWhole'; sum: number };

export interface Label {
  parts: Record<Nutrient, LabelPart>;
  /** What carried a number and was not understood, in the label's own words. */
  left: string[];
  /** Null where all fits. */
  fault: LabelError | null;
}

/** Names in English, German, French, Spanish, Italian, Dutch and Polish. */
const WORDS: Record<Nutrient, RegExp> = {
  protein:
    /(?:(?:crude|raw|total)\s+)?proteins?(?:\s+content)?|rohproteine?|rohprotein-?gehalt|(?:roh)?eiwei(?:ß|ss)|proteingehalt|prot[ée]ines?(?:\s+(?:brutes?|totales?))?|prote[ií]nas?(?:\s+(?:brutas?|grezze|grezza|greggia|totales?))?|proteine(?:\s+(?:grezze|gregge|totali))?|(?:ruw\s+)?eiwit(?:ten)?|białk[oa](?:\s+(?:surowe|ogólne|ogółem|całkowite))?/,
  fat: /(?:(?:crude|raw|total)\s+)?(?:oils?\s*(?:and|&|\/)\s*fats?|fats?\s*(?:and|&|\/)\s*oils?|fats?\s+content|fats?|oils?|lipids?|ether\s+extract)|rohfett(?:gehalt)?|fettgehalt|fett|rohöle\s+und\s+-?fette|mati[èe]res?\s+grasses?(?:\s+brutes?)?|lipides|(?:aceites?\s+y\s+)?grasas?(?:\s+(?:brutas?|totales?))?|materias?\s+grasas?(?:\s+brutas?)?|(?:oli\s+e\s+)?grassi(?:\s+grezzi|\s+greggi)?|grasso\s+grezzo|(?:ruwe\s+oliën\s+en\s+)?(?:ruw\s+)?vet(?:ten|gehalte)?|(?:oleje\s+i\s+)?tłuszcze?(?:\s+surow[ey]|\s+surowe)?/,
  fibre:
    /(?:(?:crude|raw|total|dietary)\s+)?(?:fib(?:re|er)s?|cellulose)(?:\s+brutes?)?|rohfaser(?:n|gehalt)?|ballaststoffe|fibras?(?:\s+(?:brutas?|grezza|grezze|greggia))?|fibre\s+grezze|cellulosa\s+grezza|ruwe\s+celstof|(?:ruwe\s+)?vezels?|włókn[oa](?:\s+surowe)?/,
  ash: /(?:(?:crude|raw|total)\s+)?(?:ash(?:es)?|inorganic\s+matter|incinerated\s+residue)|rohasche(?:gehalt)?|asche|anorganische\s+stoffe?|cendres?(?:\s+brutes?)?|mati[èe]res?\s+(?:inorganiques?|min[ée]rales?)|cenizas?(?:\s+(?:brutas?|totales?))?|materias?\s+inorg[áa]nicas?|ceneri(?:\s+(?:grezze|gregge))?|ruwe\s+as|anorganische\s+stof|popi[óo]ł(?:\s+surowy)?|materia\s+nieorganiczna/,
  moisture:
    /(?:moisture|humidity|water)(?:\s+content)?|feuchte|feuchtigkeit(?:sgehalt)?|wasser(?:gehalt)?|humidit[ée]|teneur\s+en\s+eau|humedad|umidit[àa]|vocht(?:gehalte)?|wilgotność|wilgoć|wilgoci|woda/,
};
const NUTRIENTS = Object.keys(WORDS) as Nutrient[];
/** Of what an ingredient is made is no analysis: «vegetable protein extracts 5 %», «fish oil 2 %». */
const MADE_OF =
  /(?!\s*-?\s*(?:extra[ck]|estratt|ekstrakt|concentrat|konzentrat|isolat|hydrolys|hidroliz|meal\b|mehl|farine|harina|farina))/;
const OF_AN_INGREDIENT =
  /(?<!(?:fish|krill|salmon|cod|liver|soya?|linseed|vegetable|pea|wheat|insect|plant|fisch|pflanzliche[srn]?|poisson|vegetal(?:es)?|vegetali|visolie|rybny)\s+)/;
const NAME = new RegExp(
  `${OF_AN_INGREDIENT.source}(?<![\\p{L}-])(?:${NUTRIENTS.map((nutrient) => `(?<${nutrient}>${WORDS[nutrient].source})`).join('|')})(?!\\p{L})${MADE_OF.source}`,
  'gu',
);
// The digits of «vitamin D3», «B12» and «omega 3» are part of a name.
const QUANTITY =
  /(?<![a-z]|[a-z\d]-|omega[\s-]*|\d|\d[.,])(\d+(?:[.,]\d+)?)\s*(%|per\s*cent|percent|prozent|g\s*(?:\/|per|je|pro)\s*kg|g\s*(?:\/|per|je|pro|pour|por|na)\s*100\s*g|mg\s*(?:\/|per|je|pro)\s*kg|(?:i\.?u\.?|iu|i\.?e\.?|ui|j\.?m\.?)\s*(?:\/|per|je|pro)\s*kg|µg\s*(?:\/|per)\s*kg|kj|kcal|g\b)?/g;

/** Where the analysis begins, and where what is no analysis begins again. */
const ANALYSIS =
  /analytical\s+(?:constituents|components)|guaranteed\s+analysis|typical\s+analysis|nutrition(?:al)?\s+(?:information|values?)|analytische\s+bestandteile|inhaltsstoffe|analysewerte|constituants\s+analytiques|composants\s+analytiques|analyse\s+garantie|(?:constituyentes|componentes)\s+anal[íi]ticos|an[áa]lisis\s+garantizado|(?:componenti|costituenti)\s+analitici|tenori\s+analitici|analytische\s+bestanddelen|gemiddelde\s+analyse|składniki\s+analityczne|analysis\s*:/;
const NO_ANALYSIS =
  /(?<!\p{L})(?:ingredients|composition|additives|zusammensetzung|zutaten|zusatzstoffe|ingr[ée]dients|additifs|composición|ingredientes|aditivos|composizione|ingredienti|additivi|samenstelling|ingrediënten|toevoegingsmiddelen|skład|składniki|dodatki)\s*(?::|\/)/u;
const DRY_MATTER =
  /(?:in|on|of|per)?\s*(?:the\s*)?dry\s*(?:matter|weight|basis)|trocken(?:masse|substanz)|mati[èe]re\s+s[èe]che|materia\s+seca|sostanza\s+secca|droge\s+stof|such(?:a|ej)\s+mas(?:a|y|ie)/;

/** What a label leaves out, by kind of food: usual analyses, rounded. Assumptions. */
const USUAL: Record<FoodKind, Composition> = {
  dry: { protein: 0.44, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.08 },
  gel: { protein: 0.12, fat: 0.02, fibre: 0.012, ash: 0.02, moisture: 0.76 },
  frozen: { protein: 0.055, fat: 0.01, fibre: 0.006, ash: 0.01, moisture: 0.9 },
  fresh: { protein: 0.02, fat: 0.003, fibre: 0.015, ash: 0.008, moisture: 0.93 },
  mix: { protein: 0.15, fat: 0.03, fibre: 0.015, ash: 0.02, moisture: 0.72 },
  live: { protein: 0.08, fat: 0.02, fibre: 0.005, ash: 0.012, moisture: 0.86 },
};

interface Token {
  at: number;
  end: number;
  text: string;
  nutrient?: Nutrient;
  /** Share of mass; null for a number in a unit that is no share. */
  share?: number | null;
  /** A number alone or in grams: a share in a table per hundred, and a pack's weight elsewhere. */
  loose?: boolean;
}

/**
 * Read the analysis of a label, in any usual wording and order, per cent or g/kg.
 * @param kind of food, for what the label leaves out
 * @returns shares as fed; a label on dry matter is turned into as fed with its own moisture
 */
export function readLabel(text: string, kind: FoodKind): Label {
  const plain = analysisOf(text.toLowerCase().replace(/\s+/g, ' '));
  const tokens = [...names(plain), ...quantities(plain)].sort((a, b) => a.at - b.at);
  const { read, left } = paired(tokens, plain);
  const dry = DRY_MATTER.test(plain);
  const unread = NUTRIENTS.filter(
    (nutrient) => !read.has(nutrient) && tokens.some((token) => token.nutrient === nutrient),
  );
  const moisture = read.get('moisture') ?? estimate('moisture', kind);
  const asFed = (part: LabelPart): LabelPart => ({
    ...part,
    share: part.share * (1 - moisture.share),
    dry: true,
  });
  const parts = Object.fromEntries(
    NUTRIENTS.map((nutrient) => {
      const part = read.get(nutrient);
      if (nutrient === 'moisture') return [nutrient, moisture];
      return [nutrient, part ? (dry ? asFed(part) : part) : estimate(nutrient, kind, moisture)];
    }),
  ) as Record<Nutrient, LabelPart>;
  return { parts, left, fault: faultOf(parts, read.size, unread) };
}

/** The part of a label that is its analysis: after its heading, up to the next list of ingredients. */
function analysisOf(text: string): string {
  const heading = ANALYSIS.exec(text);
  const from = heading ? heading.index + heading[0].length : 0;
  const rest = text.slice(from);
  const ends = heading ? NO_ANALYSIS.exec(rest) : null;
  return ends ? rest.slice(0, ends.index) : rest;
}

function names(text: string): Token[] {
  return [...text.matchAll(NAME)].map((match) => ({
    at: match.index,
    end: match.index + match[0].length,
    text: match[0].trim(),
    nutrient: NUTRIENTS.find((nutrient) => match.groups?.[nutrient] !== undefined) as Nutrient,
  }));
}

function quantities(text: string): Token[] {
  return [...text.matchAll(QUANTITY)].map((match) => ({
    at: match.index,
    end: match.index + match[0].length,
    text: match[0].trim(),
    share: shareOf(Number((match[1] as string).replace(',', '.')), match[2]),
    loose: match[2] === undefined || match[2] === 'g',
  }));
}

function shareOf(number: number, unit: string | undefined): number | null {
  const named = (unit ?? '%')
    .replace(/\s+/g, '')
    .replace(/per(?!cent)|je|pro(?!zent)|pour|por|na/, '/');
  if (
    named === '%' ||
    named === '/cent' ||
    named === 'percent' ||
    named === 'prozent' ||
    named === 'g/100g'
  )
    return number / 100;
  if (named === 'g/kg') return number / 1000;
  // A bare «g» stands for grams in a hundred, as in tables of nutrients.
  return named === 'g' ? number / 100 : null;
}

/**
 * Give each name its number: the one behind it, or the one before it where the label begins with a
 * number («46 % protein, 8 % fat»).
 */
function paired(tokens: readonly Token[], text: string) {
  const stated = tokens.some((token) => token.share != null && !token.loose);
  const usable = tokens.filter(
    (token, index) =>
      token.nutrient !== undefined ||
      (token.share !== null &&
        !(stated && token.loose && tokens[index - 1]?.nutrient === undefined)),
  );
  const numberFirst = usable[0]?.nutrient === undefined && usable[1]?.nutrient !== undefined;
  const read = new Map<Nutrient, LabelPart>();
  const used = new Set<Token>();
  usable.forEach((token, index) => {
    if (token.nutrient === undefined || read.has(token.nutrient)) return;
    const number = usable[numberFirst ? index - 1 : index + 1];
    if (number?.share == null || used.has(number)) return;
    used.add(number);
    const [from, to] = numberFirst ? [number, token] : [token, number];
    read.set(token.nutrient, {
      share: number.share,
      basis: 'read',
      words: text.slice(from.at, to.end).trim(),
    });
  });
  const left = tokens
    .filter((token) => token.nutrient === undefined && !used.has(token) && token.share !== null)
    .map((token) => context(token, text));
  return { read, left };
}

/** A number with the words around it, back and forth to the next comma. */
function context({ at, end }: Token, text: string): string {
  const from =
    Math.max(text.lastIndexOf(',', at), text.lastIndexOf(';', at), text.lastIndexOf(':', at)) + 1;
  const next = /[,;]/.exec(text.slice(end));
  return text.slice(Math.max(from, at - 40), next ? end + next.index : end + 30).trim();
}

/** The usual part of what is left beside the water, so that a wet food is not given a dry one's ash. */
function estimate(nutrient: Nutrient, kind: FoodKind, moisture?: LabelPart): LabelPart {
  const usual = USUAL[kind];
  const share = moisture
    ? (usual[nutrient] * (1 - moisture.share)) / (1 - usual.moisture)
    : usual[nutrient];
  return { share, basis: 'estimated', words: null };
}

function faultOf(
  parts: Record<Nutrient, LabelPart>,
  known: number,
  unread: readonly Nutrient[],
): LabelError | null {
  if (known > 0 && unread.length > 0) return { is: 'unread', nutrients: [...unread] };
  if (known === 0) return { is: 'noAnalysis' };
  const sum = NUTRIENTS.reduce((total, nutrient) => total + parts[nutrient].share, 0);
  return sum <= 1.0001 ? null : { is: 'overWhole', sum };
}
