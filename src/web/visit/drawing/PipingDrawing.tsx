/**
 * How the machine is piped, changed where one stands: a touch on a part or a line offers what can be put there, named, taken
 * out, or built a second time. Every change is written at once, and can be taken back.
 */
import { useState } from 'react';
import type { Joint } from '../../drawing/LinePaths';
import { CircuitDrawing, type Paged } from '../../drawing/CircuitDrawing';
import { partName } from '../../../words/circuit';
import { uncapped } from '../../../words/list';
import type { MapPart } from '../../../core/circuit/map';
import { Button } from '../../parts/Button';
import { useVisit } from '../visitContext';
import { AnswersTray } from './AnswersTray';
import { JointTray } from './JointTray';
import { PartTray } from './PartTray';

interface Props {
  /** which circuits of many are shown */
  paged: Paged;
  onDone: () => void;
}

export function PipingDrawing({ paged, onDone }: Props) {
  const { map } = useVisit();
  const [part, setPart] = useState<MapPart | null>(null);
  const [joint, setJoint] = useState<Joint | null>(null);
  /** where a line of its own begins, while its other end is touched */
  const [from, setFrom] = useState<Joint | null>(null);
  const [answering, setAnswering] = useState(false);
  const wordsOf = (id: string): string => {
    const found = map.parts.find((each) => each.id === id);
    return found ? partName(found) : id;
  };
  const close = () => {
    setPart(null);
    setJoint(null);
  };
  return (
    <section aria-label="How it is piped">
      <p className="mb-1 font-semibold">
        {from
          ? `From ${uncapped(wordsOf(from.one))} on: touch where the line ends`
          : 'How it is piped: touch a part, or a line'}
      </p>
      <CircuitDrawing
        {...paged}
        map={map}
        label="How the machine is piped: touch a part or a line to change it"
        shown={(each) => ({ lit: from && (each.id === from.one || each.id === from.other) ? 'for' : null })}
        onTouch={setPart}
        onLine={setJoint}
      />
      <div className="mb-3 flex flex-wrap gap-2">
        <Button weight="main" onClick={from ? () => setFrom(null) : onDone}>
          {from ? 'No line from there' : 'It is drawn as it stands'}
        </Button>
        <Button onClick={() => setAnswering(true)}>What kind of machine</Button>
      </div>
      {part && (
        <PartTray
          key={part.id}
          part={part}
          onJoint={(chosen) => {
            close();
            setJoint(chosen);
          }}
          onClose={close}
        />
      )}
      {joint && (
        <JointTray
          key={`${joint.one} ${joint.other}`}
          joint={joint}
          from={from}
          wordsOf={wordsOf}
          onFrom={() => {
            setFrom(joint);
            close();
          }}
          onDone={() => {
            setFrom(null);
            close();
          }}
          onClose={close}
        />
      )}
      {answering && <AnswersTray onClose={() => setAnswering(false)} />}
    </section>
  );
}
