/** Something wrong with what was given: where (JSON pointer) and what would be right. */
export interface Fault {
  readonly pointer: string;
  readonly message: string;
  /** Nothing was given: to be asked for rather than mended. */
  readonly missing?: true;
}
