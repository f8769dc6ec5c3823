/** Letting another program in, telling another program, and the secret that is shown once. */
import { useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { Copy } from 'lucide-react';
import { SCOPES, type Scope } from '../../contract/scopes';
import { choices } from '../../words/choice';
import { SCOPE_MEANS, SCOPE_WORDS } from '../../words/programs';
import { tell } from '../data/api/api';
import { copyText } from '../data/device/copyText';
import { ApiError } from '../forms/ApiError';
import { SiteChoice } from '../forms/SiteChoice';
import { Button } from '../parts/Button';
import { ChoiceField } from '../parts/ChoiceField';
import { Dialog } from '../parts/Dialog';
import { TextField } from '../parts/Field';

/** What is said once: a token, or the secret that signs. */
export interface Once {
  title: string;
  about: string;
  secret: string;
}
interface Made {
  onMade: (once: Once) => void;
  onClose: () => void;
}

const LASTS = [
  { value: '30', words: 'a month' },
  { value: '365', words: 'a year' },
  { value: '1095', words: 'three years' },
] as const;

export function NewToken({ onMade, onClose }: Made) {
  const [name, setName] = useState('');
  const [scope, setScope] = useState<Scope | ''>('');
  const [siteId, setSiteId] = useState('');
  const [days, setDays] = useState('365');
  const make = useMutation({
    mutationFn: () => {
      if (scope === '') throw new Error('Choose what it may.');
      return tell('makeToken', { name: name.trim(), scope, siteId: siteId || null, days: Number(days) });
    },
    onSuccess: ({ token, personId }) =>
      onMade({
        title: `Token of ${name}`,
        about: `Whoever has it calls as ${name}. Give it to that program alone, as “Authorization: Bearer …”. What it writes names ${personId} as its writer.`,
        secret: token,
      }),
  });
  return (
    <Dialog
      title="Make a token"
      onClose={onClose}
      footer={
        <>
          <ApiError error={make.error} />
          <Button
            weight="main"
            disabled={name.trim() === '' || scope === '' || make.isPending}
            onClick={() => make.mutate()}
          >
            Make it
          </Button>
        </>
      }
    >
      <TextField
        label="Name of the program"
        value={name}
        hint="It stands on what the program writes."
        onChange={(event) => setName(event.target.value)}
      />
      <ChoiceField
        label="It may"
        value={scope}
        hint={scope === '' ? 'Choose one.' : SCOPE_MEANS[scope]}
        choices={choices(SCOPES, SCOPE_WORDS)}
        onChange={(value) => setScope(value as Scope)}
      />
      <SiteChoice labelled label="At" none="all sites" value={siteId} onChange={setSiteId} />
      <ChoiceField label="Good for" value={days} choices={LASTS} onChange={setDays} />
    </Dialog>
  );
}

export function NewWebhook({ onMade, onClose }: Made) {
  const [name, setName] = useState('');
  const [url, setUrl] = useState('');
  const make = useMutation({
    mutationFn: () => tell('makeWebhook', { name: name.trim(), url: url.trim() }),
    onSuccess: ({ secret }) =>
      onMade({
        title: `Secret of ${name}`,
        about:
          'Each message is signed with it: the header X-Abacus-Signature holds t=SECONDS,v1=HEX, the HMAC-SHA-256 of “SECONDS.BODY”. The program refuses what is signed otherwise, or is older than some minutes.',
        secret,
      }),
  });
  return (
    <Dialog
      title="Tell another program"
      subtitle="What falls due within 14 days, and dates that passed"
      onClose={onClose}
      footer={
        <>
          <ApiError error={make.error} />
          <Button
            weight="main"
            disabled={name.trim() === '' || url.trim() === '' || make.isPending}
            onClick={() => make.mutate()}
          >
            Tell it
          </Button>
        </>
      }
    >
      <TextField label="Name of the program" value={name} onChange={(event) => setName(event.target.value)} />
      <TextField
        label="Address"
        type="url"
        inputMode="url"
        placeholder="https://shop.example/due"
        value={url}
        hint="It is sent there by POST, as JSON; an answer of 200 to 299 says that it was taken. Else it is sent again, up to five times in nine hours."
        onChange={(event) => setUrl(event.target.value)}
      />
    </Dialog>
  );
}

export const SaidOnce = ({
  once: { title, about, secret },
  onClose,
}: {
  once: Once;
  onClose: () => void;
}) => (
  <Dialog title={title} onClose={onClose}>
    <p className="mb-3 break-words">{about}</p>
    <p className="mb-3 break-all border-l-4 border-green pl-3 font-mono">{secret}</p>
    <p className="mb-3 font-semibold">It is not shown again.</p>
    <Button weight="main" onClick={() => copyText(secret, 'It', 'It is copied.')}>
      <Copy aria-hidden="true" size={18} /> Copy it
    </Button>
  </Dialog>
);
