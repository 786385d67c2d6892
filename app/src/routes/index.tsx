/** The first place is the Round itself: a redirect to it would be one drawing more before a serving is seen. */
export { default } from './round';
