import { screen } from '@testing-library/react-native';
import { answers, consumption } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { FoodTable, GroupTable } from './tables';

beforeEach(() => void standIn(answers()));

describe('records', () => {
  it('set offered against needed, with what was refused', () => {
    show(<GroupTable data={consumption} />);
    expect(screen.getByText('Zebrafish')).toBeTruthy();
    expect(screen.getByText('Millpond · refused 1.5 kJ')).toBeTruthy();
    expect(screen.getByText('60 %')).toBeTruthy();
  });

  it('call a group that needed nothing by its name, not by a share', () => {
    const [group] = consumption.groups;
    const idle = { ...group!, neededKj: 0, offeredKj: 0, refusedKj: 0 };
    show(
      <GroupTable
        data={{ ...consumption, groups: [idle, { ...idle, groupId: 'x', offeredKj: 1 }] }}
      />,
    );
    expect(screen.getByText('not fed')).toBeTruthy();
    expect(screen.getByText('not needed')).toBeTruthy();
  });

  it('give grams, serving units and cost of each food, and a total', () => {
    const [flake] = consumption.foods;
    const free = { ...flake!, foodId: 'f2', name: 'Live Moina', costMinor: null };
    show(<FoodTable data={{ ...consumption, foods: [flake!, free] }} />);
    expect(screen.getAllByText('30 pinches')).toHaveLength(2);
    expect(screen.getByText('–')).toBeTruthy();
    expect(screen.getAllByText('€0.09')).toHaveLength(2);
  });
});
