/** All that crosses a wire or enters from a file, and the table of routes. */
export * from './basics';
export * from './catalogue';
export * from './diet';
export * from './feeding';
export * from './food';
export * from './group';
export * from './house';
export * from './household';
export * from './larder';
export * from './moment';
export * from './paths';
export * from './problem';
export * from './records';
export * from './round';
export * from './routes';
export * from './tank';
