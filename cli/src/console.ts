/** Where a command writes its lines. */
export interface Console {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
}
