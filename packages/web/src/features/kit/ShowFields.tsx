import { useState } from 'react';
import { ColourField } from '../../shared/ui/ColourField.tsx';
import { DateField } from '../../shared/ui/DateField.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { FilePick } from '../../shared/ui/FilePick.tsx';
import { MomentField } from '../../shared/ui/MomentField.tsx';
import { Shown } from './Shown.tsx';

export function ShowFields() {
  const [text, setText] = useState('Slate blue');
  const [day, setDay] = useState('2026-12-05');
  const [moment, setMoment] = useState('2026-12-05T19:30');
  const [hex, setHex] = useState('#4d6378');
  const input = <input value={text} onChange={(event) => setText(event.target.value)} />;
  return (
    <Shown part="Fields">
      <Field label="Name" hint="As it stands on the pot.">
        {input}
      </Field>
      <Field label="Name, refused" error="a pot is called that already">
        {input}
      </Field>
      <Field label="Small" isQuiet width="10rem">
        {input}
      </Field>
      <Field label="Day">
        <DateField value={day} onChange={setDay} />
      </Field>
      <Field label="Day, refused" error="there is no such day">
        <DateField value="31.02.2026" onChange={setDay} />
      </Field>
      <Field label="Moment">
        <MomentField value={moment} onChange={setMoment} />
      </Field>
      <Field label="Colour">
        <ColourField value={hex} onChange={setHex} />
      </Field>
      <Field label="Colour, refused" error="write it like #4d6378">
        <ColourField value="bluish" onChange={setHex} />
      </Field>
      <FilePick label="A file" accept=".csv" onFile={() => undefined} />
      <FilePick label="A file, not now" accept=".csv" isDisabled onFile={() => undefined} />
    </Shown>
  );
}
