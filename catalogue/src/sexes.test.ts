import { loadCatalogue, parseSexes, readSchema } from './load';
import { sexesFor } from './sexes';

const { species, sexes } = loadCatalogue();
const of = (key: string) =>
  sexesFor(
    species.find((one) => one.key === key)!,
    sexes,
  );

describe('what tells the sexes apart', () => {
  it('is a species’ own before its genus’, and that before its family’s', () => {
    expect(of('danio-margaritatus')).toMatchObject({ level: 'own' });
    expect(of('danio-rerio')).toMatchObject({ level: 'genus', taxon: 'Danio' });
    expect(of('devario-malabaricus')).toMatchObject({ level: 'family', taxon: 'Danionidae' });
    expect(of('protopterus-annectens')).toBeNull();
  });

  it('is known of four fifths of the kinds that are bred', () => {
    const bred = species.filter(({ breeding }) => breeding !== 'not bred at home');
    const known = bred.filter((one) => sexesFor(one, sexes) !== null);
    expect(known.length / bred.length).toBeGreaterThan(0.8);
  });

  it('names nothing that is not in the catalogue', () => {
    const taxa = new Set(
      species.flatMap(({ scientific, family }) => [scientific, scientific.split(' ')[0], family]),
    );
    expect(sexes.filter(({ taxon }) => !taxa.has(taxon))).toEqual([]);
  });

  it('is refused without words, and twice', () => {
    const head = 'taxon,level,shows,source\n';
    const read = (rows: string) => () => parseSexes(head + rows, readSchema('sexes'));
    expect(read('Danio,genus,,Practice of breeders')).toThrow(/line 2/);
    const row = 'Danio,genus,She is rounder than he is,Practice of breeders';
    expect(read(`${row}\n${row}`)).toThrow(/stands twice/);
  });
});
