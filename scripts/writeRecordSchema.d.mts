export const SCHEMA: string;
export function createRecordSchema(): string;
