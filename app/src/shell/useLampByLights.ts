import { useEffect } from 'react';
import { api, themeFollowed, useAppDispatch, useAppSelector, useNow } from '../store';
import { mostAreDark } from './dark';

/** Where it was chosen so, the lamp theme follows the lights of the tanks. */
export function useLampByLights(): void {
  const follows = useAppSelector((state) => state.display.lampBy === 'lights');
  const dispatch = useAppDispatch();
  const { data: tanks } = api.useTanksQuery(undefined, { skip: !follows });
  const { minutes } = useNow();
  useEffect(() => {
    if (follows && tanks) dispatch(themeFollowed(mostAreDark(tanks, minutes) ? 'lamp' : 'lit'));
  }, [follows, tanks, minutes, dispatch]);
}
