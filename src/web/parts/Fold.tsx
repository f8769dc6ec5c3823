/** What is not always wanted: one line that says what it is, and the rest behind it. Mounted when it is first opened. */
import { type ReactNode, useState } from 'react';

export function Fold({
  title,
  about,
  open = false,
  children,
}: {
  title: string;
  about?: string;
  open?: boolean;
  children: ReactNode;
}) {
  const [used, setUsed] = useState(open);
  return (
    <details className="rule-b" open={open} onToggle={() => setUsed(true)}>
      <summary className="min-h-12 cursor-pointer truncate py-3 sm:whitespace-normal">
        <span className="font-semibold text-green underline underline-offset-4">{title}</span>
        {about && <span className="text-soft"> · {about}</span>}
      </summary>
      <div className="pb-4 pt-1">{used && children}</div>
    </details>
  );
}

/** Folds that stand side by side on a phone until one is opened. */
export const FoldPair = ({ children }: { children: ReactNode }) => (
  <div className="grid grid-cols-2 gap-x-4 lg:grid-cols-1 [&>[open]]:col-span-full">{children}</div>
);
