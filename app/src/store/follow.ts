import type { Line, ResponseOf, RouteName, ProgressOf } from '@open-larder/contract';
import { LINES } from '@open-larder/contract/paths';
import { answerOf, ask, unreachable, type Answer, type CallParts } from './call';

/**
 * Call a route that shows how far it is. Never throws, as `call`.
 * @param signal ends the work in the server too
 */
export async function follow<N extends RouteName>(
  name: N,
  parts: CallParts<N>,
  onProgress: (news: ProgressOf<N>) => void,
  signal: AbortSignal,
): Promise<Answer<ResponseOf<N>>> {
  try {
    const response = await ask(name, parts, signal);
    const hasProgress = response.headers.get('Content-Type')?.startsWith(LINES);
    if (!hasProgress || !response.body) return await answerOf<N>(response);
    const reader = response.body.getReader();
    const decoder = new TextDecoder();
    let unread = '';
    for (;;) {
      const { done, value } = await reader.read();
      unread += decoder.decode(value, { stream: !done });
      const whole = unread.split('\n');
      unread = whole.pop()!;
      for (const text of whole) {
        const line = JSON.parse(text) as Line<N>;
        if ('answer' in line) return { data: line.answer };
        if ('problem' in line) return { error: line.problem };
        onProgress(line.progress);
      }
      if (done) return { error: unreachable };
    }
  } catch {
    return { error: unreachable };
  }
}
