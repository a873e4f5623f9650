export interface ReasonInput {
  readonly name: string;
  readonly value: string;
}

/** Why a number is what it is: the sentence shown, what went in, the relation and how sure. */
export interface Reason {
  readonly text: string;
  readonly inputs: readonly ReasonInput[];
  readonly source: string;
  readonly spread?: string;
}

/** One line of a working, as shown. */
export const input = (name: string, value: string): ReasonInput => ({ name, value });
