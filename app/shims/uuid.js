// Of all kinds of ids the app makes one: the package's others stay out of the first load.
export { default as v7 } from 'uuid-v7-alone';
