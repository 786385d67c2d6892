/**
 * The router under a component test: nothing moves, and what was asked of it is remembered. A test
 * file puts it in place with
 * `jest.mock('expo-router', () => jest.requireActual('../testing/router'))`.
 */
export const push = jest.fn();
export const replace = jest.fn();

const router = { push, replace, back: jest.fn(), canGoBack: () => false };

export const useRouter = () => router;
export const usePathname = () => '/';
export const Link = ({ children }: { children: unknown }) => children;

beforeEach(() => {
  push.mockClear();
  replace.mockClear();
});
