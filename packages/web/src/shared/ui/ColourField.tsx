import {
  convertHexToLab,
  convertLabToHex,
  convertLabToPolar,
  convertLabToRgb,
  convertPolarToLab,
  type Lab,
  type PolarLab,
} from '@sardonyx/core';
import { useState } from 'react';
import type { ControlProps } from './controlProps.ts';
import { readColour, writeLab } from './writtenColour.ts';
import { Popup } from './Popup.tsx';
import { Slider } from './Slider.tsx';

interface ColourFieldProps extends ControlProps {
  /** "#rrggbb". */
  readonly value: string;
  readonly onChange: (hex: string) => void;
}

/** Beyond this no paint is. */
const MOST_CHROMA = 100;

/** A colour as paint people speak of it: how light, how full, which hue; or typed as L*, a*, b* or as a screen's figures. */
export function ColourField({ value, onChange, ...control }: ColourFieldProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const type = (text: string) => {
    setDraft(text);
    onChange(readColour(text) ?? text);
  };
  const isKnown = readColour(value) !== null;
  return (
    <span className="flex">
      <Popup
        label="The colour"
        align="start"
        width="min(92vw, 22rem)"
        trigger={
          <button
            type="button"
            className="min-h-11 w-14 shrink-0 border border-r-0 border-strong-line"
            aria-label="Set the colour by lightness, fullness and hue"
            data-swatch
            style={{ background: isKnown ? value : 'none' }}
          />
        }
      >
        <div className="p-4">
          <Rails
            lab={isKnown ? convertHexToLab(value) : [50, 0, 0]}
            onChange={(hex) => {
              setDraft(null);
              onChange(hex);
            }}
          />
        </div>
      </Popup>
      <input
        {...control}
        autoComplete="off"
        spellCheck={false}
        value={draft ?? value}
        onChange={(event) => type(event.target.value)}
        onBlur={() => setDraft(null)}
      />
    </span>
  );
}

function Rails({ lab, onChange }: { readonly lab: Lab; readonly onChange: (hex: string) => void }) {
  const given = convertLabToPolar(lab);
  // A grey has no hue, and what the screen cannot show comes back changed: the rails keep what was set.
  const [set, setSet] = useState(given);
  const change = (next: Partial<PolarLab>) => {
    const now = { ...set, ...next };
    setSet(now);
    onChange(convertLabToHex(convertPolarToLab(now)));
  };
  const { isShown } = convertLabToRgb(convertPolarToLab(set));
  const railOf = (at: (t: number) => PolarLab) => ({
    background: `linear-gradient(to right, ${[0, 0.2, 0.4, 0.6, 0.8, 1].map((t) => convertLabToHex(convertPolarToLab(at(t)))).join()})`,
  });
  return (
    <div className="space-y-2">
      <Rail
        word="Lightness"
        value={set.lightness}
        max={100}
        rail={railOf((t) => ({ ...set, lightness: 100 * t }))}
        onChange={(lightness) => change({ lightness })}
      />
      <Rail
        word="Fullness"
        value={set.chroma}
        max={MOST_CHROMA}
        rail={railOf((t) => ({ ...set, chroma: MOST_CHROMA * t }))}
        onChange={(chroma) => change({ chroma })}
      />
      <Rail
        word="Hue"
        value={set.hue}
        max={360}
        rail={railOf((t) => ({ ...set, chroma: Math.max(30, set.chroma), hue: 360 * t }))}
        onChange={(hue) => change({ hue })}
      />
      <p className="figure text-note">L*, a*, b* {writeLab(convertPolarToLab(set))}</p>
      {!isShown && <p className="text-note">Fuller than this screen can show: the nearest is taken.</p>}
    </div>
  );
}

interface RailProps {
  readonly word: string;
  readonly value: number;
  readonly max: number;
  readonly rail: { readonly background: string };
  readonly onChange: (value: number) => void;
}

const Rail = ({ word, value, max, rail, onChange }: RailProps) => (
  <div>
    <span className="text-note">{word}</span>
    <Slider
      label={word}
      value={value}
      min={0}
      max={max}
      rail={rail}
      onChange={onChange}
      say={(one) => (max === 360 ? `${Math.round(one)}°` : one.toFixed(0))}
    />
  </div>
);
