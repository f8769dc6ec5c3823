/** Who is signed in on this device, how it looks, and what stands beside the places. */
import { useState } from 'react';
import { Link } from 'react-router';
import { Choices } from '../parts/Choices';
import { Dialog } from '../parts/Dialog';
import { LOOKS, LOOK_WORDS, type Look, applyLook, storedLook } from './look';
import { mayOpen } from './places';
import { OwnAccount } from './OwnAccount';
import { useMay } from '../data/api/session';

export function Settings({ onClose }: { onClose: () => void }) {
  const may = useMay();
  const [look, setLook] = useState<Look>(storedLook);
  return (
    <Dialog title="Your account" onClose={onClose}>
      <OwnAccount onClose={onClose} />
      <h2 className="mb-2 mt-6">Look</h2>
      <Choices
        label="Look"
        value={look}
        onChange={(value) => {
          const next = LOOKS.find((each) => each === value) ?? 'paper';
          applyLook(next);
          setLook(next);
        }}
        choices={LOOKS.map((value) => ({ value, words: LOOK_WORDS[value] }))}
      />
      <h2 className="mb-2 mt-6">More</h2>
      <ul>
        {[
          { to: '/company', words: 'Company: people, certificates, owners, instruments, seals' },
          { to: '/papers', words: 'Papers: documents, spreadsheets in and out, calendars, labels' },
          ...(may('verify')
            ? []
            : [{ to: '/papers/export', words: 'Take out: spreadsheets and the logbook' }]),
          { to: '/rules', words: 'Rules: rule sets, methods, own figures' },
          { to: '/changes', words: 'Who changed what' },
        ]
          .filter(({ to }) => mayOpen(to, may))
          .map(({ to, words }) => (
            <li key={to} className="rule-b">
              <Link
                to={to}
                className="flex min-h-12 items-center font-semibold text-green underline underline-offset-4"
                onClick={onClose}
              >
                {words}
              </Link>
            </li>
          ))}
      </ul>
    </Dialog>
  );
}
