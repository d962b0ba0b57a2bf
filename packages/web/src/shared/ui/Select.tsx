import { Select as Radix } from 'radix-ui';
import { useState, type CSSProperties } from 'react';
import type { ControlProps } from './controlProps.ts';
import { CheckIcon, DownIcon } from './icons.ts';
import { useAlone } from './useAlone.ts';
import { asOption, groupOptions, type Option, type OptionLike, type OptionValue } from './options.ts';

export interface SelectProps<V extends OptionValue> extends ControlProps {
  readonly value: V | undefined;
  readonly options: readonly OptionLike<V>[];
  readonly onChange: (value: V) => void;
  /** Called when the list closes or is left, whether anything was chosen or not. */
  readonly onLeave?: () => void;
  /** Stands there while nothing is chosen. */
  readonly placeholder?: string;
  readonly disabled?: boolean;
  readonly style?: CSSProperties;
}

/** One of a few. A list of more than about fifteen, or of things with a swatch, is a Chooser. */
export function Select<V extends OptionValue>(props: SelectProps<V>) {
  const { value, options, onChange, onLeave, placeholder = 'choose', disabled, style, ...control } = props;
  const [isOpen, setOpen] = useState(false);
  const known = options.map(asOption);
  const at = known.findIndex((option) => option.value === value);
  return (
    <Radix.Root
      open={isOpen}
      value={at < 0 ? '' : String(at)}
      disabled={disabled ?? false}
      onOpenChange={(open) => {
        setOpen(open);
        if (!open) onLeave?.();
      }}
      onValueChange={(key) => onChange(known[Number(key)]!.value)}
    >
      <Radix.Trigger {...control} className="picked-field" style={style} data-value={at < 0 ? '' : String(value)}>
        {/* Words of our own, so that a closed list need not exist at all. */}
        <span className="min-w-0 wrap-anywhere">
          <Radix.Value placeholder={placeholder}>{known[at]?.label}</Radix.Value>
        </span>
        <DownIcon aria-hidden size={18} className="shrink-0" />
      </Radix.Trigger>
      {isOpen && <OptionList options={known} />}
    </Radix.Root>
  );
}

function OptionList<V extends OptionValue>({ options }: { readonly options: readonly Option<V>[] }) {
  const list = useAlone<HTMLDivElement>();
  return (
    <Radix.Portal>
      <Radix.Content
        ref={list}
        position="popper"
        sideOffset={2}
        className="z-60 max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width) border border-ink bg-sheet text-ink"
      >
        <Radix.Viewport>
          {groupOptions(options).map(([group, own]) => (
            <Radix.Group key={group}>
              {group && <Radix.Label className="px-3 pt-2 text-note text-soft-ink">{group}</Radix.Label>}
              {own.map((option) => (
                <Radix.Item
                  key={options.indexOf(option)}
                  value={String(options.indexOf(option))}
                  textValue={option.label}
                  disabled={option.isDisabled ?? false}
                  className="listed-option"
                >
                  <span className="grow">
                    <Radix.ItemText>
                      {option.label}
                      {option.note && <span className="block text-note text-soft-ink">{option.note}</span>}
                    </Radix.ItemText>
                  </span>
                  <Radix.ItemIndicator>
                    <CheckIcon aria-hidden size={18} />
                  </Radix.ItemIndicator>
                </Radix.Item>
              ))}
            </Radix.Group>
          ))}
        </Radix.Viewport>
      </Radix.Content>
    </Radix.Portal>
  );
}
