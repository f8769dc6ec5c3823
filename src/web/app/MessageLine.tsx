/** The line above the bars at the thumb in which a message stands: it covers no control, and goes by itself. */
import { X } from 'lucide-react';
import clsx from 'clsx';
import { takeAway, useMessage } from '../data/device/messages';
import { Button } from '../parts/Button';

export function MessageLine() {
  const message = useMessage();
  return (
    <div
      role={message?.wrong ? 'alert' : 'status'}
      aria-label="Message"
      className="message-line no-print fixed inset-x-0 z-20 lg:left-[5.6rem]"
    >
      {message && (
        <div
          className={clsx(
            'flex items-center gap-2 border-t-4 bg-card py-1 pr-1 pl-4',
            message.wrong ? 'border-brick' : 'border-green',
          )}
        >
          <p className={clsx('min-w-0 flex-1 font-semibold', message.wrong && 'text-brick')}>
            {message.wrong ? '▲ ' : ''}
            {message.words}
          </p>
          {message.action && (
            <Button
              className="shrink-0"
              onClick={() => {
                takeAway(message.id);
                message.action?.onClick();
              }}
            >
              {message.action.label}
            </Button>
          )}
          <button
            type="button"
            aria-label="Take the message away"
            className="flex size-11 shrink-0 cursor-pointer items-center justify-center"
            onClick={() => takeAway(message.id)}
          >
            <X aria-hidden="true" size={20} />
          </button>
        </div>
      )}
    </div>
  );
}
