/** The process that makes a day's backup and restores it to see that it is whole: it holds nobody up. */
import { rmSync } from 'node:fs';
import { makeBackup, restoreBackup, type Restored } from './copy';

export interface BackupTask {
  database: string;
  attachments: string;
  into: string;
  like: string | null;
}
export type BackupResult = { made: Restored } | { fault: string };

async function work({ into, like, ...from }: BackupTask): Promise<BackupResult> {
  const tried = `${into}.restored`;
  try {
    rmSync(into, { recursive: true, force: true });
    await makeBackup(from, into, like);
    rmSync(tried, { recursive: true, force: true });
    return { made: await restoreBackup(into, tried) };
  } catch (error) {
    // What cannot be restored is no backup.
    rmSync(into, { recursive: true, force: true });
    return { fault: (error as Error).message };
  } finally {
    rmSync(tried, { recursive: true, force: true });
  }
}

process.once('message', (task: BackupTask) => {
  void work(task).then((result) => process.send?.(result, () => process.exit(0)));
});
