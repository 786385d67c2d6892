import { configure } from '@testing-library/react-native';

/**
 * How long a query waits for what must come. Nothing sleeps for it: a query ends when its element is
 * there. The first screen of a file compiles the app's modules while it is awaited, which takes
 * seconds on a busy machine.
 */
const PATIENCE_MS = 30_000;

configure({ asyncUtilTimeout: PATIENCE_MS });
jest.setTimeout(3 * PATIENCE_MS);
