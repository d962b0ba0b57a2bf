import { drawMesh, readStl, scaleMesh, writeStl } from '@sardonyx/core';
import type { MeshReply, MeshRequest } from './protocol.ts';

let triangles: Float64Array | null = null;

const post = (reply: MeshReply, moved: Transferable[] = []) => self.postMessage(reply, { transfer: moved });

self.onmessage = ({ data }: MessageEvent<MeshRequest>) => {
  const { id } = data;
  try {
    if (data.kind === 'read') {
      triangles = readStl(data.bytes);
      const corners = Float32Array.from(triangles);
      post({ id, kind: 'mesh', mesh: { views: drawMesh(triangles), corners } }, [corners.buffer]);
      return;
    }
    if (!triangles) throw new Error('The mesh was not read yet.');
    const bytes = new Uint8Array(writeStl(scaleMesh(triangles, data.scale)));
    post({ id, kind: 'file', bytes }, [bytes.buffer]);
  } catch (error) {
    post({ id, kind: 'problem', message: error instanceof Error ? error.message : String(error) });
  }
};
