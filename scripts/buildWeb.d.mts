export function buildWeb(mode?: 'production' | 'kit'): Promise<void>;
