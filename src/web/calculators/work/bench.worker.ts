/** The worker: one request, replies with the share done, then the result. Stopping it is ending it. */
import { judgeRise } from '../../../core/calculators/evacuation/judgeRise';
import { forecastFleet } from '../../../core/diagnosis/forecast';
import type { Request } from './tasks';

const progress = (share: number): void => self.postMessage({ share });

self.onmessage = ({ data }: MessageEvent<Request>) => {
  try {
    const result =
      data.task === 'rise'
        ? judgeRise(data.input, progress)
        : forecastFleet(data.input.machines, data.input.drawing, progress);
    self.postMessage({ result });
  } catch (error) {
    self.postMessage({ error: error instanceof Error ? error.message : String(error) });
  }
};
