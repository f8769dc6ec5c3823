/** The state in which lists show a machine, the most urgent first. */
export const MACHINE_STATES = ['overdue', 'caseOpen', 'unknown', 'watch', 'healthy', 'retired'] as const;
/** overdue: a duty is late; caseOpen: a case runs unverified; watch: due within 7 days or headroom below a fifth */
export type MachineState = (typeof MACHINE_STATES)[number];
