/** Times two things in turn, A B A B …, and gives medians and their ratio: the machine's drift hits both alike. */
const WARM_UP = 15;
const RUNS = 31;

export interface Comparison {
  subject: string;
  baseline: string;
  subjectMs: number;
  baselineMs: number;
  ratio: number;
  rate: string;
}

type Work = () => void | Promise<void>;

export const median = (values: number[]): number =>
  values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

async function once(work: Work): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

export async function compare(
  subject: string,
  baseline: string,
  options: { subject: Work; baseline: Work; perRun: number; unit: string; runs?: number; warmUp?: number },
): Promise<Comparison> {
  for (let run = 0; run < (options.warmUp ?? WARM_UP); run += 1) {
    await options.subject();
    await options.baseline();
  }
  const subjectTimes: number[] = [];
  const baselineTimes: number[] = [];
  const ratios: number[] = [];
  for (let run = 0; run < (options.runs ?? RUNS); run += 1) {
    const a = await once(options.subject);
    const b = await once(options.baseline);
    subjectTimes.push(a);
    baselineTimes.push(b);
    ratios.push(a / b);
  }
  const subjectMs = median(subjectTimes);
  return {
    subject,
    baseline,
    subjectMs,
    baselineMs: median(baselineTimes),
    ratio: median(ratios),
    rate: `${Math.round((options.perRun / subjectMs) * 1000).toLocaleString('en')} ${options.unit}`,
  };
}
