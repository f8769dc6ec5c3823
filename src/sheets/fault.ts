/** What is wrong in a list, or what has to be said first: where, why, and how it is put right. */

/** What an answer settles: a word wherever it stands, a whole column or list, or rows that say the same. */
export type Settles = 'value' | 'dates' | 'decimal' | 'unit' | 'doubles';

/** A question that one answer settles for all its rows. */
export interface Question {
  settles: Settles;
  /** heading under which the answer is kept */
  heading: string;
  /** what stands there */
  value: string;
  choices: readonly { value: string; words: string }[];
}

export interface Fault {
  /** only where a file has several */
  sheet?: string;
  row: number;
  column: string;
  message: string;
  remedy: string;
  /** so many rows hang on the one answer */
  rows?: number;
  asked?: Question;
}

/** One fault for each different value or column that is asked about, with the number of its rows; all others as they are. */
export function gathered(faults: readonly Fault[]): Fault[] {
  const byQuestion = new Map<string, Fault>();
  const all: Fault[] = [];
  for (const fault of faults) {
    if (!fault.asked) {
      all.push(fault);
      continue;
    }
    const { settles, heading, value } = fault.asked;
    const about = settles !== 'value' ? '' : value === '' ? fault.remedy : fault.message;
    const key = [fault.sheet ?? '', settles, heading, settles === 'value' ? value : '', about].join('\u0000');
    const first = byQuestion.get(key);
    if (first) first.rows = (first.rows ?? 1) + 1;
    else {
      const own = { ...fault, rows: 1 };
      byQuestion.set(key, own);
      all.push(own);
    }
  }
  return all;
}
