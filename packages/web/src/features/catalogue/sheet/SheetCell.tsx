import { useId, type ClipboardEvent, type KeyboardEvent } from 'react';
import { Sign } from '../../../shared/ui/Sign.tsx';

interface SheetCellProps {
  /** Read out: which row of which issue. */
  readonly label: string;
  readonly text: string;
  readonly problem: string | undefined;
  readonly onType: (text: string) => void;
  /** More than one cell was pasted. */
  readonly onPaste: (text: string) => void;
  readonly onFillRight: () => void;
}

/** One cell: what is wrong with it stands under it. Ctrl or Cmd + R fills to the right; up, down and Enter go through the column. */
export function SheetCell({ label, text, problem, onType, onPaste, onFillRight }: SheetCellProps) {
  const id = useId();
  const takePasted = (event: ClipboardEvent) => {
    const pasted = event.clipboardData.getData('text/plain');
    if (!/[\t\n;]/.test(pasted.trim())) return;
    event.preventDefault();
    onPaste(pasted);
  };
  const takeKey = (event: KeyboardEvent<HTMLTextAreaElement>) => {
    if (event.key.toLowerCase() === 'r' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      onFillRight();
    }
    if (MOVES.includes(event.key)) moveAlongColumn(event);
  };
  return (
    <td className="w-52 min-w-36 border-b border-hairline p-1 align-top">
      <textarea
        rows={1}
        aria-label={label}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? id : undefined}
        className="block field-sizing-content min-h-11 w-full resize-none"
        value={text}
        onChange={(event) => onType(event.target.value.replace(/\n/g, ' '))}
        onPaste={takePasted}
        onKeyDown={takeKey}
      />
      {problem && (
        <span id={id} className="block text-note">
          <Sign of="warning" />
          {problem}
        </span>
      )}
    </td>
  );
}

const MOVES: readonly string[] = ['ArrowDown', 'ArrowUp', 'Enter'];

function moveAlongColumn(event: KeyboardEvent<HTMLTextAreaElement>): void {
  const cell = event.currentTarget.closest('td')!;
  const rows = [...cell.closest('table')!.querySelectorAll('tr')];
  const step = event.key === 'ArrowUp' ? -1 : 1;
  const row = rows[rows.indexOf(cell.closest('tr')!) + step];
  const next = row?.children[[...cell.parentElement!.children].indexOf(cell)]?.querySelector('textarea');
  if (event.key === 'Enter') event.preventDefault();
  if (!next) return;
  event.preventDefault();
  next.focus();
  next.select();
}
