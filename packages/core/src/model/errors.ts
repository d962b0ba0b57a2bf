/** The caller's fault: what was wrong, where, and the rule it broke. A legitimate "no" is returned instead, never thrown. */
export class InvalidInputError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly path: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
    this.name = 'InvalidInputError';
  }
}
