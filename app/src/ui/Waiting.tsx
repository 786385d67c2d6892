import type { Problem } from '@open-larder/contract';
import { Fault, Skeleton } from './states';

/** Something that is read: a query, or what is made of several. */
interface Reading {
  data?: unknown;
  problem?: Problem;
  error?: unknown;
  retry?: () => void;
  refetch?: () => unknown;
}

/**
 * In place of what is not there yet: its shape while it is read, and what went wrong with a way to try
 * again. What was read before stays in sight: this is shown only where there is nothing.
 */
export function Waiting({
  of,
  ...shape
}: {
  of: Reading | readonly Reading[];
  rows?: number;
  height?: number;
}) {
  const missing = [of].flat().filter(({ data }: Reading) => data === undefined) as Reading[];
  const faulty = missing.find(({ problem, error }) => problem ?? error);
  if (!faulty) return <Skeleton {...shape} />;
  const again = () => {
    for (const { retry, refetch } of missing) {
      if (retry) retry();
      else void refetch?.();
    }
  };
  return <Fault problem={faulty.problem ?? (faulty.error as Problem)} onRetry={again} />;
}
