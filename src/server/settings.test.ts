import { describe, expect, it } from 'vitest';
import { type Settings, lackWithoutTls, readSettings, refusalToListen } from './settings';

const settings = (given: Record<string, string>): Settings => {
  const read = readSettings(given);
  if ('faults' in read) throw new Error(read.faults.join('; '));
  return read.settings;
};
const faults = (given: Record<string, string>): string[] => {
  const read = readSettings(given);
  return 'faults' in read ? read.faults : [];
};

describe('settings of the server', () => {
  it('nothing said: this computer alone, plain, believing no proxy', () => {
    expect(settings({})).toMatchObject({
      host: '127.0.0.1',
      port: 4400,
      address: null,
      tls: null,
      proxyHops: 0,
      names: [],
      loopback: true,
      secure: false,
    });
  });

  it('an address that is reached by TLS, with the name under which it answers', () => {
    expect(
      settings({ ABACUS_ADDRESS: 'https://abacus.pier.example:8443/', ABACUS_PROXY_HOPS: '1' }),
    ).toMatchObject({
      address: 'https://abacus.pier.example:8443',
      names: ['abacus.pier.example'],
      proxyHops: 1,
      secure: true,
    });
  });

  it('listening everywhere, it answers under the addresses of this machine; listening at one, under that', () => {
    expect(settings({ ABACUS_HOST: '0.0.0.0' }).names).toContain('127.0.0.1');
    expect(settings({ ABACUS_HOST: '10.1.2.3' }).names).toEqual(['10.1.2.3']);
    expect(settings({ ABACUS_HOST: 'fd00::7' }).names).toEqual(['[fd00::7]']);
  });

  it.each([
    [{ PORT: 'eighty' }, 'PORT'],
    [{ PORT: '70000' }, 'PORT'],
    [{ ABACUS_ADDRESS: 'abacus.example' }, 'ABACUS_ADDRESS'],
    [{ ABACUS_ADDRESS: 'https://abacus.example/app' }, 'ABACUS_ADDRESS'],
    [{ ABACUS_ADDRESS: 'ftp://abacus.example' }, 'ABACUS_ADDRESS'],
    [{ ABACUS_TLS_KEY: 'key.pem' }, 'ABACUS_TLS_CERT'],
    [{ ABACUS_PROXY_HOPS: '-1' }, 'ABACUS_PROXY_HOPS'],
    [{ ABACUS_KEEP_ALIVE_S: '0' }, 'ABACUS_KEEP_ALIVE_S'],
    [{ ABACUS_LOG: 'loud' }, 'ABACUS_LOG'],
    [{ ABACUS_SMTP: 'mail.example', ABACUS_MAIL_FROM: 'a@b.example' }, 'ABACUS_SMTP'],
    [{ ABACUS_DATABASE: 'libsql://db.example', ABACUS_COPY: '/mnt/other' }, 'ABACUS_DATABASE'],
    [{ ABACUS_BACKUP_DAYS: '0' }, 'ABACUS_BACKUP_DAYS'],
    [{ ABACUS_COMPANIES: 'companies', ABACUS_DATABASE: 'file:a.db' }, 'ABACUS_COMPANIES'],
    [{ ABACUS_COMPANIES: 'companies', ABACUS_ADDRESS: 'https://10.1.2.3' }, 'ABACUS_ADDRESS'],
    [{ ABACUS_COMPANIES: 'companies', ABACUS_ADDRESS: 'https://[fd00::7]' }, 'ABACUS_ADDRESS'],
    [{ ABACUS_IDLE_S: '0' }, 'ABACUS_IDLE_S'],
    [{ ABACUS_MAIL_FROM: 'a@b.example' }, 'ABACUS_SMTP'],
  ])('%o is refused by its name', (given, name) => {
    expect(faults(given).map((each) => each.split(' ')[0])).toEqual([name]);
  });
});

describe('listening beyond this machine', () => {
  const open = settings({ ABACUS_HOST: '0.0.0.0' });

  it('is refused while nobody has an account, and for the demo, where one comes in by a touch', () => {
    expect(refusalToListen(open, 'nobody')).toContain('Nobody has an account yet');
    expect(refusalToListen(open, 'demo')).toContain('one touch');
    expect(refusalToListen(open, 'people')).toBeNull();
    expect(refusalToListen(settings({}), 'nobody')).toBeNull();
    expect(refusalToListen(settings({}), 'demo')).toBeNull();
  });

  it('says what is lacking without TLS, and nothing where there is TLS or no listening beyond', () => {
    expect(lackWithoutTls(open)).toContain('can read passwords');
    expect(lackWithoutTls(settings({}))).toBeNull();
    expect(
      lackWithoutTls(settings({ ABACUS_HOST: '0.0.0.0', ABACUS_TLS_CERT: 'c', ABACUS_TLS_KEY: 'k' })),
    ).toBeNull();
    expect(
      lackWithoutTls(settings({ ABACUS_HOST: '0.0.0.0', ABACUS_ADDRESS: 'https://a.example' })),
    ).toBeNull();
  });
});
