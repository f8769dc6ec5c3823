/** Accounts of the demo story: without passwords, each signed in by one touch. */
import type { Role } from '../contract/roles';
import type { Accounts } from '../server/accounts/accounts';

const PEOPLE: readonly { id: string; name: string; role: Role; ownerId?: string }[] = [
  { id: 'odalys', name: 'Odalys Brandt', role: 'manager' },
  { id: 'tobiah', name: 'Tobiah Renn', role: 'technician' },
  { id: 'marit', name: 'Marit Solane', role: 'technician' },
  { id: 'ike', name: 'Ike Fennimore', role: 'technician' },
  { id: 'prue', name: 'Prue Castellan', role: 'representative', ownerId: 'fish-guild' },
  { id: 'auditor', name: 'Auditor', role: 'auditor' },
];

export async function addDemoAccounts(accounts: Accounts): Promise<void> {
  for (const { id, name, role, ownerId = null } of PEOPLE)
    await accounts.add({
      personId: id,
      name,
      email: `${id}@brindle-hook.example`,
      role,
      ownerId,
      demo: true,
      hash: null,
    });
}
