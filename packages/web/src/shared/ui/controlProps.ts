/** What a field hands to its control: who names it, and what is said about it. */
export interface ControlProps {
  readonly id?: string;
  readonly 'aria-label'?: string;
  readonly 'aria-invalid'?: boolean;
  readonly 'aria-describedby'?: string | undefined;
}
