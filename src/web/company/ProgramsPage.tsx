/** Other programs: tokens by which they call, and addresses where they are told what falls due. */
import { useState } from 'react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { TokenRow, WebhookRow } from '../../contract/scopes';
import { dayOf } from '../../core/quantity/day';
import { dateWords, instantWords } from '../../words/dates';
import { SCOPE_WORDS } from '../../words/programs';
import { ask, tell } from '../data/api/api';
import { useSitesById, useToday } from '../data/api/queries';
import { HERE } from '../data/device/here';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { Loaded, Page, Section } from '../parts/Page';
import { type Once, NewToken, NewWebhook, SaidOnce } from './ProgramDialogs';

const KEY = ['programs'];

export default function ProgramsPage() {
  const client = useQueryClient();
  const programs = useQuery({ queryKey: KEY, queryFn: ({ signal }) => ask('programs', {}, signal) });
  const [opened, setOpened] = useState<'token' | 'webhook' | null>(null);
  const [once, setOnce] = useState<Once | null>(null);
  const changed = () => void client.invalidateQueries({ queryKey: KEY });
  const withdraw = useMutation({
    mutationFn: ({ id, what }: { id: string; what: 'withdrawToken' | 'withdrawWebhook' }) =>
      tell(what, undefined, { parts: { id } }),
    onSettled: changed,
  });
  const made = (said: Once) => {
    setOpened(null);
    setOnce(said);
    changed();
  };
  return (
    <Page
      title="Other programs"
      subtitle="What may call this app beside its people, and who is told what falls due. The operations are described under /api/docs."
    >
      <ApiError error={withdraw.error} />
      <Loaded query={programs}>
        {({ tokens, webhooks }) => (
          <div className="grid gap-x-10 lg:grid-cols-2">
            <Section title="Tokens">
              {tokens.length === 0 && (
                <p className="mb-3 text-soft">
                  None yet. A store’s monitoring writes alarms by one, an accountant’s program reads gas.
                </p>
              )}
              <ul>
                {tokens.map((row) => (
                  <Token
                    key={row.id}
                    row={row}
                    onWithdraw={() => withdraw.mutate({ id: row.id, what: 'withdrawToken' })}
                  />
                ))}
              </ul>
              <Button className="mt-3" onClick={() => setOpened('token')}>
                Make a token
              </Button>
            </Section>
            <Section title="Told what falls due">
              {webhooks.length === 0 && (
                <p className="mb-3 text-soft">
                  None yet. Each duty is told once, signed, when it comes near, and once when its date passed.
                </p>
              )}
              <ul>
                {webhooks.map((row) => (
                  <Address
                    key={row.id}
                    row={row}
                    onWithdraw={() => withdraw.mutate({ id: row.id, what: 'withdrawWebhook' })}
                  />
                ))}
              </ul>
              <Button className="mt-3" onClick={() => setOpened('webhook')}>
                Tell another program
              </Button>
            </Section>
          </div>
        )}
      </Loaded>
      {opened === 'token' && <NewToken onMade={made} onClose={() => setOpened(null)} />}
      {opened === 'webhook' && <NewWebhook onMade={made} onClose={() => setOpened(null)} />}
      {once && <SaidOnce once={once} onClose={() => setOnce(null)} />}
    </Page>
  );
}

function Token({ row, onWithdraw }: { row: TokenRow; onWithdraw: () => void }) {
  const site = useSitesById(row.siteId === null ? [] : [row.siteId]).data?.rows[0];
  const today = useToday(HERE);
  const isOver = today !== null && dayOf(row.expiresAt.slice(0, 10)) < today;
  const ended = row.withdrawnAt ?? (isOver ? row.expiresAt : null);
  return (
    <li className="rule-b flex flex-wrap items-center gap-x-3 py-2">
      <div className="min-w-0 flex-1">
        <p className="font-semibold">{row.name}</p>
        <p className="text-soft">
          May {SCOPE_WORDS[row.scope]}
          {row.siteId !== null && `, at ${site?.name ?? 'one site'} alone`}
        </p>
        <p className="text-soft">
          {ended === null
            ? `good until ${dateWords(row.expiresAt.slice(0, 10))}, ${row.lastUsed === null ? 'never used' : `used ${instantWords(row.lastUsed)}`}`
            : `${row.withdrawnAt === null ? 'ended' : 'withdrawn'} ${dateWords(ended.slice(0, 10))}`}
        </p>
      </div>
      {ended === null && (
        <Button weight="quiet" aria-label={`Withdraw the token of ${row.name}`} onClick={onWithdraw}>
          Withdraw
        </Button>
      )}
    </li>
  );
}

function Address({ row, onWithdraw }: { row: WebhookRow; onWithdraw: () => void }) {
  return (
    <li className="rule-b py-2">
      <div className="flex flex-wrap items-center gap-x-3">
        <div className="min-w-0 flex-1">
          <p className="font-semibold">{row.name}</p>
          <p className="break-all text-soft">{row.url}</p>
          {row.withdrawnAt !== null && (
            <p className="text-soft">withdrawn {dateWords(row.withdrawnAt.slice(0, 10))}</p>
          )}
        </div>
        {row.withdrawnAt === null && (
          <Button weight="quiet" aria-label={`Tell ${row.name} no more`} onClick={onWithdraw}>
            Withdraw
          </Button>
        )}
      </div>
      {row.deliveries.length === 0 && row.withdrawnAt === null && (
        <p className="text-soft">Nothing was told yet; within a minute.</p>
      )}
      <ul>
        {row.deliveries.map((each) => (
          <li key={each.id} className={each.sentAt === null ? 'text-ochre' : 'text-soft'}>
            {each.about === 'passed' ? 'Dates that passed' : 'What falls due'}, {instantWords(each.madeAt)}:{' '}
            {toldWords(each)}
          </li>
        ))}
      </ul>
    </li>
  );
}

function toldWords({ sentAt, fault, nextTry }: WebhookRow['deliveries'][number]): string {
  if (sentAt !== null) return 'taken';
  if (fault === null) return nextTry === null ? '◐ not told' : '◐ waits';
  return nextTry === null ? `▲ not taken: ${fault}` : `◐ ${fault} Tried again ${instantWords(nextTry)}.`;
}
