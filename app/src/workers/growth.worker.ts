import { growthWork, type Asked, type Told } from './growthWork';

self.onmessage = ({ data }: MessageEvent<Asked>) => {
  const tell = (told: Told) => self.postMessage(told);
  try {
    const result = growthWork.fit(data.batches, data.days, (done, of) => tell({ done, of }));
    tell({ result });
  } catch (error) {
    tell({ fault: (error as Error).message });
  }
};
