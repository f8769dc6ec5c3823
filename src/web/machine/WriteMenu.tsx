/** Everything else that can be written down, in the order of the work. */
import { DropdownMenu } from 'radix-ui';
import { FORM_KINDS, kindForm } from '../../record/forms';
import { useWriteDialog } from '../data/addresses/writeDialog';
import { Button } from '../parts/Button';

export function WriteMenu({ machineId }: { machineId: string }) {
  const write = useWriteDialog();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button>Write down…</Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          className="z-40 max-h-[70vh] w-72 overflow-y-auto border border-ink bg-card p-1"
        >
          {FORM_KINDS.map((kind) => (
            <DropdownMenu.Item
              key={kind}
              className="flex min-h-11 cursor-pointer items-center px-3 outline-none data-highlighted:bg-green data-highlighted:text-on-green"
              onSelect={() => write.open({ kind, machineId })}
            >
              {kindForm(kind).title}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
