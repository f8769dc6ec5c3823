/** Units of a bare number and the altitude of the site, on every page of the bench. */
import { useState } from 'react';
import { atmosphereAt, HIGHEST_SITE_M, LOWEST_SITE_M } from '../../../core/quantity/atmosphere';
import { measureText, parseMeasure } from '../../../core/quantity/measure';
import { Choices } from '../../parts/Choices';
import { TextField } from '../../parts/Field';
import type { UnitSystem } from '../../../words/measures';
import { useBench } from '../setting';

/** Up to sea level and below: a length cannot say less than nothing, an altitude can. */
function metres(text: string, bareUnit: 'ft' | 'm'): number | null {
  const below = /^\s*[-−]/.test(text);
  const read = parseMeasure('length', text.replace(/^\s*[-−]/, ''), bareUnit);
  if (!read.ok) return null;
  return below ? -read.value.si : read.value.si;
}

export function BenchUnits() {
  const { system, altitudeM, atmosphere, change } = useBench();
  const unit = system === 'us' ? 'ft' : 'm';
  const [text, setText] = useState(() => measureText('length', altitudeM, unit));
  const typed = metres(text, unit);
  const wrong = typed === null || !atmosphereAt(typed).ok;
  return (
    <details className="rule-b mb-4">
      <summary className="flex min-h-11 cursor-pointer items-center gap-2 text-soft">
        <span aria-hidden="true">▸</span>
        {system === 'us' ? 'psig, °F, lb' : 'bar, °C, kg'} ·{' '}
        {altitudeM === 0 ? 'sea level' : `${measureText('length', altitudeM, unit)} up`}
        <span className="font-semibold text-green underline underline-offset-4">change</span>
      </summary>
      <div className="flex flex-wrap gap-x-8 pb-2">
        <div>
          <p className="mb-1 font-semibold">Units</p>
          <Choices
            label="Units"
            value={system}
            onChange={(value) => change({ system: value as UnitSystem })}
            choices={[
              { value: 'us', words: 'psig, °F, lb' },
              { value: 'metric', words: 'bar, °C, kg' },
            ]}
          />
        </div>
        <div className="w-64">
          <TextField
            label="Altitude of the site"
            value={text}
            onChange={(event) => {
              setText(event.target.value);
              const next = metres(event.target.value, unit);
              if (next !== null && atmosphereAt(next).ok) change({ altitudeM: next });
            }}
            error={
              wrong
                ? `Type it as 5200 ft or 1600 m, between ${measureText('length', LOWEST_SITE_M, unit)} and ${measureText('length', HIGHEST_SITE_M, unit)}.`
                : null
            }
            hint={`The air weighs ${measureText('pressure', atmosphere, system === 'us' ? 'psia' : 'bara')}; gauges count from it.`}
          />
        </div>
      </div>
    </details>
  );
}
