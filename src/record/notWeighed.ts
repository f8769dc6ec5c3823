/** What a form holds of gas that nobody weighed: that it was not, and why. */
export interface NotWeighed {
  ticked: boolean;
  why: string;
}

export const notWeighedOf = (value: unknown): NotWeighed => ({
  ticked: false,
  why: '',
  ...(value as Partial<NotWeighed> | null),
});

export const isWeighed = (value: unknown): boolean => !notWeighedOf(value).ticked;
