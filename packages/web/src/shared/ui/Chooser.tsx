import { Command } from 'cmdk';
import { useDeferredValue, useMemo, useState, type CSSProperties } from 'react';
import type { ControlProps } from './controlProps.ts';
import { DownIcon } from './icons.ts';
import { findOptions } from './findOptions.ts';
import { Dab } from './Dab.tsx';
import { Popup } from './Popup.tsx';
import { groupOptions, type Option } from './options.ts';

export interface ChooserOption extends Option<string> {
  /** Colour of its swatch. */
  readonly swatch?: string;
  /** Why it will not do here; it is shown all the same, and cannot be chosen. */
  readonly whyNot?: string;
}

interface ChooserProps extends ControlProps {
  readonly value: string;
  /** What fits first comes first. */
  readonly options: readonly ChooserOption[];
  readonly onChange: (value: string) => void;
  /** Called when the list closes, whether anything was chosen or not. */
  readonly onLeave?: () => void;
  readonly placeholder?: string;
  readonly disabled?: boolean;
  readonly style?: CSSProperties;
}

/** More lines than this nobody reads: a letter more is typed instead. */
const MOST_SHOWN = 60;

/** One of many: type a few letters of any of its words, arrow keys, Enter. */
export function Chooser(props: ChooserProps) {
  const { value, options, onChange, onLeave, placeholder = 'choose', disabled = false, style, ...control } = props;
  const [isOpen, setOpen] = useState(false);
  const chosen = options.find((option) => option.value === value);
  const show = (open: boolean) => {
    setOpen(open);
    if (!open) onLeave?.();
  };
  return (
    <Popup
      label="Choose"
      align="start"
      width="max(var(--radix-popover-trigger-width), min(92vw, 26rem))"
      isOpen={isOpen}
      onOpen={show}
      trigger={
        <button
          {...control}
          type="button"
          className="picked-field"
          disabled={disabled}
          style={style}
          data-value={value}
        >
          <span className="flex min-w-0 items-center gap-2">
            {chosen?.swatch && <Dab colour={chosen.swatch} size="size-6" />}
            <span className="wrap-anywhere">{chosen?.label ?? placeholder}</span>
          </span>
          <DownIcon aria-hidden size={18} className="shrink-0" />
        </button>
      }
    >
      <ChooserList
        options={options}
        value={value}
        onChoose={(next) => {
          onChange(next);
          show(false);
        }}
      />
    </Popup>
  );
}

interface ChooserListProps {
  readonly options: readonly ChooserOption[];
  readonly value: string;
  readonly onChoose: (value: string) => void;
}

function ChooserList({ options, value, onChoose }: ChooserListProps) {
  const [text, setText] = useState('');
  const asked = useDeferredValue(text);
  const found = useMemo(() => findOptions(options, asked), [options, asked]);
  const shown = found.slice(0, MOST_SHOWN);
  const [pointed, setPointed] = useState(value);
  // Enter always has something to choose: the first that will do, until somebody points at another.
  const current = shown.some((one) => one.value === pointed)
    ? pointed
    : (shown.find((one) => one.whyNot === undefined && one.isDisabled !== true)?.value ?? '');
  return (
    <Command shouldFilter={false} label="Type to find" value={current} onValueChange={setPointed}>
      <div className="border-b border-hairline p-1">
        <Command.Input
          autoFocus
          value={text}
          onValueChange={(next) => {
            setText(next);
            setPointed('');
          }}
          placeholder="Type to find"
        />
      </div>
      <Command.List className="max-h-[min(22rem,50vh)] overflow-y-auto">
        {shown.length === 0 && (
          <Command.Item disabled value="none" className="listed-option">
            {text ? 'Nothing here is called that.' : 'There is none here yet.'}
          </Command.Item>
        )}
        {groupOptions(shown).map(([group, own]) => (
          <Command.Group
            key={group}
            heading={group || undefined}
            className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-note [&_[cmdk-group-heading]]:text-soft-ink"
          >
            {own.map((option) => (
              <Command.Item
                key={option.value}
                value={option.value}
                disabled={option.whyNot !== undefined || option.isDisabled === true}
                className="listed-option"
                onSelect={() => onChoose(option.value)}
              >
                {option.swatch && <Dab colour={option.swatch} size="size-6" />}
                <span className="grow">
                  {option.label}
                  {(option.whyNot ?? option.note) && (
                    <span className="block text-note text-soft-ink">{option.whyNot ?? option.note}</span>
                  )}
                </span>
              </Command.Item>
            ))}
          </Command.Group>
        ))}
        {found.length > shown.length && (
          <p className="px-3 py-2 text-note text-soft-ink">
            and {found.length - shown.length} more: type on to find them
          </p>
        )}
      </Command.List>
    </Command>
  );
}
