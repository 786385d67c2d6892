import type { LogName, TableName, TableReport } from '@open-larder/contract';

/** Logs that come out as CSV, and are not taken in so. */
export const LOG_WORDS: { value: LogName; label: string }[] = [
  { value: 'cultures', label: 'cultures' },
  { value: 'broods', label: 'broods' },
  { value: 'ratings', label: 'ratings of foods' },
  { value: 'trials', label: 'trials' },
  { value: 'decisions', label: 'decisions' },
];

export const TABLE_WORDS: { value: TableName; label: string; help: string; example: string }[] = [
  {
    value: 'house',
    label: 'A house',
    help: 'One line a group: tank, species, males, females or number, and if you like length, stage, since, kind and size of the tank, temperature, pH. Tanks that are new are made. Any order of columns, any unit; without a header: tank, species, number, length, stage.',
    example:
      'Tank, Size, Temperature, Species, Number\nKitchen, 60 x 30 x 36 cm, 24 °C, zebrafish, 10',
  },
  {
    value: 'tanks',
    label: 'Tanks',
    help: 'One line a tank, under the headers of the file that is saved below. Known tanks are changed, new ones made.',
    example: 'name,length_cm,width_cm,height_cm,temp_c',
  },
  {
    value: 'groups',
    label: 'Groups',
    help: 'Names and species of groups, as in the file saved below. Where they live and how many there are is in the events.',
    example: 'id,name,species',
  },
  {
    value: 'events',
    label: 'Events',
    help: 'What happened to groups that are here already. Events are added, never changed.',
    example: 'group,day,kind,number\nDanios,2026-03-01,died,1',
  },
  {
    value: 'foods',
    label: 'Foods',
    help: 'One line a food: name, kind, the make-up in per cent or g/kg, serving unit and what one weighs. Known foods are changed, new ones come to the shelf empty. Preparation is written «soak 120/1»: minutes ahead, minutes of work.',
    example:
      'name,kind,protein,fat,fibre,ash,moisture,plant,unit,units,unit_g\nPond stick,dry,32 %,5 %,4 %,9 %,8 %,60 %,stick,sticks,0.4',
  },
  {
    value: 'lots',
    label: 'Lots',
    help: 'What was bought, a line a lot: food, amount, price, where it is kept, bought, opened, best before. A known lot with another amount left is counted, never overwritten.',
    example:
      'food,amount,price,place,bought,best before\nFine flake,60 g,8.90,cupboard,2026-03-01,2027-02-01',
  },
  {
    value: 'weighings',
    label: 'Weighings',
    help: 'What serving units weighed, by hand. Weighings are added, never changed.',
    example: 'food,day,hand,counted,weighed_g\nFine flake,2026-03-01,Mine,20,1.1',
  },
  {
    value: 'recipes',
    label: 'Recipes',
    help: 'One line an ingredient; the first line of a recipe says what holds for all of it. What a new one makes comes to the shelf with it.',
    example:
      'recipe,ingredient,share_pct,binds\nPea gel,Peas,60,no\nPea gel,Gelatine,7,yes\nPea gel,water,33,no',
  },
  {
    value: 'water',
    label: 'Water',
    help: 'Tests and changes, a line each. The header names the unit, such as «Nitrate (NO3-N)»; a line with a share is a change.',
    example:
      'tank,day,Nitrate (NO3-N),pH,changed\nMillpond,2026-03-01,4.1,6.9,\nMillpond,2026-03-01,,,25 %',
  },
];

/** «3 new, 1 as it is, 2 to be corrected» */
export function formatReport({ counts }: TableReport): string {
  const parts = [
    [counts.new, 'new'],
    [counts.changed, 'changed'],
    [counts.same, 'as they are'],
    [counts.error, 'to be corrected'],
  ] as const;
  const said = parts.filter(([count]) => count > 0).map(([count, words]) => `${count} ${words}`);
  return said.join(', ') || 'No lines';
}
