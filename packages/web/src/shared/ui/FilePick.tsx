import type { ReactNode } from 'react';

interface FilePickProps {
  readonly label: ReactNode;
  readonly accept: string;
  readonly isDisabled?: boolean;
  readonly onFile: (file: File) => void;
}

/** A file of one's own, chosen; the same one chosen again is an act of its own. */
export const FilePick = ({ label, accept, isDisabled = false, onFile }: FilePickProps) => (
  <label>
    <span className="block text-note">{label}</span>
    <input
      type="file"
      accept={accept}
      disabled={isDisabled}
      onChange={(event) => {
        const [file] = event.target.files ?? [];
        if (file) onFile(file);
        event.target.value = '';
      }}
    />
  </label>
);
