/** Sends what waits for other programs, each message signed with the secret of its address; again later where it is not taken. */
import { createHmac } from 'node:crypto';
import { request as plain } from 'node:http';
import { request as tls } from 'node:https';
import { lookupBeyond, refuseAddress } from './reach';
import type { Delivery, Hook, Webhooks } from './webhooks';

const PATIENCE_MS = 10_000;
const [OK, REDIRECT] = [200, 300];

/** Of the moment and the body: whoever has the secret knows that it is ours, and not an old one sent again. */
export const signatureOf = (secret: string, seconds: number, body: string): string =>
  `t=${String(seconds)},v1=${createHmac('sha256', secret)
    .update(`${String(seconds)}.${body}`)
    .digest('hex')}`;

export class Delivering {
  private running: Promise<void> | null = null;

  constructor(
    private readonly webhooks: Webhooks,
    private readonly nowMs: () => number,
    private readonly nearby: boolean,
  ) {}

  /** Once at a time, however often it is called. */
  turn(): Promise<void> {
    this.running ??= this.deliverWaiting().finally(() => {
      this.running = null;
    });
    return this.running;
  }

  close = async (): Promise<void> => {
    await this.running;
  };

  private async deliverWaiting(): Promise<void> {
    await this.webhooks.turn();
    for (const { delivery, webhook } of await this.webhooks.waiting()) {
      const fault = await this.send(delivery, webhook).catch((error: unknown) => (error as Error).message);
      await (fault === null ? this.webhooks.sent(delivery) : this.webhooks.failed(delivery, fault));
    }
  }

  /** null: it was taken. No answer is read, and none leads anywhere else. */
  private send({ id, about, body }: Delivery, { url, secret }: Hook): Promise<string | null> {
    refuseAddress(url, this.nearby);
    const seconds = Math.floor(this.nowMs() / 1000);
    return new Promise((resolve, reject) => {
      const sending = (url.startsWith('https:') ? tls : plain)(
        url,
        {
          method: 'POST',
          headers: {
            'content-type': 'application/json',
            'content-length': Buffer.byteLength(body),
            'x-abacus-event': about,
            'x-abacus-delivery': id,
            'x-abacus-signature': signatureOf(secret, seconds, body),
          },
          ...(this.nearby ? {} : { lookup: lookupBeyond }),
          signal: AbortSignal.timeout(PATIENCE_MS),
        },
        (answer) => {
          answer.resume();
          const status = answer.statusCode ?? 0;
          resolve(status >= OK && status < REDIRECT ? null : `It answered with ${String(status)}.`);
        },
      );
      sending.on('error', reject);
      sending.end(body);
    });
  }
}
