/** The log-gas sheet. */
import { Refused } from '../Refused';
import { SaveBar } from '../SaveBar';
import { Dialog } from '../../parts/Dialog';
import { GasFields } from './GasFields';
import { type GasFormProps, useGasForm } from './useGasForm';
import { gasName } from '../../../words/gas';

export function GasForm(props: GasFormProps) {
  const { view, onDone } = props;
  const { machine, standing } = view;
  const form = useGasForm(props);
  const { corrects } = form;
  return (
    <Dialog
      title={corrects ? 'Correct gas entry' : 'Log gas'}
      subtitle={`${machine.appliance.name} · ${machine.site.name} · ${gasName(standing.present.refrigerant)}`}
      onClose={onDone}
      footer={
        <SaveBar words={corrects ? 'Save the correction' : 'Save'} saving={form.saving} onSave={form.save}>
          <Refused labels={form.faulty} />
        </SaveBar>
      }
    >
      <GasFields form={form} />
    </Dialog>
  );
}
