import { growthWork, type Asked, type Told } from './growthWork';

self.onmessage = ({ data }: MessageEvent<Asked>) => {
  const report = (report: Told) => self.postMessage(report);
  try {
    const result = growthWork.fit(data.batches, data.days, (done, of) => report({ done, of }));
    report({ result });
  } catch (error) {
    report({ fault: (error as Error).message });
  }
};
