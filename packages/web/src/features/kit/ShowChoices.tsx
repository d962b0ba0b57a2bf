import { useState } from 'react';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Chooser, type ChooserOption } from '../../shared/ui/Chooser.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Radios } from '../../shared/ui/Radios.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Slider } from '../../shared/ui/Slider.tsx';
import { Switch } from '../../shared/ui/Switch.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { Shown } from './Shown.tsx';

const SIDES = ['left', 'right', 'front', 'rear'] as const;
const LONG = 'a word that goes on for much longer than the field that it stands in was ever meant to be';
const POTS: readonly ChooserOption[] = Array.from({ length: 500 }, (_, i) => ({
  value: `pot-${i}`,
  label: `Pot ${i + 1}`,
  group: i < 400 ? 'Goes on here' : 'Would not do here',
  note: i % 3 ? 'enamel, 12.0 ml left' : 'lacquer, nearly empty',
  swatch: `rgb(${(i * 37) % 256} ${(i * 91) % 256} ${(i * 53) % 256})`,
  ...(i < 400 ? {} : { whyNot: 'Lacquer lifts the enamel under it.' }),
}));

export function ShowChoices() {
  const [side, setSide] = useState<(typeof SIDES)[number]>('left');
  const [none, setNone] = useState<string | null>(null);
  const [pot, setPot] = useState('');
  const [light, setLight] = useState('day');
  const [isOn, setOn] = useState(true);
  const [share, setShare] = useState(40);
  return (
    <>
      <Shown part="Select">
        <Field label="Side">
          <Select value={side} options={SIDES} onChange={setSide} />
        </Field>
        <Field label="Nothing chosen yet" hint="An option may say more, and may be closed.">
          <Select
            value={none ?? undefined}
            options={[
              { value: 'a', label: 'the first', note: 'with a second line', group: 'One group' },
              { value: 'b', label: 'the second', isDisabled: true, group: 'One group' },
              { value: 'c', label: LONG, group: 'Another group' },
            ]}
            onChange={setNone}
          />
        </Field>
        <Field label="Refused" error="choose one of these">
          <Select value={side} options={SIDES} onChange={setSide} />
        </Field>
        <Field label="Closed">
          <Select value={side} options={SIDES} onChange={setSide} disabled />
        </Field>
      </Shown>
      <Shown part="Chooser">
        <Field label="Pot of 500">
          <Chooser value={pot} options={POTS} onChange={setPot} placeholder="choose a pot" />
        </Field>
        <Field label="Chosen">
          <Chooser value="pot-7" options={POTS} onChange={setPot} />
        </Field>
        <Field label="None there, refused" error="put a pot on the shelf first">
          <Chooser value="" options={[]} onChange={setPot} />
        </Field>
      </Shown>
      <Shown part="Radios, toggles">
        <Radios label="Light" value={light} options={['day', 'lamp', LONG]} onChange={setLight} />
        <Radios label="Closed light" look="quiet" value="day" options={['day', 'lamp']} onChange={setLight} disabled />
        <Toggles
          aria-label="See as"
          value={light}
          options={['day', 'lamp', { value: 'uv', label: 'closed', isDisabled: true }]}
          onChange={setLight}
        />
      </Shown>
      <Shown part="Checkbox, switch">
        <Checkbox checked={isOn} onChange={setOn}>
          Snap to edges
        </Checkbox>
        <Checkbox checked="indeterminate" onChange={setOn}>
          Some of them
        </Checkbox>
        <Checkbox checked={false} onChange={setOn} disabled>
          Closed
        </Checkbox>
        <Switch isOn={isOn} onChange={setOn}>
          Single keys
        </Switch>
        <Switch isOn={false} onChange={setOn} disabled>
          Closed
        </Switch>
      </Shown>
      <Shown part="Slider">
        <Slider label="How far" value={share} min={0} max={100} onChange={setShare} say={(one) => `${one} %`} />
        <Slider label="Without a word" value={share} min={0} max={100} onChange={setShare} />
      </Shown>
    </>
  );
}
