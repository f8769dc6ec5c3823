/** Short forms for the story of one visit. */
import { toSi } from '../core/quantity/measure';
import type { Dimension } from '../core/quantity/units';
import type { StoryWriter } from './writer';

const AIR = 101_253;

/** What was typed with its SI value, as a form keeps it. */
export const read = (dimension: Dimension, value: number, unit: string) => ({
  typed: `${String(value)} ${unit}`,
  si: toSi(dimension, value, unit, AIR),
  unit,
});

export class VisitStory {
  constructor(
    private readonly story: StoryWriter,
    private readonly machine: string,
    private readonly visitId: string,
    private readonly by: string,
  ) {}

  log(kind: Parameters<StoryWriter['log']>[0], offset: number, rest: object): string {
    return this.story.log(kind, this.machine, offset, this.by, { visitId: this.visitId, ...rest });
  }

  note(kind: Parameters<StoryWriter['log']>[0], tool: string, offset: number, rest: object): string {
    return this.log(kind, offset, { tool, ...rest });
  }

  looked(offset: number, part: string, words: string, rest: object = {}): void {
    this.note('search', 'spot', offset, { part, words, mark: 'lookedAt', method: 'electronic', ...rest });
  }
}
