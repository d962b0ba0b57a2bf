/** The bundled server. */
export const SERVER: string;
export function buildServer(): Promise<void>;
