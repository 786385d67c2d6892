import { useDispatch, useSelector } from 'react-redux';
import type { RootState, Store } from './store';

export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
