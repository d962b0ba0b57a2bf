import { computeMeshArea, InvalidInputError, readStl, type AreaSize } from '@sardonyx/core';

interface MeshFileProps {
  readonly onRead: (size: AreaSize) => void;
  readonly onProblem: (problem: string) => void;
}

/** The surface of a mesh of the part, in millimetres: of all its faces, inside and out. */
export function MeshFile({ onRead, onProblem }: MeshFileProps) {
  const read = async (file: File | undefined) => {
    if (!file) return;
    try {
      const size = computeMeshArea(readStl(new Uint8Array(await file.arrayBuffer())));
      onProblem('');
      onRead(size);
    } catch (error) {
      onProblem(error instanceof InvalidInputError ? `${file.name}: ${error.message}` : String(error));
    }
  };
  return (
    <label>
      <span className="block text-note">STL file of the part, in mm</span>
      <input
        type="file"
        accept=".stl,model/stl"
        onChange={(event) => {
          void read(event.target.files?.[0]);
          // The same file once more is an act of its own.
          event.target.value = '';
        }}
      />
    </label>
  );
}
