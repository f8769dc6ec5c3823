/** Machines that were written to lately: so many, so many entries, and none after somebody else wrote. */
import { expect, it } from 'vitest';
import { type RecentMachine, RecentMachines } from './recentMachines';

const machine = (entries: number): RecentMachine =>
  ({
    appliance: {},
    site: {},
    bearing: Array.from({ length: entries }, () => ({})),
  }) as unknown as RecentMachine;

it('holds as many machines and entries as fit, those that were used last', () => {
  const recent = new RecentMachines();
  for (let id = 0; id < 201; id += 1) recent.keep(String(id), machine(0));
  expect([recent.get('0'), recent.get('200')]).toEqual([null, machine(0)]);
  recent.keep('long', machine(30_000));
  recent.keep('longer', machine(30_000));
  expect(recent.get('long')).toBeNull();
  expect(recent.get('longer')).not.toBeNull();
  // Longer than all that is held together: it is read anew each time.
  recent.keep('longest', machine(50_001));
  expect(recent.get('longest')).toBeNull();
});

it('forgets all when somebody else wrote, and one machine when it changed', () => {
  const recent = new RecentMachines();
  recent.holdTo(1);
  recent.keep('a', machine(2));
  recent.keep('b', machine(2));
  recent.holdTo(1);
  recent.forget('a');
  expect([recent.get('a'), recent.get('b')]).toEqual([null, machine(2)]);
  recent.holdTo(2);
  expect(recent.get('b')).toBeNull();
});
