import fc from 'fast-check';
import { FOOD_KINDS } from '@open-larder/catalogue';
import { ofDryMatter } from '.';
import { readLabel } from './label';

const percent = (text: string, kind: (typeof FOOD_KINDS)[number] = 'dry') =>
  Object.fromEntries(
    Object.entries(readLabel(text, kind).parts).map(([name, part]) => [
      name,
      part.basis === 'read' ? Number((part.share * 100).toFixed(3)) : null,
    ]),
  );

describe('a label', () => {
  it.each([
    [
      'Analytical constituents: Crude protein 46.0 %, crude oils and fats 8.0 %, crude fibre 3.0 %, crude ash 10.5 %, moisture 7.0 %.',
      { protein: 46, fat: 8, fibre: 3, ash: 10.5, moisture: 7 },
    ],
    [
      'GUARANTEED ANALYSIS\nCrude Protein (min) 44%\nCrude Fat (min) 9%\nCrude Fiber (max) 3%\nMoisture (max) 10%\nAsh (max) 12%',
      { protein: 44, fat: 9, fibre: 3, ash: 12, moisture: 10 },
    ],
    [
      'Protein 380 g/kg; fat content 61 g/kg; fibre 82 g/kg; inorganic matter 110 g/kg; water 80 g/kg. Vitamin A 25000 IU/kg, vitamin D3 1800 IU/kg',
      { protein: 38, fat: 6.1, fibre: 8.2, ash: 11, moisture: 8 },
    ],
    [
      '5,6 % protein, 0,9 % fat, 0,6 % fibre, 0,9 % ash, 90 % moisture',
      { protein: 5.6, fat: 0.9, fibre: 0.6, ash: 0.9, moisture: 90 },
    ],
    [
      'moisture: not more than 8 percent / ash: 9.5 percent / ether extract: not less than 6 percent / proteins: not less than 52 percent',
      { protein: 52, fat: 6, fibre: null, ash: 9.5, moisture: 8 },
    ],
    [
      'Raw protein 30 g per 100 g, raw fat 4 g per 100 g',
      { protein: 30, fat: 4, fibre: null, ash: null, moisture: null },
    ],
    [
      'Net weight 100 g. Crude protein (min) 44 %, crude fat (min) 9 %',
      { protein: 44, fat: 9, fibre: null, ash: null, moisture: null },
    ],
    [
      'Additives: vitamin D3 1800 IU/kg, vitamin B12 20 mg/kg. Crude protein 46 %, crude fat 8 %',
      { protein: 46, fat: 8, fibre: null, ash: null, moisture: null },
    ],
    [
      'Omega-3 rich! Batch 7. Protein 41 %, fat 12 %',
      { protein: 41, fat: 12, fibre: null, ash: null, moisture: null },
    ],
    ['Protein 46, fat 8', { protein: 46, fat: 8, fibre: null, ash: null, moisture: null }],
    ['Protein 46, fat 8, ash 10 %', { protein: 46, fat: 8, fibre: null, ash: 10, moisture: null }],
    [
      'protein 12 g, fat 2 g, fibre 1.5 g, ash 2 g, water 80 g',
      { protein: 12, fat: 2, fibre: 1.5, ash: 2, moisture: 80 },
    ],
    [
      'Feed 2 times a day. 46 % protein, 8 % fat. Pack of 250 g',
      { protein: 46, fat: 8, fibre: null, ash: null, moisture: null },
    ],
    [
      'protein 46%, protein 12%',
      { protein: 46, fat: null, fibre: null, ash: null, moisture: null },
    ],
  ])('%#', (text, expected) => {
    expect(percent(text)).toEqual(expected);
    expect(readLabel(text, 'dry').fault).toBeNull();
  });

  it('on dry matter is turned into as fed with its own moisture', () => {
    const { parts } = readLabel('Protein 56 %, fat 9 % of dry matter; moisture 90 %', 'frozen');
    expect(parts.protein.share).toBeCloseTo(0.056, 9);
    expect(parts.fat.share).toBeCloseTo(0.009, 9);
    expect(parts.moisture.share).toBe(0.9);
  });

  it('what it leaves out is estimated by kind and water, and marked', () => {
    const { parts } = readLabel('crude protein 6 %, moisture 88 %', 'frozen');
    expect(parts.protein).toMatchObject({ share: 0.06, basis: 'read' });
    expect(parts.ash).toMatchObject({ basis: 'estimated', words: null });
    // Usual ash of frozen food is 1 % beside 90 % water, so 1.2 % beside 88 %.
    expect(parts.ash.share).toBeCloseTo(0.012, 9);
  });

  it('keeps what it understood, and asks for the rest', () => {
    const label = readLabel('protein 46 %, omega three 2 %, fat 8 %', 'dry');
    expect(label.parts.protein.share).toBe(0.46);
    expect(label.parts.fat.share).toBe(0.08);
    expect(label.left).toEqual(['omega three 2 %']);
  });

  it('that cannot be read, or cannot be true, says so', () => {
    expect(readLabel('a lovely food for lovely fish', 'dry').fault).toEqual({ is: 'noAnalysis' });
    expect(readLabel('protein 80 %, fat 40 %', 'dry').fault).toMatchObject({ is: 'overWhole' });
  });

  it('in any order gives the same, as per cent and as g/kg', () => {
    const names = ['crude protein', 'crude fat', 'crude fibre', 'ash', 'moisture'];
    const values = fc.tuple(...names.map(() => fc.integer({ min: 1, max: 19 })));
    fc.assert(
      fc.property(
        values,
        fc.shuffledSubarray([0, 1, 2, 3, 4], { minLength: 5 }),
        (shares, order) => {
          const write = (unit: string, times: number) =>
            order.map((at) => `${names[at]} ${(shares[at] as number) * times} ${unit}`).join(', ');
          const one = readLabel(write('%', 1), 'dry').parts;
          const other = readLabel(write('g/kg', 10), 'dry').parts;
          ['protein', 'fat', 'fibre', 'ash', 'moisture'].forEach((nutrient, at) => {
            expect(one[nutrient as 'ash'].share).toBeCloseTo((shares[at] as number) / 100, 9);
            expect(other[nutrient as 'ash'].share).toBeCloseTo((shares[at] as number) / 100, 9);
          });
        },
      ),
    );
  });

  it('takes any garbage, and gives shares', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.constantFrom(...FOOD_KINDS), (text, kind) => {
        for (const { share } of Object.values(readLabel(text, kind).parts)) {
          expect(Number.isFinite(share)).toBe(true);
        }
      }),
    );
  });
});

describe('dry matter', () => {
  it('compares a worm with a flake honestly', () => {
    const worm = ofDryMatter({ protein: 0.06, fat: 0.01, fibre: 0.006, ash: 0.009, moisture: 0.9 });
    expect(worm.protein).toBeCloseTo(0.6, 9);
    expect(ofDryMatter({ protein: 0, fat: 0, fibre: 0, ash: 0, moisture: 1 }).protein).toBe(0);
  });
});
