/** Where something stands in a drawing, px: spread into an element. */
export const at = (x: number, y: number): { readonly x: number; readonly y: number } => ({ x, y });
