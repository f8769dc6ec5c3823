/** What somebody may: by role, whatever the list of people calls them. */
export const ROLES = ['technician', 'manager', 'representative', 'auditor'] as const;
export type Role = (typeof ROLES)[number];
