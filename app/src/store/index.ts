export { api } from './api';
export { themeChosen } from './display';
export { useAppDispatch, useAppSelector } from './hooks';
export { forget, recall, remember } from './memory';
export { makeStore } from './store';
export { dismissed, said } from './toast';
export { useHouse, type HouseData } from './useHouse';
export { useNow } from './useNow';
export { useWords, type Words } from './useWords';
