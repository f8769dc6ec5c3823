/** When somebody is told by mail what falls due: how often, at which hour, and when not. */
import { useState } from 'react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { NoticeSettings } from '../../contract/notices';
import { DIGESTS } from '../../core/rules/noticeTimes';
import { choices } from '../../words/choice';
import { ask, tell } from '../data/api/api';
import { HERE } from '../data/device/here';
import { say } from '../data/device/messages';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { ChoiceField } from '../parts/ChoiceField';
import { SelectField } from '../parts/Field';
import { Loaded } from '../parts/Page';

const KEY = ['notices'];
const DIGEST_WORDS = { daily: 'every day', weekly: 'on Mondays', never: 'never' } as const;
const HOURS = Array.from({ length: 24 }, (_, hour) => ({
  value: String(hour),
  words: `${String(hour).padStart(2, '0')}:00`,
}));

export function OwnNotices() {
  const notices = useQuery({ queryKey: KEY, queryFn: ({ signal }) => ask('notices', {}, signal) });
  return <Loaded query={notices}>{(known) => <Times known={known} />}</Loaded>;
}

function Times({ known }: { known: NoticeSettings & { email: string; kept: boolean } }) {
  const client = useQueryClient();
  const [{ digest, hour, quietFrom, quietTo, timezone }, setTimes] = useState<NoticeSettings>(known);
  const set = (part: Partial<NoticeSettings>) => setTimes((before) => ({ ...before, ...part }));
  const save = useMutation({
    mutationFn: () => tell('setNotices', { digest, hour, quietFrom, quietTo, timezone }),
    onSuccess: (now) => {
      client.setQueryData(KEY, now);
      say('Mail comes as you set it.');
    },
  });
  const attempt = useMutation({
    mutationFn: () => tell('tryNotice', undefined),
    onSuccess: () =>
      say(known.kept ? 'Written. A manager reads it under Company.' : `On its way to ${known.email}.`),
  });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <p className="mb-3 text-soft">
        What is late, what falls due within 14 days, and certificates that end; to {known.email}. On a day
        without any of it there is no mail.
        {known.kept &&
          ' No mail server is set, so nothing leaves this server: a manager reads it under Company.'}
      </p>
      <ChoiceField
        label="Tell me"
        value={digest}
        choices={choices(DIGESTS, DIGEST_WORDS)}
        onChange={(value) => set({ digest: value as NoticeSettings['digest'] })}
      />
      {digest !== 'never' && (
        <>
          <div className="grid grid-cols-3 gap-x-3">
            <Hour label="From" value={hour} onChange={(value) => set({ hour: value })} />
            <Hour label="Quiet from" value={quietFrom} onChange={(value) => set({ quietFrom: value })} />
            <Hour label="until" value={quietTo} onChange={(value) => set({ quietTo: value })} />
          </div>
          <p className="mb-3 text-soft">
            By the clock of {timezone.replaceAll('_', ' ')}.
            {timezone !== HERE && (
              <Button weight="quiet" className="px-0" onClick={() => set({ timezone: HERE })}>
                By that of this device
              </Button>
            )}
          </p>
        </>
      )}
      <ApiError error={save.error ?? attempt.error} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={save.isPending}>
          Keep it so
        </Button>
        <Button weight="quiet" disabled={attempt.isPending} onClick={() => attempt.mutate()}>
          Write me one now
        </Button>
      </div>
    </form>
  );
}

const Hour = ({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (hour: number) => void;
}) => (
  <SelectField
    label={label}
    value={String(value)}
    choices={HOURS}
    onChange={(event) => onChange(Number(event.target.value))}
  />
);
