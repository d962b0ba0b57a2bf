import { computeMeshArea, InvalidInputError, readStl, type AreaSize } from '@sardonyx/core';
import { FilePick } from '../../../../shared/ui/FilePick.tsx';

interface MeshFileProps {
  readonly onRead: (size: AreaSize) => void;
  readonly onProblem: (problem: string) => void;
}

/** The surface of a mesh of the part, in millimetres: of all its faces, inside and out. */
export function MeshFile({ onRead, onProblem }: MeshFileProps) {
  const read = async (file: File) => {
    try {
      const size = computeMeshArea(readStl(new Uint8Array(await file.arrayBuffer())));
      onProblem('');
      onRead(size);
    } catch (error) {
      onProblem(error instanceof InvalidInputError ? `${file.name}: ${error.message}` : String(error));
    }
  };
  return <FilePick label="STL file of the part, in mm" accept=".stl,model/stl" onFile={(file) => void read(file)} />;
}
