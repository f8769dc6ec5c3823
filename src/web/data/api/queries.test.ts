/** What a screen reads after something was written. */
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { expect, test } from 'vitest';
import { readAllAnew } from './queries';

test('a first answer that was asked for before the change is never taken for what stands after it', async () => {
  const client = new QueryClient();
  const asked: ((answer: string) => void)[] = [];
  const observer = new QueryObserver(client, {
    queryKey: ['sites'],
    queryFn: () => new Promise<string>((answer) => asked.push(answer)),
  });
  const stop = observer.subscribe(() => undefined);
  const anew = readAllAnew(client);
  await expect.poll(() => asked.length).toBe(2);
  asked[0]?.('as before');
  asked[1]?.('with the new site');
  await anew;
  expect(client.getQueryData(['sites'])).toBe('with the new site');
  stop();
});
